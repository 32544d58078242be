import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Import } from "../api/client";
import { NUMBERINGS, VOCABULARY } from "../testing/facts";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { ImportPanel } from "./ImportPanel";
import { changesOf, choicesOf, formatOf } from "./kinds";

const state = (more: Partial<Import>): Import =>
  ({ id: 4, state: "ready", total: 5, done: 5, counts: { new: 2, changed: 1, unreadable: 2 }, ...more }) as Import;

let asked: Asked[] = [];
beforeEach(() => {
  const vocabulary = { ...VOCABULARY, limits: { importBytes: 2 ** 21 } };
  asked = heldServer({ "GET /api/vocabulary": vocabulary, "GET /api/numberings": NUMBERINGS });
  render(
    <Around>
      <MemoryRouter>
        <ImportPanel />
      </MemoryRouter>
    </Around>,
  );
});
afterEach(() => {
  cleanup();
  serve(null);
});

const next = async (path: string) => {
  await waitFor(() => expect(asked.at(-1)?.path).toBe(path));
  return asked.at(-1) as Asked;
};
const paste = (text: string) =>
  fireEvent.change(screen.getByRole("textbox", { name: "Text to import" }), { target: { value: text } });

test("a pasted list is read step by step with progress, shown, and put in place by one press", async () => {
  paste("1 2 # One\n1 zork");
  fireEvent.click(screen.getByRole("button", { name: "Preview" }));
  const first = await next("/api/imports");
  expect(first.body).toMatchObject({ format: "text", content: "1 2 # One\n1 zork", numbering: "parity" });
  first.answer(state({ state: "reading", done: 2 }), 201);
  await screen.findByText("2 of 5");
  (await next("/api/imports/4/advance")).answer(state({}));
  (await next("/api/imports/4/lines")).answer({
    size: 100,
    lines: [
      {
        entry: 1,
        kind: "unreadable",
        source: "1 zork",
        content: null,
        message: "zork is not known.",
        combination: null,
      },
    ],
  });
  await screen.findByText("1 zork");
  await screen.findByText("unreadable 2");
  fireEvent.click(screen.getByRole("button", { name: "Import 3 combinations" }));
  (await next("/api/imports/4/apply")).answer(state({ state: "applied" }));
  await screen.findByText(/Done: 2 new, 1 changed/);
});

test("a failed import is reported and can be tried again", async () => {
  paste("1 2");
  fireEvent.click(screen.getByRole("button", { name: "Preview" }));
  (await next("/api/imports")).answer(state({ counts: { new: 1 }, total: 1 }), 201);
  fireEvent.click(await screen.findByRole("button", { name: "Import 1 combination" }));
  (await next("/api/imports/4/apply")).answer(
    { type: "already-there", status: 409, title: "One came meanwhile." },
    409,
  );
  expect((await screen.findByRole("alert")).textContent).toBe(
    "One came meanwhile. Nothing was imported; preview it again.",
  );
});

test("a file that is too large is refused before it is read, with the server's limit", async () => {
  await waitFor(() => expect(screen.getByText("or paste below")).toBeTruthy());
  await new Promise((done) => setTimeout(done, 50));
  const file = new File([new Uint8Array(2 ** 21 + 1)], "large.csv");
  fireEvent.change(document.querySelector("input[type=file]") as HTMLInputElement, { target: { files: [file] } });
  expect((await screen.findByRole("alert")).textContent).toBe("This file is larger than 2 MB. Split it.");
});

test("the format is guessed by the name of the file", () => {
  expect(["a.json", "A.CSV", "b.txt", "c", "x.csv.bak"].map(formatOf)).toEqual(["json", "csv", "text", "text", "text"]);
});

test("what would be written is what is new and what is changed", () => {
  expect(changesOf(null)).toBe(0);
  expect(changesOf(state({}))).toBe(3);
  expect(changesOf(state({ counts: { same: 9 } as Import["counts"] }))).toBe(0);
});

test("only kinds that are there can be chosen, each with its count, after all of them", () => {
  expect(choicesOf(state({})).map(({ label, count }) => [label, count])).toEqual([
    ["all", 5],
    ["new", 2],
    ["changed", 1],
    ["unreadable", 2],
  ]);
});

test("an unreadable entry is mended in place, with suggestions", async () => {
  paste("1 zork # One");
  fireEvent.click(screen.getByRole("button", { name: "Preview" }));
  (await next("/api/imports")).answer(state({ counts: { unreadable: 1 }, total: 1 }), 201);
  const bad = {
    entry: 1,
    kind: "unreadable",
    source: "Line 1: 1 zork # One",
    content: null,
    written: { chain: "1 zork", name: "One" },
    message: "No.",
    combination: null,
  };
  (await next("/api/imports/4/lines")).answer({ size: 100, lines: [bad] });
  fireEvent.click(await screen.findByRole("button", { name: "Edit" }));
  const chain = screen.getByRole<HTMLInputElement>("textbox", { name: "Chain" });
  expect([chain.value, screen.getByRole<HTMLInputElement>("textbox", { name: "Name" }).value]).toEqual([
    "1 zork",
    "One",
  ]);
  (await next("/api/check")).answer({
    problems: [{ at: 2, length: 4, message: "zork is no strike.", expected: "a strike", nearest: ["cross"] }],
    notes: [],
    words: null,
  });
  fireEvent.click(await screen.findByRole("button", { name: "cross" }));
  expect(chain.value).toBe("1 cross");
  fireEvent.submit(chain);
  const asked = await next("/api/imports/4/lines/1");
  expect([asked.method, asked.body]).toEqual(["PUT", { chain: "1 cross", name: "One" }]);
  asked.answer(state({ counts: { new: 1 }, total: 1 }));
  await screen.findByRole("button", { name: "Import 1 combination" });
});

test("an import is undone as one, and what stays is named", async () => {
  paste("1 2");
  fireEvent.click(screen.getByRole("button", { name: "Preview" }));
  (await next("/api/imports")).answer(state({ counts: { new: 1 }, total: 1 }), 201);
  fireEvent.click(await screen.findByRole("button", { name: "Import 1 combination" }));
  (await next("/api/imports/4/apply")).answer(state({ state: "applied", counts: { new: 1 } }));
  fireEvent.click(await screen.findByRole("button", { name: "Undo the import" }));
  (await next("/api/imports/4/undo")).answer(state({ state: "undone", counts: { new: 1 }, stays: ["Roof"] }));
  await screen.findByText("The import is undone, except for what was changed since: Roof.");
});
