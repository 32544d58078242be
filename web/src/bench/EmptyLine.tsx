import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";

const EXAMPLES = ["1 2 3b slip left 2", "jab cross lead hook body exit", "1 (3) 6 3", "1 2 step-out 14l exit"];

interface Props {
  unreadable: boolean;
  /** The previous line of the bench; null when there is none. */
  aside: { text: string } | null;
  onExample: (text: string) => void;
  onGoOn: () => void;
}

/** Shown while there is no picture: instructions and examples. */
export function EmptyLine({ unreadable, aside, onExample, onGoOn }: Props) {
  return (
    <div className="bench-empty">
      <h2>{unreadable ? t`Not readable yet` : t`Type a combination, or touch the pad`}</h2>
      <p>
        {unreadable
          ? t`The picture comes as soon as what is underlined can be read. What you typed is kept.`
          : t`You see it in both stances at once, with the weight under it and every wait in milliseconds.`}
      </p>
      {!unreadable && aside && (
        <p>
          <button type="button" className="chip" onClick={onGoOn}>
            <Trans>Go on with {aside.text}</Trans>
          </button>
        </p>
      )}
      <p>
        {EXAMPLES.map((example) => (
          <button key={example} type="button" className="chip" onClick={() => onExample(example)}>
            {example}
          </button>
        ))}
      </p>
    </div>
  );
}
