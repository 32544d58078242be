import type { Item } from "../api/client";

/**
 * A strike. Lead is light, outlined and pointed; rear is solid and square: shape, fill and colour say the same, so it
 * reads in black and white. A feint is hollow, a hard strike heavier, a light one thinner.
 */
export function Tile({ item, x, y, size }: { item: Item; x: number; y: number; size: number }) {
  const half = size / 2;
  const tip = size * 0.26;
  const lead = item.role === "lead";
  const shape = lead
    ? `M${-half} ${-half}H${half - tip * 0.4}L${half + tip * 0.6} 0L${half - tip * 0.4} ${half}H${-half}Z`
    : `M${-half + 3} ${-half}H${half - 3}Q${half} ${-half} ${half} ${-half + 3}V${half - 3}Q${half} ${half} ${half - 3} ${half}H${-half + 3}Q${-half} ${half} ${-half} ${half - 3}V${-half + 3}Q${-half} ${-half} ${-half + 3} ${-half}Z`;
  const classes = ["tile", `tile-${item.role}`, item.feint ? "tile-feint" : "", `tile-${item.effort}`];
  return (
    <g transform={`translate(${x} ${y})`} className={classes.join(" ")}>
      <path d={shape} />
      <Label text={item.label} size={size} lead={lead} />
    </g>
  );
}

/** A number fills the tile; a strike without a number is written small, a word a line. */
function Label({ text, size, lead }: { text: string; size: number; lead: boolean }) {
  const x = lead ? -size * 0.03 : 0;
  if (text.length <= 3) {
    const scale = text.length === 3 ? 0.52 : 0.64;
    return (
      <text x={x} y={size * scale * 0.35} fontSize={size * scale} textAnchor="middle">
        {text}
      </text>
    );
  }
  const words = text.split(" ").filter((word) => word !== "lead" && word !== "rear");
  return words.slice(0, 3).map((word, at) => (
    <text
      key={word}
      x={x}
      y={size * 0.26 * (at - (Math.min(3, words.length) - 1) / 2) + size * 0.09}
      fontSize={size * 0.26}
      textAnchor="middle"
    >
      {word.slice(0, 8)}
    </text>
  ));
}
