import { type FocusEvent, type KeyboardEvent, type ReactNode, useEffect, useId, useMemo, useRef } from "react";
import type { LineDrawing, Stance } from "../api/client";
import { useWidth } from "../ui/useWidth";
import { Feet } from "./Feet";
import { LineItem } from "./LineItem";
import { type Placed, place } from "./place";
import { Ribbon } from "./Ribbon";
import "./combination-line.css";

/** The edits that keys make on a tile. */
export type KeyedEdit = "leave-out" | "earlier" | "later" | "higher" | "lower";
const EDIT_KEYS: Record<string, KeyedEdit> = {
  Delete: "leave-out",
  Backspace: "leave-out",
  "Shift ArrowLeft": "earlier",
  "Shift ArrowRight": "later",
  "Shift ArrowUp": "higher",
  "Shift ArrowDown": "lower",
};

interface Props {
  /** The drawing that the core has computed. */
  drawing: LineDrawing;
  /** The stance whose feet are drawn, where there is room. */
  stance?: Stance;
  selected?: number | null;
  onSelect?: (at: number | null) => void;
  /** Called when Enter opens an item; by default it is selected. */
  onOpen?: (at: number) => void;
  /** Called with the sentence of the item under the pointer or with the focus. */
  onPoint?: (sentence: string | null) => void;
  /** Called when a key edits an item, such as "earlier". */
  onEdit?: (what: KeyedEdit, at: number) => void;
  /** The time in ms that the width represents, where two lines share an axis; by default the length of the chain. */
  spanMs?: number;
  /** Indices of items that are marked as different. */
  marked?: ReadonlySet<number>;
  /** The width in px, for the row size only. */
  width?: number;
  name: string;
  /** Drawn over the line, such as a moving mark. */
  overlay?: (line: Placed) => ReactNode;
}

/** The picture of a combination: time to the right, target as height, weight and feet below. */
export function CombinationLine({
  drawing,
  stance = "orthodox",
  selected = null,
  onSelect,
  onOpen,
  onPoint,
  onEdit,
  spanMs,
  marked,
  width: fixed,
  name,
  overlay,
}: Props) {
  const [holder, measured] = useWidth(fixed ?? 720);
  const width = fixed ?? measured;
  const line = useMemo(() => place(drawing, width, spanMs), [drawing, width, spanMs]);
  const hatch = useId();
  const followed = useFollowedFocus(selected, drawing);
  const small = drawing.size === "row";
  // A small line, or one without callbacks, is not interactive.
  const still = small || (onSelect === undefined && onPoint === undefined);

  const onKey = keysOf(drawing, { onSelect, onOpen, onEdit });
  return (
    <div
      className={`combination-line line-${drawing.size}${overlay ? " line-plays" : ""}`}
      ref={holder}
      // A line that is too wide can be scrolled by keyboard: by its tiles, or as a whole where it is not interactive.
      tabIndex={still && !small && line.width > width ? 0 : undefined}
    >
      <svg
        width={line.width}
        height={drawing.height}
        viewBox={`0 0 ${line.width} ${drawing.height}`}
        {...followed}
        role={still ? "img" : "group"}
        aria-label={small ? drawing.words : name}
      >
        <Hatch id={hatch} />
        <Lanes line={line} />
        {drawing.gaps.map((gap) => (
          <Wait key={gap.toMs} gap={gap} line={line} hatch={`url(#${hatch})`} onPoint={onPoint} />
        ))}
        <path d={line.curve(drawing.melody)} className="melody" />
        {drawing.ribbon && <Ribbon ribbon={drawing.ribbon} line={line} />}
        {drawing.feet && <Feet feet={drawing.feet[stance]} line={line} />}
        {drawing.joints.map((joint) => (
          <path key={joint.ms} d={`M${line.x(joint.ms)} ${joint.from}V${joint.to}`} className="joint" />
        ))}
        <g>
          {drawing.items.map((item, at) => {
            const drawn = (
              <LineItem key={at} item={item} line={line} selected={selected === at} marked={marked?.has(at) ?? false} />
            );
            return still ? (
              drawn
            ) : (
              <ItemButton key={at} {...{ item, at, selected, onSelect, onPoint }} onKey={(event) => onKey(event, at)}>
                {drawn}
              </ItemButton>
            );
          })}
        </g>
        {overlay?.(line)}
      </svg>
    </div>
  );
}

/** Hatches waits for a reload. */
function Hatch({ id }: { id: string }) {
  return (
    <defs>
      <pattern id={id} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" className="hatch-ground" />
        <path d="M0 0V7" className="hatch-stroke" />
      </pattern>
    </defs>
  );
}

