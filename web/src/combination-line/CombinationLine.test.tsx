import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import type { Check, LineDrawing } from "../api/client";
import { checked, checkedDemo, DEMO, drawn } from "../testing/core";
import { CombinationLine } from "./CombinationLine";
import { type Footing, footingAt } from "./footing";
import { curveAt } from "./place";
import { StanceWords } from "./StanceWords";

afterEach(cleanup);

const checks = checkedDemo();
const named = checks.map((check, at) => [DEMO[at]?.name ?? "", check] as const);
type Size = "row" | "card" | "full";
const SIZES: Size[] = ["row", "card", "full"];

function draw(check: Check, size: Size, more: Partial<Parameters<typeof CombinationLine>[0]> = {}) {
  const drawing = check.drawings?.[size] as LineDrawing;
  const { container } = render(<CombinationLine drawing={drawing} width={420} name="line" {...more} />);
  const svg = container.querySelector("svg");
  if (!svg) {
    throw new Error("nothing is drawn");
  }
  return svg;
}

test("the demo gym can be read whole", () => {
  expect(checks.length).toBe(DEMO.length);
  expect(checks.flatMap((check) => check.problems)).toEqual([]);
});

test.each(named)("%s is drawn at every size with a mark for every item, and nothing without a place", (_, check) => {
  for (const size of SIZES) {
    const svg = draw(check, size);
    const strikes = check.items.filter((item) => item.kind === "strike");
    expect(svg.querySelectorAll(".tile").length).toBe(strikes.length);
    expect(svg.querySelectorAll(".glyph").length).toBe(check.items.length - strikes.length);
    expect(svg.outerHTML).not.toMatch(/NaN|undefined|Infinity/);
    cleanup();
  }
});

test.each(named)("%s keeps its tiles inside the picture, in the order of time", (_, check) => {
  for (const size of ["card", "full"] as const) {
    const svg = draw(check, size);
    const [width, height] = [Number(svg.getAttribute("width")), Number(svg.getAttribute("height"))];
    const half = { row: 11, card: 14, full: 19 }[size];
    let before = 0;
    for (const tile of svg.querySelectorAll(".tile")) {
      const [x = -1, y = -1] = ((tile.getAttribute("transform") ?? "").match(/-?[\d.]+/g) ?? []).map(Number);
      expect(x - half).toBeGreaterThanOrEqual(0);
      expect(x + half).toBeLessThanOrEqual(width);
      expect(y - half).toBeGreaterThanOrEqual(0);
      expect(y + half).toBeLessThanOrEqual(height);
      expect(x).toBeGreaterThanOrEqual(before);
      before = x;
    }
    cleanup();
  }
});

test("lead and rear differ in shape, not in colour alone", () => {
  const [check] = checked(["1 2"]) as [Check];
  const [lead, rear] = [...draw(check, "full").querySelectorAll(".tile path")].map((path) => path.getAttribute("d"));
  expect(lead).not.toBe(rear);
  expect(lead?.match(/L/g)?.length, "a point is drawn with straight strokes").toBe(2);
  expect(rear).toMatch(/Q/);
});

test("a feint, a hard and a light strike look different", () => {
  const [check] = checked(["(1) 2! 3~ 2"]) as [Check];
  const classes = [...draw(check, "full").querySelectorAll(".tile")].map((tile) => tile.getAttribute("class"));
  expect(classes[0]).toContain("tile-feint");
  expect(classes[1]).toContain("tile-hard");
  expect(classes[2]).toContain("tile-light");
  expect(new Set(classes).size).toBe(4);
});

test("a reload and a break are gaps as wide as their wait, with their milliseconds", () => {
  const [check] = checked(["2 2 exit 31\t--rules=all-limbs"]) as [Check];
  const waits = check.links.filter((link) => link.verdict !== "flows");
  expect(waits.map((link) => link.verdict)).toEqual(["reload", "breaks"]);
  const svg = draw(check, "full");
  expect([...svg.querySelectorAll(".gap-label")].map((label) => label.textContent)).toEqual(
    waits.map((link) => `${link.verdict === "reload" ? "▲" : "✕"} +${link.waitMs}`),
  );
  const perMs = (() => {
    const [first, second] = [...svg.querySelectorAll(".tick")].map((tick) => Number(tick.getAttribute("x")));
    return ((second ?? 0) - (first ?? 0)) / 500;
  })();
  expect(Number(svg.querySelector("rect.gap-reload")?.getAttribute("width"))).toBeCloseTo(
    (waits[0]?.waitMs ?? 0) * perMs,
    1,
  );
});

