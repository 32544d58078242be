import { useQuery } from "@tanstack/react-query";
import { Segmented } from "antd";
import { useState } from "react";
import { answered, api, type NextRequest } from "../api/client";
import { LIMBS } from "../ui/words";

const SHOWN = 40;
const FILTERS = [
  { value: "", label: "All" },
  ...LIMBS.map((limb) => ({ ...limb, value: limb.value as string })),
  { value: "move", label: "Moves" },
];

interface Props {
  request: NextRequest;
  /** Whether the request stands for what is in the line now. */
  ready: boolean;
  /** Whether the answer to what is in the line now is late or cannot be had. */
  old: boolean;
  onPress: (text: string) => void;
}

/** What flows from here, the soonest first: from the end of the chain, or from what is selected. */
export function NextStrip({ request, ready, old, onPress }: Props) {
  const [filter, setFilter] = useState("");
  const [pointed, setPointed] = useState<string | null>(null);
  const query = useQuery({
    queryKey: ["next", JSON.stringify(request)],
    queryFn: ({ signal }) =>
      answered(api.POST("/api/next", { params: { header: { "X-CSRF-Token": "" } }, body: request, signal })),
    enabled: ready,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    placeholderData: (before) => before,
  });
  const next = (query.data?.next ?? [])
    .filter((one) =>
      filter === "" ? one.kind === "strike" : filter === "move" ? one.kind === "move" : one.limb === filter,
    )
    .slice(0, SHOWN);
  const reason = next.find((one) => one.text === pointed)?.reason;
  return (
    <section className="panel next" aria-label="What flows from here">
      <div className="next-head">
        <h2>From here</h2>
        <Segmented size="small" value={filter} onChange={setFilter} options={FILTERS} aria-label="Which weapon" />
        <span className="next-reason" aria-live="polite">
          {reason ??
            (request.after === null
              ? "After the last item, the soonest first."
              : "After what is selected, the soonest first.")}
        </span>
      </div>
      <ul className={old || query.failureReason ? "next-old" : undefined}>
        {next.map((one) => (
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
}
