import type { Numberings } from "../api/client";

/** A small numbering and a few techniques for tests. */
const number = (of: string, limb: string, family: string, more = {}) => ({
  number: of,
  family,
  position: "lead",
  target: null,
  name: null,
  limb,
  roles: { orthodox: "lead", southpaw: "lead" },
  ...more,
});
export const NUMBERINGS = {
  ofGym: "parity",
  numberings: [
    {
      id: "parity",
      name: "Parity",
      numbers: [
        number("1", "hand", "straight"),
        number("7", "hand", "hook", { target: "body" }),
        number("13", "leg", "round kick"),
        number("21", "knee", "knee"),
        number("31", "elbow", "elbow"),
      ],
    },
  ],
} as unknown as Numberings;
const strike = (family: string, targets: string[]) => ({ family, shortName: family, targets });
export const VOCABULARY = {
  strikes: [
    strike("straight", ["head", "body"]),
    strike("hook", ["head", "body"]),
    strike("round kick", ["body", "head", "leg"]),
    strike("knee", ["body", "head", "leg"]),
    strike("elbow", ["head", "body"]),
  ],
  moves: [
    { id: "slip-lead", words: "slip lead", kind: "defence", glyph: "M0 0" },
    { id: "step-out", words: "step out", kind: "footwork", glyph: "M0 0" },
    { id: "clinch", words: "clinch", kind: "contact", glyph: "M0 0" },
  ],
};