test("a screen reader gets each item, when it lands and what the link before it needs", () => {
  const [check] = checked(["1 2 2 exit"]) as [Check];
  draw(check, "full", { onSelect: () => {} });
  const names = screen.getAllByRole("button").map((button) => button.getAttribute("aria-label"));
  expect(names.length).toBe(4);
  expect(names[0]).toMatch(/^Jab, lands at \d\.\d\d s\.$/);
  expect(names[2]).toMatch(/^Cross, lands at \d\.\d\d s\. Reload of \d+ ms\. /);
  expect(names[3]).toMatch(/^Exit, done at /);
});

test("a small line is one picture with its words", () => {
  const [check] = checked(["1 2 exit"]) as [Check];
  draw(check, "row");
  expect(screen.getByRole("img", { name: "jab, cross, exit" })).toBeTruthy();
  expect(screen.queryAllByRole("button")).toEqual([]);
});

test("items are chosen by pointer and by arrow keys, and the choice is given up with Escape", () => {
  const [check] = checked(["1 2 3"]) as [Check];
  const onSelect = vi.fn();
  draw(check, "full", { onSelect, selected: 1 });
  const [first, second] = screen.getAllByRole("button") as [HTMLElement, HTMLElement];
  fireEvent.click(first);
  expect(onSelect).toHaveBeenLastCalledWith(0);
  fireEvent.click(second);
  expect(onSelect, "what is chosen is given up by choosing it again").toHaveBeenLastCalledWith(null);
  fireEvent.keyDown(second, { key: "ArrowRight" });
  expect(onSelect).toHaveBeenLastCalledWith(2);
  fireEvent.keyDown(second, { key: "ArrowLeft" });
  expect(onSelect).toHaveBeenLastCalledWith(0);
  fireEvent.keyDown(second, { key: "Enter" });
  expect(onSelect).toHaveBeenLastCalledWith(1);
  fireEvent.keyDown(second, { key: "Escape" });
  expect(onSelect).toHaveBeenLastCalledWith(null);
  expect(second.getAttribute("aria-pressed")).toBe("true");
});

test("two lines on one axis put the same moment at the same place", () => {
  const [short, long] = checked(["1 2", "1 2 3 2 3 2"]) as [Check, Check];
  const at = (check: Check) => {
    const tile = draw(check, "card", { spanMs: long.lengthMs ?? 0 }).querySelectorAll(".tile")[1];
    cleanup();
    return tile?.getAttribute("transform");
  };
  expect(at(short)).toBe(at(long));
});

test("feet are drawn at the start and at every item that moves or turns them", () => {
  const [check] = checked(["1 2 step-out 3 switch 2 exit"]) as [Check];
  const svg = draw(check, "full");
  const pairs = svg.querySelectorAll(".feet > g:not(.feet-before)").length;
  const moves = check.items.filter((item) => item.feet && item.feet !== "stay");
  expect(pairs).toBe(1 + moves.length);
  expect(svg.querySelectorAll(".feet-before").length).toBe(moves.length);
});

test.each(named)("%s says left and right of every item in both stances", (_, check) => {
  if (!check.stances) {
    throw new Error("no stances");
  }
  const { container } = render(
    <StanceWords
      stances={check.stances}
      shownStance="orthodox"
      onShownStance={() => {}}
      selected={null}
      onSelect={() => {}}
    />,
  );
  const rows = [...container.querySelectorAll(".stance-column")].map((row) =>
    [...row.querySelectorAll(".word")].map((word) => word.textContent ?? ""),
  );
  expect(rows.map((row) => row.length)).toEqual([check.items.length, check.items.length]);
  check.items.forEach((item, at) => {
    const [one, other] = [rows[0]?.[at] ?? "", rows[1]?.[at] ?? ""];
    if (item.kind === "strike") {
      expect(one).toMatch(/left|right/);
      expect(other.replace(/ to the .*| (in|out)side.*/, "")).toBe(
        one
          .replace(/ to the .*| (in|out)side.*/, "")
          .replace(/left|right/, (side) => (side === "left" ? "right" : "left")),
      );
    }
  });
});

test("what changes with the stance is marked where it happens", () => {
  const [check] = checked(["1 2 3b"]) as [Check];
  const { container } = render(
    <StanceWords
      stances={check.stances as NonNullable<Check["stances"]>}
      shownStance="southpaw"
      onShownStance={() => {}}
      selected={2}
      onSelect={() => {}}
    />,
  );
  const marks = [...container.querySelectorAll("mark.contact")].map((mark) => mark.textContent);
  expect(marks).toEqual(["to the liver", "to the spleen side"]);
  expect(screen.getByRole("button", { name: "southpaw" }).getAttribute("aria-pressed")).toBe("true");
  expect(container.querySelectorAll(".word-on").length).toBe(2);
});

