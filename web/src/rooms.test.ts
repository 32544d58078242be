import { readdirSync, readFileSync } from "node:fs";
import { dirname, join, relative } from "node:path";
import { expect, test } from "vitest";

const SRC = import.meta.dirname;

/** The folders that each folder may use besides ui and api, which use no feature; app may use all. */
const MAY_USE: Record<string, string[]> = {
  api: [],
  ui: [],
  advice: [],
  audit: [],
  bench: ["check", "combination", "combination-line", "compare", "family", "numbering", "review", "sessions", "words"],
  check: ["combination-line", "from-above", "play"],
  coaches: ["numbering"],
  combination: ["check", "compare", "family", "offers", "recording", "review", "run", "sessions"],
  "combination-line": [],
  compare: ["check", "combination-line", "from-above", "play"],
  exchange: [],
  family: [],
  "from-above": [],
  generate: ["bench", "combination-line"],
  guide: [],
  gym: ["exchange", "numbering"],
  cards: ["combination-line", "from-above", "play", "recording"],
  "house-rules": ["check", "combination-line", "offers"],
  library: ["cards", "combination-line", "compare", "library-search", "run", "sessions"],
  "library-search": [],
  logbook: ["combination-line", "library-search"],
  measure: ["check", "combination", "combination-line"],
  numbering: [],
  offers: ["combination-line", "library-search"],
  play: [],
  plot: [],
  recording: [],
  reports: ["combination-line", "library-search", "plot", "sessions"],
  review: ["check", "combination-line", "compare", "offers", "play"],
  run: ["library-search", "wall"],
  sessions: ["cards", "check", "combination-line", "library-search", "run"],
  "sign-in": [],
  syllabus: ["library-search"],
  wall: ["combination-line", "from-above"],
  "verdict-changes": [],
  words: [],
};

// Tests may import anything.
const files = readdirSync(SRC, { recursive: true, encoding: "utf8" }).filter(
  (file) => !/\.test\.tsx?$|^testing/.test(file),
);
const uses = files
  .filter((file) => /\.tsx?$/.test(file) && file.includes("/") && !file.startsWith("app/"))
  .flatMap((file) =>
    [...readFileSync(join(SRC, file), "utf8").matchAll(/(?:from|import|import\()\s*"(\.[^"]*)"/g)].map((found) => {
      const target = relative(SRC, join(SRC, dirname(file), found[1] ?? ""));
      return [file, file.split("/")[0] ?? "", target.split("/")[0] ?? ""] as const;
    }),
  )
  .filter(([, from, to]) => from !== to);

test("every folder has its directions", () => {
  const folders = new Set(files.filter((file) => file.includes("/")).map((file) => file.split("/")[0]));
  folders.delete("app");
  expect([...folders].sort()).toEqual(Object.keys(MAY_USE).sort());
});

test.each(uses)("%s uses only what its folder may use", (_, from, to) => {
  const shared = from === "api" ? [] : from === "ui" ? ["api"] : ["api", "ui"];
  expect([...shared, ...(MAY_USE[from] ?? [])]).toContain(to);
});

test("every folder uses what it may use", () => {
  const unused = Object.entries(MAY_USE).flatMap(([from, known]) =>
    known
      .filter((to) => !uses.some((use) => use[1] === from && use[2] === to))
      .map((to) => `${from} does not use ${to}`),
  );
  expect(unused).toEqual([]);
});

test("no folder uses itself by way of others", () => {
  const reached = (folder: string, seen: Set<string>): Set<string> => {
    for (const next of MAY_USE[folder] ?? []) {
      if (!seen.has(next)) {
        seen.add(next);
        reached(next, seen);
      }
    }
    return seen;
  };
  for (const folder of Object.keys(MAY_USE)) {
    expect([...reached(folder, new Set())]).not.toContain(folder);
  }
});

test("no folder takes the style sheet of another, but for what is shared in ui", () => {
  const sheets = files
    .filter((file) => /\.tsx?$/.test(file) && file.includes("/"))
    .flatMap((file) =>
      [...readFileSync(join(SRC, file), "utf8").matchAll(/import "(\.[^"]*\.css)"/g)].map((found) => [
        file,
        relative(SRC, join(SRC, dirname(file), found[1] ?? "")),
      ]),
    );
  expect(sheets.filter(([file, sheet]) => ![dirname(file ?? ""), "ui"].includes(dirname(sheet ?? "")))).toEqual([]);
});
