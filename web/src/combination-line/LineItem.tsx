import type { LineDrawing } from "../api/client";
import { Glyph } from "./Glyph";
import type { Placed } from "./place";

type Item = LineDrawing["items"][number];

/** One item: a tile for a strike, a glyph for a move. */
export function LineItem({
  item,
  line,
  selected,
  marked,
}: {
  item: Item;
  line: Placed;
  selected: boolean;
  marked: boolean;
}) {
  const { drawing } = line;
  const { y } = item;
  const x = line.x(item.ms) + item.shift;
  const row = drawing.size === "row";
  if (item.kind === "strike") {
    const half = drawing.tile / 2;
    return (
      <>
        {!row && <path d={`M${line.x(item.startMs)} ${y}H${x}`} className={`way way-${item.role}`} />}
        {selected && (
          <rect
            x={x - half - 5}
            y={y - half - 5}
            width={drawing.tile + 14}
            height={drawing.tile + 10}
            rx="6"
            className="chosen"
          />
        )}
        <Tile item={item} x={x} />
        {marked && <Difference x={x} y={y + half + 5} width={drawing.tile} />}
      </>
    );
  }
  if (row) {
    return <Glyph path={item.glyph} x={x} y={y} size={item.glyphSize} />;
  }
  return (
    <>
      <rect x={x - 17} y={y - 14} width="34" height="28" rx="6" className={selected ? "move chosen-move" : "move"} />
      <Glyph path={item.glyph} x={x} y={y} size={item.glyphSize} />
      {marked && <Difference x={x} y={y + 19} width={34} />}
      {item.name && (
        <text x={x} y={y + 27} className="move-name">
          {item.name}
        </text>
      )}
    </>
  );
}

/** A feint is hollow, a hard strike bolder, a light one thinner. */
export function Tile({ item, x }: { item: Item; x: number }) {
  const classes = ["tile", `tile-${item.role}`, item.isFeint ? "tile-feint" : "", `tile-${item.effort}`];
  return (
    <g transform={`translate(${x} ${item.y})`} className={classes.join(" ")}>
      <path d={item.shape ?? ""} />
      {item.legSign && <path d={item.legSign} className="leg-sign" />}
      {item.label.map((label) => (
        <text key={label.text} x={label.x} y={label.y} fontSize={label.size} textAnchor="middle">
          {label.text}
        </text>
      ))}
    </g>
  );
}

/** Underlines what the other of two compared chains does not have. */
function Difference({ x, y, width }: { x: number; y: number; width: number }) {
  return <path d={`M${x - width / 2} ${y}h${width}`} className="difference" />;
}
