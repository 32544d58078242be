import { useDraggable, useDroppable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from "react";
import type { SessionDocument } from "../api/client";
import type { PlanBlock } from "../api/schema";
import { BLOCK_KINDS, labelOf } from "../ui/words";
import { type Dragged, type Dropped, MIN_ROUND_SECONDS, roundKey, stretch } from "./drag";
import { usePlanContext } from "./planContext";
import { clock } from "./time";

type Segment = SessionDocument["segments"][number];

/** Step in s when a round is stretched. */
const STEP_SECONDS = 15;

/** The session as a time line: blocks above, a row for each track, with rounds that can be moved and stretched. */
export function Ruler() {
  const { document, content, old } = usePlanContext();
  if (!document || document.lengthMs === 0) {
    return (
      <section className="ruler ruler-empty" aria-label={t`Clock`}>
        <p className="small">
          <Trans>The session is empty. Add a set to a round to start the clock.</Trans>
        </p>
      </section>
    );
  }
  const whole = Math.max(document.lengthMs, 60_000 * (content.minutes ?? 0));
  const at = (ms: number) => `${(100 * ms) / whole}%`;
  const rows = content.tracks.length === 0 ? [null] : content.tracks.map((_, track) => track);
  const every = whole > 5_400_000 ? 15 : whole > 1_500_000 ? 5 : 1;
  const ticks = Array.from({ length: Math.ceil(whole / 60_000 / every) }, (_, tick) => tick * every);
  return (
    <section className={old ? "ruler is-old" : "ruler"} aria-label={t`Clock`} aria-busy={old}>
      <div className="ruler-blocks" aria-hidden="true">
        {spans(document.segments, (segment) => segment.place.block).map(([block, from, to]) => (
          <span key={block} className="ruler-block" style={{ left: at(from), width: at(to - from) }}>
            {titleOf(content.blocks[block])}
          </span>
        ))}
      </div>
      {rows.map((track) => (
        <div key={track ?? "all"} className="ruler-row">
          {track !== null && <span className="ruler-track">{content.tracks[track]?.name}</span>}
          {document.segments
            .filter((segment) => segment.track === null || segment.track === track)
            .map((segment) => (
              <span
                key={`${segment.fromMs} ${segment.kind}`}
                className={`segment segment-${segment.kind}${segment.place.round !== null && content.blocks[segment.place.block ?? -1]?.rounds[segment.place.round]?.stance === "other" ? " segment-other" : ""}`}
                style={{ left: at(segment.fromMs), width: at(segment.toMs - segment.fromMs) }}
              />
            ))}
        </div>
      ))}
      <div className="ruler-rounds">
        {content.blocks.flatMap((block, b) =>
          block.rounds.map((round, r) => {
            const own = document.segments.filter(
              (segment) => segment.place.block === b && segment.place.round === r && segment.kind !== "changeover",
            );
            const from = Math.min(...own.map((segment) => segment.fromMs));
            const to = Math.max(...own.map((segment) => segment.toMs));
            return own.length === 0 ? null : (
              <RoundHandle
                // biome-ignore lint/suspicious/noArrayIndexKey: a round is identified by its place
                key={`${b} ${r}`}
                block={b}
                round={r}
                left={at(from)}
                width={at(to - from)}
                whole={whole}
                label={t`${titleOf(block)}, round ${r + 1}, ${round.times > 1 ? `${round.times} × ` : ""}${clock(1000 * (round.seconds ?? 0))}${round.stance === "other" ? t`, other stance` : ""}`}
              />
            );
          }),
        )}
      </div>
      <div className="ruler-ticks" aria-hidden="true">
        {ticks.map((minute) => (
          <span key={minute} style={{ left: at(minute * 60_000) }}>
            {minute}
          </span>
        ))}
        {content.minutes && document.lengthMs > 60_000 * content.minutes && (
          <span className="ruler-end" style={{ left: at(60_000 * content.minutes) }} />
        )}
      </div>
    </section>
  );
}

/** Returns start and end of each group of segments. */
function spans(segments: Segment[], of: (segment: Segment) => number | null): [number, number, number][] {
  const found = new Map<number, [number, number]>();
  for (const segment of segments) {
    const number = of(segment);
    if (number !== null) {
      const [from, to] = found.get(number) ?? [segment.fromMs, segment.toMs];
      found.set(number, [Math.min(from, segment.fromMs), Math.max(to, segment.toMs)]);
    }
  }
  return [...found].map(([number, [from, to]]) => [number, from, to]);
}

interface HandleProps {
  block: number;
  round: number;
  left: string;
  width: string;
  whole: number;
  label: string;
}

/** The round to focus once the clock shows it. */
let wanted: { block: number; round: number } | null = null;

/** A round on the clock: press to show it, drag to move it, drag its right edge to stretch it, or use the keys. */
function RoundHandle({ block, round, left, width, whole, label }: HandleProps) {
  const { content, change, select, selected } = usePlanContext();
  const id = `ruler ${block} ${round}`;
  const drag = useDraggable({ id, data: { kind: "round", block, round, label, onClock: true } satisfies Dragged });
  const target = useDroppable({ id, data: { kind: "round", block, round } satisfies Dropped });
  const { by, edge } = useStretching(block, round, whole);
  const chosen = selected?.block === block && selected.round === round;

  const press = useRef<HTMLButtonElement>(null);
  // A copy appears on the clock once the server has answered.
  useEffect(() => {
    if (wanted?.block === block && wanted.round === round) {
      wanted = null;
      press.current?.focus();
    }
  });
  const onKey = (event: KeyboardEvent<HTMLElement>) => {
    const place = wanted ?? { block, round };
    const done = roundKey(content, place, event);
    if (done) {
      event.preventDefault();
      event.stopPropagation();
      change(() => done.content);
      select({ block: place.block, round: done.round });
      wanted = { block: place.block, round: done.round };
    } else if (event.key === "ArrowRight" || event.key === "ArrowLeft") {
      const all = [...globalThis.document.querySelectorAll<HTMLElement>(".round-press")];
      all[all.indexOf(event.currentTarget) + (event.key === "ArrowRight" ? 1 : -1)]?.focus();
    } else if (event.key === "Enter") {
      select({ block, round });
      reveal(block, round);
    }
  };
  return (
    <span
      ref={(node) => {
        drag.setNodeRef(node);
        target.setNodeRef(node);
      }}
      className={`round-handle${chosen ? " is-chosen" : ""}${target.isOver ? " is-over" : ""}`}
      style={{ left, width }}
    >
      <button
        type="button"
        className="round-press"
        ref={press}
        aria-label={t`${label}. Shift and an arrow stretches it, Alt and an arrow moves it, Ctrl D copies it, Delete removes it.`}
        aria-pressed={chosen}
        title={t`${label}
Shift ← → stretches, Alt ← → moves, Ctrl D copies, Delete removes`}
        {...drag.listeners}
        onClick={() => {
          select({ block, round });
          reveal(block, round);
        }}
        onKeyDown={onKey}
      >
        {by !== 0 && (
          <b className="round-by">
            {clock(1000 * Math.max(MIN_ROUND_SECONDS, (content.blocks[block]?.rounds[round]?.seconds ?? 0) + by))}
          </b>
        )}
      </button>
      <span className="round-edge" {...edge} title={t`Drag to stretch`} />
    </span>
  );
}

/** Returns by how many seconds a round is being stretched, and what its edge listens to. */
function useStretching(block: number, round: number, whole: number) {
  const { content, change } = usePlanContext();
  const [by, setBy] = useState(0);
  const from = useRef<{ x: number; width: number } | null>(null);
  const times = content.blocks[block]?.rounds[round]?.times ?? 1;
  const grab = (event: PointerEvent<HTMLElement>) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const ruler = event.currentTarget.closest(".ruler-rounds")?.getBoundingClientRect();
    from.current = { x: event.clientX, width: ruler?.width ?? 1 };
  };
  const pull = (event: PointerEvent<HTMLElement>) => {
    if (from.current) {
      const seconds = (((event.clientX - from.current.x) / from.current.width) * whole) / 1000 / times;
      setBy(STEP_SECONDS * Math.round(seconds / STEP_SECONDS));
    }
  };
  const release = () => {
    if (from.current && by !== 0) {
      change((now) => stretch(now, { block, round }, by));
    }
    from.current = null;
    setBy(0);
  };
  return {
    by,
    edge: { onPointerDown: grab, onPointerMove: pull, onPointerUp: release, onPointerCancel: release },
  };
}

/** Scrolls a round into view. */
export function reveal(block: number, round: number): void {
  globalThis.document.getElementById(`round-${block}-${round}`)?.scrollIntoView({ block: "nearest", behavior: "auto" });
}

/** Returns the name of a block; one without a name is called by its kind. */
function titleOf(block: PlanBlock | undefined): string {
  return block ? block.name || labelOf(BLOCK_KINDS, block.kind) : "";
}
