import { Segmented } from "antd";
import { memo, useState } from "react";
import type { Continuations } from "../api/client";
import { LIMBS } from "../ui/words";

const SHOWN = 40;
const FILTERS = [
  { value: "", label: "All" },
  ...LIMBS.map((limb) => ({ ...limb, value: limb.value as string })),
  { value: "move", label: "Moves" },
];

interface Props {
  next: Continuations | undefined;
  /** Whether something follows an item within the chain rather than its end. */
  within: boolean;
  /** Whether it is about an earlier line, and the answer to this one is late or cannot be had. */
  old: boolean;
  onPress: (text: string) => void;
}

/** What flows from here, the soonest first: from the end of the chain, or from where the cursor stands. */
export const NextStrip = memo(function NextStrip({ next, within, old, onPress }: Props) {
  const [filter, setFilter] = useState("");
  const [pointed, setPointed] = useState<string | null>(null);
  const shown = (next?.next ?? [])
    .filter((one) =>
      filter === "" ? one.kind === "strike" : filter === "move" ? one.kind === "move" : one.limb === filter,
    )
    .slice(0, SHOWN);
  const reason = shown.find((one) => one.text === pointed)?.reason;
  return (
    <section className="panel next" aria-label="What flows from here">
      <div className="next-head">
        <h2>From here</h2>
        <Segmented size="small" value={filter} onChange={setFilter} options={FILTERS} aria-label="Which weapon" />
        <span className="next-reason" aria-live="polite">
          {reason ??
            (within ? "After the item at the cursor, the soonest first." : "After the last item, the soonest first.")}
        </span>
      </div>
      <ul className={old ? "next-old" : undefined}>
        {shown.map((one) => (
          <li key={one.text}>
            <button
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
              aria-label={`${one.words}, ${one.waitMs === 0 ? "at once" : `${one.waitMs} ms`}`}
              title={one.words}
            >
              {one.text} <small>{one.waitMs === 0 ? "at once" : `+${one.waitMs}`}</small>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
});
