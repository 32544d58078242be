import { area, line as curve, curveBumpX, curveMonotoneX } from "d3-shape";
import { type KeyboardEvent, useId, useMemo } from "react";
import type { Balance, Item, Link, Stance } from "../api/client";
import { VERDICTS } from "../app/words";
import { Feet } from "./Feet";
import { Glyph } from "./Glyph";
import { aside, type Layout, type LineData, layout, linkTo, loadTrack, overFeet, place, type Size } from "./geometry";
import { itemSentence, linkSentence } from "./sentences";
import { Tile } from "./Tile";
import { useWidth } from "./useWidth";
import "./combination-line.css";

interface Props {
  data: LineData;
  size: Size;
  /** The running stances that turn the feet; without them no feet are drawn. */
  runningStances?: Stance[];
  selected?: number | null;
  onSelect?: (at: number | null) => void;
  /** Told what the pointer or the focus is on, so that its sentence can be shown. */
  onPoint?: (sentence: string | null) => void;
  /** The time that the width stands for, in ms, where two lines share one axis; the length of the chain by itself. */
  spanMs?: number;
  /** Places of the items to be marked as different. */
  marked?: ReadonlySet<number>;
  /** Only for the row size: the width in px. */
  width?: number;
  name: string;
}

/** The picture of a combination: time to the right, height as target, weight and feet below. */
export function CombinationLine({
  data,
  size,
  runningStances,
  selected = null,
  onSelect,
  onPoint,
  spanMs,
  marked,
  width: fixed,
  name,
}: Props) {
  const [holder, measured] = useWidth(fixed ?? 720);
  const width = fixed ?? measured;
  const span = spanMs ?? data.lengthMs ?? 0;
  const line = useMemo(() => layout(size, width, span), [size, width, span]);
  const hatch = useId();
  const small = size === "row";

  const onKey = (event: KeyboardEvent, at: number) => {
    const step = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (step !== 0 && data.items[at + step]) {
      event.preventDefault();
      onSelect?.(at + step);
      const next = event.currentTarget.parentElement?.querySelector<SVGElement>(`[data-at="${at + step}"]`);
      next?.focus();
    } else if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      onSelect?.(at);
    } else if (event.key === "Escape") {
      onSelect?.(null);
    }
  };

  const describe = small ? data.items.map((item) => item.words).join(", ") : name;
  return (
    <div className={`combination-line line-${size}`} ref={holder}>
      <svg
        width={line.width}
        height={line.height}
        viewBox={`0 0 ${line.width} ${line.height}`}
        role={small ? "img" : "group"}
        aria-label={describe}
      >
        <defs>
          <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="7" height="7" className="hatch-ground" />
            <path d="M0 0V7" className="hatch-stroke" />
          </pattern>
        </defs>
        <Lanes line={line} size={size} end={span} />
        {data.links.map((link) => (
          <Wait
            key={link.to}
            link={link}
            data={data}
            line={line}
            size={size}
            hatch={`url(#${hatch})`}
            onPoint={onPoint}
          />
        ))}
        {!small && <Melody items={data.items} line={line} />}
        {line.ribbon && (
          <Ribbon items={data.items} balance={data.balance ?? null} line={line} named={size === "full"} />
        )}
        {size === "full" && runningStances && <Feet items={data.items} stances={runningStances} line={line} />}
        {data.items.map((item, at) => {
          const before = data.items[at - 1];
          return item.joined && before ? (
            <path
              key={item.startMs + item.text}
              d={`M${place(before, line).x} ${place(before, line).y}V${place(item, line).y}`}
              className="joint"
            />
          ) : null;
        })}
        <g>
          {data.items.map((item, at) => {
            const sentence = itemSentence(item, linkTo(data.links, at));
            const mark = (
              <Mark
                key={`${at}-${item.text}`}
                item={item}
                shift={aside(data.items, at, line.tile)}
                line={line}
                size={size}
                selected={selected === at}
                marked={marked?.has(at) ?? false}
              />
            );
            return small ? (
              mark
            ) : (
              <g
                key={`${at}-${item.text}`}
                data-at={at}
                role="button"
                aria-pressed={selected === at}
                aria-label={sentence}
                tabIndex={selected === at || (selected === null && at === 0) ? 0 : -1}
                className="item"
                onClick={() => onSelect?.(selected === at ? null : at)}
                onKeyDown={(event) => onKey(event, at)}
                onPointerEnter={() => onPoint?.(sentence)}
                onPointerLeave={() => onPoint?.(null)}
                onFocus={() => onPoint?.(sentence)}
                onBlur={() => onPoint?.(null)}
              >
                {mark}
              </g>
            );
          })}
        </g>
      </svg>
    </div>
  );
}

