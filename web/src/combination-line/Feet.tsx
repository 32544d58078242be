import type { Item, Stance } from "../api/client";
import type { Layout } from "./geometry";

/** How the pair of feet moves, seen from above: right is towards the opponent, lead side is the side of the front foot. */
const SHIFTS: Record<string, { ahead: number; lead: number; turn?: number }> = {
  "step-in": { ahead: 1, lead: 0 },
  "step-back": { ahead: -1, lead: 0 },
  "step-lead": { ahead: 0, lead: 1 },
  "step-rear": { ahead: 0, lead: -1 },
  "step-out": { ahead: 0.7, lead: 0.7 },
  "step-across": { ahead: 0.7, lead: -0.7 },
  "pivot-out": { ahead: 0, lead: 0, turn: -38 },
  "pivot-in": { ahead: 0, lead: 0, turn: 38 },
  "circle-lead": { ahead: 0, lead: 0.8, turn: 24 },
  "circle-rear": { ahead: 0, lead: -0.8, turn: -24 },
  exit: { ahead: -1.6, lead: 0 },
};

const STEP = 11;

/** The strip of footprints: one pair at the start, one at each item that moves or turns the feet. */
export function Feet({ items, stances, line }: { items: Item[]; stances: Stance[]; line: Layout }) {
  const y = line.feet;
  if (y === null) {
    return null;
  }
  const start = stances[0] ?? "orthodox";
  return (
    <g className="feet">
      <text x={line.left - 12} y={y + 4} className="lane-name">
        feet
      </text>
      <Pair x={line.left + 34} y={y} stance={start} />
      {items.map((item, at) => {
        const stance = stances[at] ?? start;
        const changes = item.feet === "change" || item.landsForward === true;
        if (!changes && (item.feet === undefined || item.feet === "stay")) {
          return null;
        }
        const x = line.x(item.endMs);
        // Too near the pair at the start to be read apart from it.
        const clear = Math.max(x, line.left + 104);
        return (
          <Change key={`${item.at}-${item.startMs}`} item={item} x={clear} y={y} before={stance} changes={changes} />
        );
      })}
    </g>
  );
}

function Change({
  item,
  x,
  y,
  before,
  changes,
}: {
  item: Item;
  x: number;
  y: number;
  before: Stance;
  changes: boolean;
}) {
  const after: Stance = changes ? (before === "orthodox" ? "southpaw" : "orthodox") : before;
  const shift = SHIFTS[item.move ?? ""] ?? { ahead: changes ? 0.6 : 0, lead: 0 };
  const up = before === "orthodox" ? -1 : 1;
  const dx = shift.ahead * STEP;
  const dy = shift.lead * STEP * up;
  return (
    <g>
      <g className="feet-before">
        <Pair x={x - dx} y={y - dy} stance={before} />
      </g>
      <Pair x={x} y={y} stance={after} turn={(shift.turn ?? 0) * -up} crossed={item.feet === "cross"} />
    </g>
  );
}

/** Front foot to the right. A left foot stands above the line of the chain, a right foot below it. */
function Pair({
  x,
  y,
  stance,
  turn = 0,
  crossed = false,
}: {
  x: number;
  y: number;
  stance: Stance;
  turn?: number;
  crossed?: boolean;
}) {
  const up = (stance === "orthodox" ? -1 : 1) * (crossed ? -0.6 : 1);
  return (
    <g transform={`translate(${x} ${y}) rotate(${turn})`}>
      <Foot x={15} y={8 * up} angle={6 * up} left={stance === "orthodox"} kind="lead" />
      <Foot x={-15} y={-8 * up} angle={-38 * up} left={stance !== "orthodox"} kind="rear" />
    </g>
  );
}

/** A sole: heel, waist and ball, the big toe on the inner side. */
function Foot({ x, y, angle, left, kind }: { x: number; y: number; angle: number; left: boolean; kind: string }) {
  return (
    <path
      className={`foot foot-${kind}`}
      transform={`translate(${x} ${y}) rotate(${angle}) scale(1 ${left ? 1 : -1})`}
      d="M-15 0C-15 -4.800 -10 -5.200 -6 -4.200C-2 -3.200 2 -6 8 -6.200C13.500 -6.400 16 -3.500 16 .5C16 4.800 12.500 6.400 8 5.600C3 4.600 -1 4 -6 4.800C-10.500 5.400 -15 4.600 -15 0Z"
    />
  );
}
