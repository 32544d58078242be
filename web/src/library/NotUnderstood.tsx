import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import type { CombinationPage } from "../api/client";
import { replaceCharacters } from "../ui/characters";

interface Props {
  problem: CombinationPage["search"]["problems"][number];
  typed: string;
  onType: (typed: string) => void;
  onClear: () => void;
}

/** Shown instead of the list: the part of the search that was not understood, with suggestions. */
export default function NotUnderstood({ problem, typed, onType, onClear }: Props) {
  const quoted = typed.replaceAll('"', "");
  return (
    <div className="panel empty">
      <h2>
        <Trans>The search was not understood</Trans>
      </h2>
      <p>
        <Trans>
          {problem.message} Expected: {problem.expected}.
        </Trans>
      </p>
      <p>
        {problem.nearest.map((nearest) => (
          <button
            key={nearest}
            type="button"
            className="chip"
            onClick={() => onType(replaceCharacters(typed, problem, nearest))}
          >
            {nearest}
          </button>
        ))}
      </p>
      <p className="small">
        <Trans>To find these words in names, themes and notes: </Trans>
        <button type="button" className="chip" onClick={() => onType(`"${quoted}"`)}>
          “{quoted}”
        </button>
      </p>
      <Button onClick={onClear}>
        <Trans>Clear the search</Trans>
      </Button>
    </div>
  );
}