/** Keeps the keyboard's focus on the selected item, also when it has moved. */
function useFollowedFocus(selected: number | null, drawing: LineDrawing) {
  const ref = useRef<SVGSVGElement>(null);
  const inside = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another drawing may have put it elsewhere
  useEffect(() => {
    if (inside.current && selected !== null) {
      ref.current?.querySelector<SVGElement>(`[data-at="${selected}"]`)?.focus();
    }
  }, [selected, drawing]);
  return {
    ref,
    onFocus: () => {
      inside.current = true;
    },
    onBlur: (event: FocusEvent<SVGSVGElement>) => {
      inside.current = event.target.isConnected && event.currentTarget.contains(event.relatedTarget);
    },
  };
}

interface ButtonProps extends Pick<Props, "onSelect" | "onPoint"> {
  item: LineDrawing["items"][number];
  at: number;
  selected: number | null;
  onKey: (event: KeyboardEvent) => void;
  children: ReactNode;
}

/** An item that can be selected, pointed at and edited by keys. */
function ItemButton({ item, at, selected, onSelect, onPoint, onKey, children }: ButtonProps) {
  return (
    <g
      data-at={at}
      role="button"
      aria-pressed={selected === at}
      aria-label={item.sentence}
      tabIndex={selected === at || (selected === null && at === 0) ? 0 : -1}
      className="item"
      onClick={() => onSelect?.(selected === at ? null : at)}
      onKeyDown={onKey}
      onPointerEnter={() => onPoint?.(item.sentence)}
      onPointerLeave={() => onPoint?.(null)}
      onFocus={() => onPoint?.(item.sentence)}
      onBlur={() => onPoint?.(null)}
    >
      {children}
    </g>
  );
}

/** Returns what the keys do on an item: edit it, go to the one beside it, open it, or end the selection. */
function keysOf(drawing: LineDrawing, { onSelect, onOpen, onEdit }: Pick<Props, "onSelect" | "onOpen" | "onEdit">) {
  return (event: KeyboardEvent, at: number) => {
    const edit = EDIT_KEYS[event.shiftKey ? `Shift ${event.key}` : event.key];
    if (edit && onEdit) {
      event.preventDefault();
      onEdit(edit, at);
      return;
    }
    const step = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (step !== 0 && drawing.items[at + step]) {
      event.preventDefault();
      onSelect?.(at + step);
      const next = event.currentTarget.parentElement?.querySelector<SVGElement>(`[data-at="${at + step}"]`);
      next?.focus();
    } else if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      (onOpen ?? onSelect)?.(at);
    } else if (event.key === "Escape") {
      onSelect?.(null);
    }
  };
}

function Lanes({ line }: { line: Placed }) {
  const { drawing } = line;
  return (
    <g aria-hidden="true">
      {drawing.lanes.map((lane) => (
        <g key={lane.name}>
          <path
            d={`M${drawing.left} ${lane.y}H${line.right}`}
            className={lane.name === "moves" ? "lane lane-moves" : "lane"}
          />
          {drawing.isNamed && (
            <text x={drawing.left - 12} y={lane.y + 4} className="lane-name">
              {lane.name}
            </text>
          )}
        </g>
      ))}
      {drawing.ticks.map((tick) => (
        <text key={tick.ms} x={line.x(tick.ms)} y={tick.y} className="tick">
          {tick.text}
        </text>
      ))}
    </g>
  );
}

/** Draws a wait: a hatched gap with its milliseconds for a reload, a torn one for a break. */
function Wait({
  gap,
  line,
  hatch,
  onPoint,
}: {
  gap: LineDrawing["gaps"][number];
  line: Placed;
  hatch: string;
  onPoint?: Props["onPoint"];
}) {
  const from = line.x(gap.fromMs);
  const to = Math.max(from + 3, line.x(gap.toMs));
  const torn = gap.verdict === "breaks";
  const area =
    torn && line.drawing.size !== "row" ? (
      <path d={tear(from, to, gap.top, gap.bottom)} className="gap gap-breaks" />
    ) : (
      <rect
        x={from}
        y={gap.top}
        width={to - from}
        height={gap.bottom - gap.top}
        className={`gap gap-${gap.verdict}`}
        fill={torn ? undefined : hatch}
      />
    );
  if (line.drawing.size === "row") {
    return area;
  }
  return (
    <g
      className="wait"
      role="img"
      aria-label={gap.sentence}
      onPointerEnter={() => onPoint?.(gap.sentence)}
      onPointerLeave={() => onPoint?.(null)}
    >
      {area}
      <text x={(from + to) / 2} y={gap.top - 6} className={`gap-label gap-label-${gap.verdict}`}>
        {gap.sign} {gap.label}
      </text>
    </g>
  );
}

/** Returns two ragged edges with nothing between them, the sign of a break. */
function tear(from: number, to: number, top: number, bottom: number): string {
  const steps = 9;
  const edge = (x: number, down: boolean) =>
    Array.from({ length: steps + 1 }, (_, at) => {
      const part = down ? at : steps - at;
      return `${x + (part % 2 === 0 ? -3.5 : 3.5)} ${top + ((bottom - top) * part) / steps}`;
    });
  return `M${[...edge(from, true), ...edge(to, false)].join("L")}Z`;
}
