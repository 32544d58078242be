/** The sign of a move, drawn in a box of 20 by 20, centred on a point. */
export function Glyph({ path, x, y, size }: { path: string | null; x: number; y: number; size: number }) {
  return (
    <g className="glyph" transform={`translate(${x - size / 2} ${y - size / 2}) scale(${size / 20})`}>
      <path d={path ?? ""} />
    </g>
  );
}
