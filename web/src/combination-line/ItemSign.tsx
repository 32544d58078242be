import type { LineDrawing } from "../api/client";
import { Glyph } from "./Glyph";
import { Tile } from "./LineItem";

/** Draws one item of a line by itself. */
export function ItemSign({ item, tile }: { item: LineDrawing["items"][number]; tile: number }) {
  // The sign of a leg stands above or below its tile.
  const room = item.legSign ? tile * 1.75 : tile + 14;
  return (
    <svg width={room} height={room} viewBox={`${-room / 2} ${item.y - room / 2} ${room} ${room}`} aria-hidden="true">
      {item.kind === "strike" ? (
        <Tile item={item} x={0} />
      ) : (
        <Glyph path={item.glyph} x={0} y={item.y} size={item.glyphSize} />
      )}
    </svg>
  );
}