function Lanes({ line, size, end }: { line: Layout; size: Size; end: number }) {
  const full = size === "full";
  const names: [keyof Layout["lanes"], string][] = [
    ["head", "head"],
    ["body", "body"],
    ["leg", "leg"],
    ["moves", "moves"],
  ];
  const right = line.width - (full ? 10 : 2);
  const ticks: number[] = [];
  for (let ms = 0; full && ms <= end; ms += 500) {
    ticks.push(ms);
  }
  return (
    <g aria-hidden="true">
      {names.map(([lane, name]) => (
        <g key={lane}>
          <path
            d={`M${line.left}${" "}${line.lanes[lane]}H${right}`}
            className={lane === "moves" ? "lane lane-moves" : "lane"}
          />
          {full && (
            <text x={line.left - 12} y={line.lanes[lane] + 4} className="lane-name">
              {name}
            </text>
          )}
        </g>
      ))}
      {ticks.map((ms) => (
        <text key={ms} x={line.x(ms)} y={(line.ribbon?.back ?? 0) + 17} className="tick">
          {ms === 0 ? "0" : `${ms / 1000} s`}
        </text>
      ))}
    </g>
  );
}

/** A reload is a hatched gap with its milliseconds, a break a torn one. */
function Wait({
  link,
  data,
  line,
  size,
  hatch,
  onPoint,
}: {
  link: Link;
  data: LineData;
  line: Layout;
  size: Size;
  hatch: string;
  onPoint?: Props["onPoint"];
}) {
  const item = data.items[link.to];
  if (!item || link.verdict === "flows") {
    return null;
  }
  const from = line.x(Math.max(0, item.startMs - link.waitMs));
  const to = line.x(item.startMs);
  const top = size === "row" ? 2 : line.lanes.head - line.tile / 2 - 4;
  const bottom = size === "row" ? line.height - 3 : line.lanes.moves + 20;
  const sentence = linkSentence(data.items, link);
  const torn = link.verdict === "breaks";
  if (size === "row") {
    return (
      <rect
        x={from}
        y={top}
        width={Math.max(3, to - from)}
        height={bottom - top}
        className={`gap gap-${link.verdict}`}
        fill={torn ? undefined : hatch}
      />
    );
  }
  return (
    <g
      className="wait"
      role="img"
      aria-label={sentence}
      tabIndex={0}
      onPointerEnter={() => onPoint?.(sentence)}
      onPointerLeave={() => onPoint?.(null)}
      onFocus={() => onPoint?.(sentence)}
      onBlur={() => onPoint?.(null)}
    >
      {torn ? (
        <path d={tear(from, to, top, bottom)} className="gap gap-breaks" />
      ) : (
        <rect x={from} y={top} width={to - from} height={bottom - top} className="gap gap-reload" fill={hatch} />
      )}
      <text x={(from + to) / 2} y={top - 6} className={`gap-label gap-label-${link.verdict}`}>
        {VERDICTS[link.verdict].sign} +{link.waitMs}
      </text>
    </g>
  );
}

/** Two ragged edges with nothing between them. */
function tear(from: number, to: number, top: number, bottom: number): string {
  const steps = 9;
  const edge = (x: number, down: boolean) =>
    Array.from({ length: steps + 1 }, (_, at) => {
      const part = down ? at : steps - at;
      return `${x + (part % 2 === 0 ? -3.5 : 3.5)} ${top + ((bottom - top) * part) / steps}`;
    });
  return `M${[...edge(from, true), ...edge(to, false)].join("L")}Z`;
}

/** A thin line from strike to strike, so that the eye follows the change of height. */
function Melody({ items, line }: { items: Item[]; line: Layout }) {
  const points = items.filter((item) => item.kind === "strike").map((item) => place(item, line));
  const path = curve<{ x: number; y: number }>(
    (point) => point.x,
    (point) => point.y,
  ).curve(curveBumpX)(points);
  return path ? <path d={path} className="melody" /> : null;
}