/** Returns all numbers of all paths, points and texts, in order. */
function points(svg: Element): number[] {
  return [...svg.querySelectorAll(".tile, .tile path, .tile text, .glyph, .glyph path, .ribbon-line, circle")].flatMap(
    (node) =>
      ["transform", "d", "x", "y", "font-size", "cx", "cy", "r"].flatMap((name) =>
        ((node.getAttribute(name) ?? "").match(/-?[\d.]+/g) ?? []).map(Number),
      ),
  );
}

test.each([
  ["1 2 3b", "full"],
  ["2 2 31", "full"],
  ["(1) 2! 3~ 14> 2", "full"],
  ["1 2 step-out 3 switch 2 +14 exit", "full"],
  ["spinning back elbow / *3", "card"],
  ["slip-lead 7 8 17 pivot-in", "card"],
] as const)("%s is on paper, at size %s, point by point what it is on the screen", (chain, size) => {
  const [check] = checked([chain]) as [Check];
  const screenPoints = points(draw(check, size, { width: 760 }));
  cleanup();
  const file = new DOMParser().parseFromString(drawn(chain, size, 760), "image/svg+xml");
  const paperPoints = points(file.documentElement);
  expect(screenPoints.length).toBeGreaterThan(40);
  expect(paperPoints.length).toBe(screenPoints.length);
  screenPoints.forEach((value, at) => {
    expect(paperPoints[at]).toBeCloseTo(value, 1);
  });
});

test("an item is taken away, moved and aimed by keys", () => {
  const [check] = checked(["1 2 3"]) as [Check];
  const onEdit = vi.fn();
  draw(check, "full", { onSelect: () => {}, onEdit, selected: 1 });
  const tile = screen.getAllByRole("button")[1] as HTMLElement;
  for (const [key, shiftKey] of [
    ["Delete", false],
    ["ArrowLeft", true],
    ["ArrowRight", true],
    ["ArrowUp", true],
    ["ArrowDown", true],
  ] as const) {
    fireEvent.keyDown(tile, { key, shiftKey });
  }
  expect(onEdit.mock.calls).toEqual([
    ["leave-out", 1],
    ["earlier", 1],
    ["later", 1],
    ["higher", 1],
    ["lower", 1],
  ]);
});

test("a line without actions has no buttons and is one named picture", () => {
  const [check] = checked(["1 2 3"]) as [Check];
  draw(check, "full");
  expect(screen.queryAllByRole("button")).toEqual([]);
  expect(screen.getByRole("img", { name: "line" })).toBeTruthy();
});

const moving = named.flatMap(([name, check]) => {
  const drawing = check.drawings?.full;
  return drawing?.ribbon ? [[name, drawing] as const] : [];
});

test.each(moving)(
  "%s: the weight that moves is on its curve at every dot, and the feet stand as they are drawn",
  (_, drawing) => {
    for (const dot of drawing.ribbon?.dots ?? []) {
      expect(curveAt(drawing.ribbon?.line ?? [], dot.ms)).toBeCloseTo(dot.y, 0);
    }
    for (const strip of Object.values(drawing.feet ?? {})) {
      for (const pair of strip.pairs.filter((one) => !one.isBefore)) {
        const footing = footingAt(strip, drawing.items, pair.ms);
        expect(footing?.soles.map(({ x, y, isLeft }) => [x, y, isLeft])).toEqual(
          expect.arrayContaining(pair.soles.map(({ x, y, isLeft }) => [x, y, isLeft])),
        );
      }
    }
  },
);

test("while they are moved the feet are between where the strip has them before and after", () => {
  const [check] = checked(["1 step-out 3 switch"]) as [Check];
  const drawing = check.drawings?.full as LineDrawing;
  const strip = (drawing.feet as NonNullable<LineDrawing["feet"]>).orthodox;
  const numbers = (footing: Footing | null | undefined) =>
    footing ? [footing.dx, footing.dy, ...footing.soles.flatMap(({ x, y }) => [x, y])] : [];
  for (const place of [1, 3]) {
    const item = check.items[place] as Check["items"][number];
    const [before, after] = [true, false].map((isBefore) =>
      numbers(strip.pairs.find((pair) => pair.isBefore === isBefore && pair.ms === item.endMs)),
    ) as [number[], number[]];
    const at = (part: number) =>
      numbers(footingAt(strip, drawing.items, item.startMs + part * (item.endMs - item.startMs)));
    const byFoot = (values: number[]) => [...values].sort((a, b) => a - b);
    expect(at(0)).toEqual(before);
    expect(byFoot(at(1))).toEqual(byFoot(after));
    expect(at(0.5)).not.toEqual(before);
  }
});
