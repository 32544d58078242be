import type { ReactNode } from "react";

/** Small signs for moves, drawn in a box of 20 by 20 that faces right, towards the opponent; lead is up, rear is down. */
const GLYPHS: Record<string, ReactNode> = {
  "slip-lead": <path d="M3 14C8 14 8 6 16 6M12 3l4 3-4 3" />,
  "slip-rear": <path d="M3 6C8 6 8 14 16 14M12 11l4 3-4 3" />,
  "roll-lead": <path d="M3 6C3 17 14 17 16 7M12.5 9.5L16 6l2.5 4" />,
  "roll-rear": <path d="M17 6C17 17 6 17 4 7M1.5 10L4 6l3.5 3.5" />,
  duck: <path d="M4 6l6 6 6-6M4 12l6 6 6-6" />,
  level: <path d="M3 5h14M10 8v9M6.5 13.5L10 17l3.5-3.5" />,
  pull: <path d="M17 6C10 4 6 8 5 15M2 12l3 4 4-3" />,
  "block-lead": <path d="M13 3v10M5 8h5" />,
  "block-rear": <path d="M13 7v10M5 12h5" />,
  cover: <path d="M8 3v14M14 3v14" />,
  "parry-lead": <path d="M4 4l12 7M13 14l3-3-4-2" />,
  "parry-rear": <path d="M4 16l12-7M13 6l3 3-4 2" />,
  "check-lead": <path d="M5 17V9l7-4v6" />,
  "check-rear": <path d="M5 3v8l7 4V9" />,
  "step-in": <path d="M2 10h10M9 6l4 4-4 4M17 4v12" />,
  "step-back": <path d="M18 10H7M10 6l-4 4 4 4M3 4v12" />,
  "step-lead": <path d="M10 17V5M6 8.5L10 4l4 4.5" />,
  "step-rear": <path d="M10 3v12M6 11.5L10 16l4-4.5" />,
  "step-out": <path d="M4 16L15 5M8.500 4.500H15.500V11.500" />,
  "step-across": <path d="M4 4l11 11M8.500 15.500H15.500V8.500" />,
  "pivot-out": <path d="M16 14A7 7 0 1 0 5 15M1.500 12.500L5 16l3-4" />,
  "pivot-in": <path d="M16 6A7 7 0 1 1 5 5M1.500 7.500L5 4l3 4" />,
  switch: <path d="M3 6h12M12 3l3 3-3 3M17 14H5M8 11l-3 3 3 3" />,
  shift: <path d="M2 14C7 2 11 2 16 8M16 3v5.500h-5.500M2 17h6" />,
  "shift-back": <path d="M18 14C13 2 9 2 4 8M4 3v5.500h5.500M18 17h-6" />,
  "circle-lead": <path d="M3 15A9 9 0 0 1 16 7M12 4.500l4.500 2L14 11" />,
  "circle-rear": <path d="M3 5a9 9 0 0 0 13 8M12 15.500l4.500-2L14 9" />,
  exit: <path d="M17 10H4M8 5.500L3.500 10 8 14.500M17 4v12" />,
  push: <path d="M3 10h9M9 6.500l3.500 3.500L9 13.500M16 4v12M19 6v8" />,
  post: <path d="M2 13h10M12 8v10M16 4v14" />,
  clinch: <path d="M4 6c4-3 8-3 8 4s-4 7-8 4M16 6c-4-3-8-3-8 4s4 7 8 4" />,
  beat: <path d="M7 4v12M13 4v12" />,
  free: <path d="M10 3v14M4 6.500l12 7M16 6.500l-12 7" />,
};

/** The glyph of a move, centred on a point. */
export function Glyph({ name, x, y, size }: { name: string; x: number; y: number; size: number }) {
  return (
    <g className="glyph" transform={`translate(${x - size / 2} ${y - size / 2}) scale(${size / 20})`}>
      {GLYPHS[name] ?? <circle cx="10" cy="10" r="4" />}
    </g>
  );
}