/** The weight between the feet, scaled so that its swing is read at a glance. */
function Ribbon({
  items,
  balance,
  line,
  named,
}: {
  items: Item[];
  balance: Balance | null;
  line: Layout;
  named: boolean;
}) {
  const rails = line.ribbon ?? { front: 0, back: 0 };
  const middle = (rails.front + rails.back) / 2;
  // A quarter of the weight either way from even reaches the rail.
  const y = (load: number) =>
    middle - ((Math.min(0.75, Math.max(0.25, load)) - 0.5) / 0.25) * ((rails.back - rails.front) / 2 - 4);
  const track = loadTrack(items);
  type Point = { ms: number; load: number };
  const x = (point: Point) => line.x(point.ms);
  const swing = curve<Point>(x, (point) => y(point.load)).curve(curveMonotoneX)(track);
  const fill = area<Point>(x, middle, (point) => y(point.load)).curve(curveMonotoneX)(track);
  const words = items.map((item) => `${item.label} ${Math.round(item.load * 100)} %`).join(", ");
  return (
    <g role="img" aria-label={`Weight on the front foot: ${words}`}>
      <rect
        x={line.left}
        y={rails.front}
        width={line.width - line.left - (named ? 10 : 2)}
        height={rails.back - rails.front}
        className="ribbon-ground"
      />
      <path d={`M${line.left} ${middle}H${line.width - (named ? 10 : 2)}`} className="ribbon-middle" />
      {fill && <path d={fill} className="ribbon-fill" />}
      {swing && <path d={swing} className="ribbon-line" />}
      {items.map((item, at) =>
        item.kind === "strike" && item.impactMs !== null && !items[at + 1]?.joined ? (
          <circle
            key={`${item.at}-${item.startMs}`}
            cx={line.x(item.impactMs)}
            cy={y(item.load)}
            r="3.200"
            className={`ribbon-dot dot-${item.role}`}
          />
        ) : null,
      )}
      {balance && <Hips balance={balance} line={line} y={y} named={named} />}
      {named && (
        <>
          <text x={line.left - 12} y={rails.front + 12} className="lane-name">
            front foot
          </text>
          <text x={line.left - 12} y={rails.back - 4} className="lane-name">
            back foot
          </text>
        </>
      )}
    </g>
  );
}

/** The hips over the feet, as the pendulum has them; where they run past the feet it is said how far. */
function Hips({
  balance,
  line,
  y,
  named,
}: {
  balance: Balance;
  line: Layout;
  y: (load: number) => number;
  named: boolean;
}) {
  type Point = Balance["points"][number];
  const path = curve<Point>(
    (point) => line.x(point.ms),
    (point) => y(overFeet(point.hipsCm, balance)),
  ).curve(curveMonotoneX)(balance.points);
  const last = balance.points.at(-1);
  const rails = line.ribbon ?? { front: 0, back: 0 };
  return (
    <g className="hips">
      {path && <path d={path} className="hips-line" />}
      {named && last && (
        <text x={line.x(last.ms) + 6} y={y(overFeet(last.hipsCm, balance)) + 4} className="hips-name">
          hips
        </text>
      )}
      {balance.overcommitted && (
        <g>
          <path d={`M${line.x(balance.leastMs)} ${rails.front - 2}V${rails.back + 2}`} className="hips-over" />
          <text x={line.x(balance.leastMs) + 5} y={rails.front + 13} className="hips-over-name">
            ✕ {Math.abs(balance.leastCm).toFixed(0)} cm past the feet
          </text>
        </g>
      )}
    </g>
  );
}

function Mark({
  item,
  shift,
  line,
  size,
  selected,
  marked,
}: {
  item: Item;
  shift: number;
  line: Layout;
  size: Size;
  selected: boolean;
  marked: boolean;
}) {
  const { x, y } = place(item, line);
  if (item.kind === "strike") {
    return (
      <>
        {size !== "row" && <path d={`M${line.x(item.startMs)} ${y}H${x + shift}`} className={`way way-${item.role}`} />}
        {selected && (
          <rect
            x={x + shift - line.tile / 2 - 5}
            y={y - line.tile / 2 - 5}
            width={line.tile + 14}
            height={line.tile + 10}
            rx="6"
            className="chosen"
          />
        )}
        <Tile item={item} x={x + shift} y={y} size={line.tile} />
        {marked && <Difference x={x + shift} y={y + line.tile / 2 + 5} width={line.tile} />}
      </>
    );
  }
  const name = item.kind === "move" ? (item.move ?? "") : item.kind;
  if (size === "row") {
    return <Glyph name={name} x={x} y={y} size={17} />;
  }
  const words = item.label.split(" ");
  return (
    <>
      <rect x={x - 17} y={y - 14} width="34" height="28" rx="6" className={selected ? "move chosen-move" : "move"} />
      <Glyph name={name} x={x} y={y} size={20} />
      {marked && <Difference x={x} y={y + 19} width={34} />}
      {size === "full" && (
        <text x={x} y={y + 27} className="move-name">
          {words.join(" ")}
        </text>
      )}
    </>
  );
}

/** Under what the other of two compared chains does not have. */
function Difference({ x, y, width }: { x: number; y: number; width: number }) {
  return <path d={`M${x - width / 2} ${y}h${width}`} className="difference" />;
}
