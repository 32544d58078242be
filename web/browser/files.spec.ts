import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Ajv2020 from "ajv/dist/2020.js";
import Papa from "papaparse";
import { COACH, expect, signIn, test } from "./gym";

/** What the library gives out, read by readers that are not its own. */
test("the JSON validates, the CSV opens, the PDF's text is found and its fonts are embedded", async ({ page }) => {
  await signIn(page, COACH);
  const json = await (await page.request.get("/api/export.json?everything=true")).json();
  const schema = JSON.parse(readFileSync(join(import.meta.dirname, "../../docs/formats/library.schema.json"), "utf8"));
  const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
  expect(validate(json), JSON.stringify(validate.errors)).toBe(true);
  expect(validate({ ...json, version: "one" })).toBe(false);

  const csv = await (await page.request.get("/api/export.csv")).text();
  const table = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
  expect(table.errors).toEqual([]);
  const window = table.data.find((row) => row.name === "Cellar window");
  expect(window?.chain).toBe("1 2 3b exit");
  const inUse = json.combinations.filter((row: { archived: boolean }) => !row.archived);
  expect(table.data).toHaveLength(inUse.length);

  const text = await (await page.request.get("/api/export.text")).text();
  expect(text.trim().split("\n")).toHaveLength(inUse.length);
  expect(text).toContain("1 2 3b exit # Cellar window\n");

  const { combinations } = await (await page.request.get("/api/combinations?q=cellar+window")).json();
  const folder = mkdtempSync(join(tmpdir(), "periplus-"));
  const pdf = async (address: string, file: string) => {
    const path = join(folder, file);
    writeFileSync(path, await (await page.request.get(address)).body());
    const fonts = execFileSync("pdffonts", [path], { encoding: "utf8" }).trim().split("\n").slice(2);
    expect(fonts.length).toBeGreaterThan(0);
    for (const font of fonts) {
      expect(font, "embedded").toMatch(/\byes\b/);
    }
    return execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" });
  };
  const card = await pdf(`/api/combinations/${combinations[0].id}/card.pdf`, "card.pdf");
  for (const part of [
    "Cellar window",
    "1 2 3b exit",
    "Orthodox",
    "Southpaw, mirrored",
    "left hook to the body (to the liver)",
  ]) {
    expect(card.replace(/\s+/g, " ")).toContain(part);
  }
  const sheet = await pdf("/api/wall-sheet.pdf?q=by+liv", "sheet.pdf");
  expect(sheet).toContain("South gate");

  const svg = await page.request.get(`/api/combinations/${combinations[0].id}/line.svg`);
  expect(svg.headers()["content-type"]).toContain("image/svg+xml");
  await page.setContent((await svg.text()).replace(/^<\?xml.*?\?>/, ""));
  await expect(page.locator("svg title")).toHaveText("Cellar window: 1 2 3b exit");
});
