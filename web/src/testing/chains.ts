import fc from "fast-check";
import type { Item } from "../api/client";

const WORDS = ["jab", "cross", "lead hook", "rear hook", "slip lead", "beat", "rear round kick to the leg"];

/** A strike or move as the check describes it, at a time in ms. */
export function item(words: string, startMs = 0, more: Partial<Item> = {}): Item {
  const strike = !words.startsWith("slip") && words !== "beat";
  return {
    at: 0,
    length: words.length,
    text: words,
    words,
    startMs,
    impactMs: strike ? startMs + 200 : null,
    endMs: startMs + 400,
    loadFrom: 0.5,
    load: 0.5,
    turn: 0,
    range: "mid",
    kind: strike ? "strike" : "move",
    label: words,
    role: "lead",
    ...(strike ? { limb: "hand", target: words.endsWith("leg") ? "leg" : "head", joined: false } : {}),
    ...more,
  } as Item;
}

/** Generates chains of up to eight items from few words, so that they repeat and overlap. */
export const chains = fc
  .array(fc.constantFrom(...WORDS), { maxLength: 8 })
  .map((words) => words.map((word, at) => item(word, 450 * at)));
