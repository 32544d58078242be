import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { memo, useState } from "react";
import type { Continuations } from "../api/client";
import { Segmented } from "../ui/Segmented";
import { Toolbar } from "../ui/Toolbar";
import { LIMBS } from "../ui/words";

const MAX_SHOWN = 40;
const FILTERS = [
  { value: "", label: t`All` },
  ...LIMBS.map((limb) => ({ ...limb, value: limb.value as string })),
  { value: "move", label: t`Moves` },
];

interface Props {
  next: Continuations | undefined;
  /** Whether it continues an item within the chain rather than the end. */
  within: boolean;
  /** Whether it belongs to an earlier line, and the answer for this one is late or unavailable. */
  old: boolean;
  onPress: (text: string) => void;
}

/** What can follow, soonest first: at the end of the chain, or at the cursor. */
export const NextStrip = memo(function NextStrip({ next, within, old, onPress }: Props) {
  const [filter, setFilter] = useState("");
  const [pointed, setPointed] = useState<string | null>(null);
  const shown = (next?.next ?? [])
    .filter((one) =>
      filter === "" ? one.kind === "strike" : filter === "move" ? one.kind === "move" : one.limb === filter,
    )
    .slice(0, MAX_SHOWN);
  const reason = shown.find((one) => one.text === pointed)?.reason;
  return (
    <section className="panel next" aria-label={t`What can follow`}>
      <div className="next-head">
        <h2>
          <Trans>What can follow</Trans>
        </h2>
        <Segmented size="small" value={filter} onChange={setFilter} options={FILTERS} aria-label={t`Which weapon`} />
        <span className="next-reason" aria-live="polite">
          {reason ??
            (next?.after === null
              ? t`Ways to start, most ready first.`
              : within
                ? t`What fits after the cursor, the usual first.`
                : t`What fits next, the usual first.`)}
        </span>
      </div>
      <Toolbar label={t`What can follow`} className={old ? "next-list next-old" : "next-list"}>
        {shown.map((one) => (
          <button
            key={one.text}
            type="button"
            className={`chip next-${one.verdict}`}
            onClick={() => {
              setPointed(null);
              onPress(one.text);
            }}
            onPointerEnter={() => setPointed(one.text)}
            onPointerLeave={() => setPointed(null)}
            onFocus={() => setPointed(one.text)}
            onBlur={() => setPointed(null)}
            aria-label={`${one.words}, ${one.waitMs === 0 ? t`no wait` : t`${one.waitMs} ms wait`}`}
            title={one.words}
          >
            {one.text} <small>{one.waitMs === 0 ? t`no wait` : `+${one.waitMs}`}</small>
          </button>
        ))}
      </Toolbar>
    </section>
  );
});
