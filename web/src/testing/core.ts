import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import type { Check, FromAbove } from "../api/client";

const ROOT = new URL("../../..", import.meta.url).pathname;

interface DemoCombination {
  name: string;
  chain: string;
  rules: string;
  stance?: string;
}

export const DEMO = JSON.parse(readFileSync(`${ROOT}demo/combinations.json`, "utf8")) as DemoCombination[];

/** Checks chains with the core through the console: one a line, with options after a tab. */
export function checked(lines: string[]): Check[] {
  const printed = spawnSync(
    "php",
    [`${ROOT}app/Console/main.php`, "check", "--json", "--lines", "--draw=row,card,full"],
    {
      input: `${lines.join("\n")}\n`,
      maxBuffer: 64 * 1024 * 1024,
      encoding: "utf8",
    },
  );
  return printed.stdout
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line) as Check);
}

/** Returns the checks of all combinations of the demo gym. */
export function checkedDemo(): Check[] {
  return checked(DEMO.map(({ chain, rules, stance }) => `${chain}\t--rules=${rules} --stance=${stance ?? "orthodox"}`));
}

/** Returns the SVG that the console draws for a chain. */
export function drawn(chain: string, size: string, width: number): string {
  const call = ["draw", chain, `--size=${size}`, `--width=${width}`];
  return spawnSync("php", [`${ROOT}app/Console/main.php`, ...call], { encoding: "utf8" }).stdout;
}

/** Returns a chain from above, in both stances and against both opponents. */
export function drawnFromAbove(chain: string): FromAbove {
  const call = ["draw", chain, "--json"];
  return JSON.parse(spawnSync("php", [`${ROOT}app/Console/main.php`, ...call], { encoding: "utf8" }).stdout);
}

/** Returns the SVG that the console draws for a moment of an orthodox athlete against an orthodox opponent. */
export function momentAsSvg(chain: string, moment: number): string {
  const call = ["draw", chain, `--from-above=${moment}`];
  return spawnSync("php", [`${ROOT}app/Console/main.php`, ...call], { encoding: "utf8" }).stdout;
}
