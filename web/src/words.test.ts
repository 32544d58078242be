import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { catalogue } from "./testing/words";

const CATALOGUE = join(import.meta.dirname, "../../docs/words/screens.txt");

test("docs/words/screens.txt has everything that the screens say; WORDS=write writes it anew", () => {
  if (process.env.WORDS === "write") {
    writeFileSync(CATALOGUE, catalogue());
  }
  expect(readFileSync(CATALOGUE, "utf8")).toBe(catalogue());
});
