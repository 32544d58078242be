import type { Placed } from "./place";

interface Props {
  line: Placed;
  /** Index of the first item. */
  link: number;
  isMarked?: boolean;
  /** Whether it is marked as new rather than as fallen apart. */
  isNew?: boolean;
  onPress?: () => void;
}

/** The area between two items, which can be marked or pressed. */
export function LinkZone({ line, link, isMarked = true, isNew = false, onPress }: Props) {
  const { items, height } = line.drawing;
  const [one, other] = [items[link], items[link + 1]];
  if (!one || !other) {
    return null;
  }
  const from = line.x(one.ms) + one.shift;
  const to = line.x(other.ms) + other.shift;
  return (
    <g
      className={`link-zone${isMarked ? " link-marked" : ""}${isNew ? " link-new" : ""}${onPress ? " link-press" : ""}`}
      onClick={onPress}
      aria-hidden="true"
    >
      <rect x={from} y={0} width={Math.max(8, to - from)} height={height} />
      {isMarked && <path d={`M${from} ${height - 3}H${to}`} />}
    </g>
  );
}
