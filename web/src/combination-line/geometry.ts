import { scaleLinear } from "d3-scale";
import type { Balance, Item, Link } from "../api/client";

export type Size = "row" | "card" | "full";

/** What the combination line draws; a part of the check. */
export interface LineData {
  items: Item[];
  links: Link[];
  lengthMs: number | null;
  /** The hips over the feet; drawn where it is given and there is room. */
  balance?: Balance | null;
}

interface Measures {
  /** Room before the first millisecond, for the names of the lanes. */
  left: number;
  right: number;
  tile: number;
  lanes: { head: number; body: number; leg: number; moves: number };
  /** Rails of the weight ribbon: front foot above, back foot below; null where there is no room. */
  ribbon: { front: number; back: number } | null;
  feet: number | null;
  height: number;
  /** Pixels a millisecond: never less than the tiles need, never so much that a short chain falls apart. */
  scale: { least: number; most: number };
}

const MEASURES: Record<Size, Measures> = {
  row: {
    left: 4,
    right: 14,
    tile: 22,
    lanes: { head: 13, body: 29, leg: 45, moves: 61 },
    ribbon: null,
    feet: null,
    height: 71,
    scale: { least: 0.02, most: 0.112 },
  },
  card: {
    left: 10,
    right: 20,
    tile: 28,
    lanes: { head: 36, body: 60, leg: 84, moves: 107 },
    ribbon: { front: 125, back: 149 },
    feet: null,
    height: 153,
    scale: { least: 0.1, most: 0.25 },
  },
  full: {
    left: 82,
    right: 40,
    tile: 38,
    lanes: { head: 44, body: 86, leg: 128, moves: 166 },
    ribbon: { front: 202, back: 248 },
    feet: 292,
    height: 324,
    scale: { least: 0.15, most: 0.36 },
  },
};

export interface Layout extends Measures {
  width: number;
  x: (ms: number) => number;
}

export function layout(size: Size, width: number, lengthMs: number): Layout {
  const measures = MEASURES[size];
  const room = Math.max(40, width - measures.left - measures.right);
  const perMs = Math.min(measures.scale.most, Math.max(measures.scale.least, room / Math.max(1, lengthMs)));
  const x = scaleLinear()
    .domain([0, 1000])
    .range([measures.left, measures.left + 1000 * perMs]);
  const needed = measures.left + lengthMs * perMs + measures.right;
  return { ...measures, width: size === "row" ? width : Math.max(width, needed), x: (ms) => x(ms) };
}

/** Where an item stands: a strike at its impact, everything else in the middle of its time. */
export function place(item: Item, line: Layout): { x: number; y: number } {
  const ms = item.impactMs ?? (item.startMs + item.endMs) / 2;
  return { x: line.x(ms), y: item.kind === "strike" ? line.lanes[item.target ?? "head"] : line.lanes.moves };
}

/** Joined strikes land at one moment; at one height they stand side by side, touching. */
export function aside(items: Item[], at: number, tile: number): number {
  const item = items[at];
  let shift = 0;
  for (let before = at; items[before]?.joined && before > 0; before -= 1) {
    if (items[before - 1]?.target === item?.target) {
      shift += tile;
    }
  }
  return shift;
}

/** A place along the line to the opponent as the ribbon shows it: 0 over the back foot, 1 over the front foot. */
export function overFeet(cm: number, balance: Balance): number {
  return cm / balance.stanceCm + 0.5;
}

/** The share of the weight on the lead foot over time, as corner points. */
export function loadTrack(items: Item[]): { ms: number; load: number }[] {
  const track: { ms: number; load: number }[] = [{ ms: 0, load: items[0]?.loadFrom ?? 0.5 }];
  for (const item of items) {
    track.push({ ms: item.startMs, load: item.loadFrom }, { ms: item.impactMs ?? item.endMs, load: item.load });
  }
  const last = items.at(-1);
  if (last) {
    track.push({ ms: last.endMs, load: last.load });
  }
  // Joined strikes begin before what they are joined to has landed; time only runs forward, and the last to land decides.
  return track
    .sort((a, b) => a.ms - b.ms)
    .filter((point, at, all) => point.ms < (all[at + 1]?.ms ?? Number.POSITIVE_INFINITY));
}

export function linkTo(links: Link[], at: number): Link | undefined {
  return links.find((link) => link.to === at);
}
