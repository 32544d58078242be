import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import type { FromAbove, ViewFromAbove } from "../api/client";
import { drawnFromAbove, momentAsSvg } from "../testing/core";
import { Floor } from "./Floor";
import { FromAboveFigure } from "./FromAboveFigure";
import { Mirrored } from "./Mirrored";
import { momentAt, momentOf } from "./momentAt";

afterEach(cleanup);

const CHAIN = "1 2 3b pivot-out 14l> exit";
const drawing = drawnFromAbove(CHAIN);
const view = drawing.views.find((one) => one.stance === "orthodox" && one.opponent === "orthodox") as ViewFromAbove;
const still = () => null;

test("every moment of every view is drawn, with a place for everything", () => {
  for (const one of drawing.views) {
    for (const shown of one.moments.keys()) {
      const { container } = render(<Floor {...{ drawing, shown }} view={one} />);
      expect(container.innerHTML).not.toMatch(/NaN|undefined|Infinity/);
      expect(container.querySelectorAll(".floor-head").length).toBe(2);
      cleanup();
    }
  }
});

test("screen and paper place feet, hips and shoulders at the same points", () => {
  for (const shown of view.moments.keys()) {
    const paper = new DOMParser().parseFromString(momentAsSvg(CHAIN, shown), "image/svg+xml");
    const onPaper = [...paper.querySelectorAll("[transform]")].map((one) =>
      (one.getAttribute("transform") ?? "").replace(/ rotate\(-90\).*/, ""),
    );
    const { container } = render(<Floor {...{ drawing, view, shown }} />);
    const onScreen = [...container.querySelectorAll<SVGElement>(".floor-foot, .floor-hips, .floor-shoulders")].map(
      (one) => one.style.transform.replace(/px|deg|,/g, ""),
    );
    expect(onScreen.sort()).toEqual(onPaper.sort());
    cleanup();
  }
});

test("the picture names the item, the distance and the reach of the rear hand", () => {
  show();
  expect(screen.getByText("Start")).toBeTruthy();
  expect(screen.getByText(/Closed guard, .*95 cm apart/)).toBeTruthy();
  expect(screen.getByText(/in reach of their rear hand/)).toBeTruthy();
});

test("its own keys step through the items without touching the selection of the line", () => {
  show();
  const next = screen.getByRole("button", { name: "Next, from above" });
  for (let step = 0; step < 3; step++) {
    fireEvent.click(next);
  }
  expect(screen.getByText("hook")).toBeTruthy();
  expect(screen.getByText("liver")).toBeTruthy();
  for (let step = 0; step < 9; step++) {
    fireEvent.click(next);
  }
  expect(screen.getByText("exit")).toBeTruthy();
  expect(next).toHaveProperty("disabled", true);
});

test("a liver hook meets the liver in one stance and not in the other", () => {
  render(<Mirrored {...{ drawing }} stance="orthodox" opponent="orthodox" shown={3} />);
  expect(screen.getByText("liver")).toBeTruthy();
  expect(screen.getByText("no liver")).toBeTruthy();
  expect([...document.querySelectorAll("figcaption")].map((one) => one.textContent)).toEqual([
    "orthodox, closed guard",
    "southpaw, open guard",
  ]);
});

test("a moment is on from the time at which the athlete is on the way there", () => {
  const { moments } = view;
  const hook = moments[3];
  expect(hook).toBeTruthy();
  expect(momentAt(moments, 0)).toBe(1);
  expect(momentAt(moments, hook?.fromMs ?? 0)).toBe(3);
  expect(momentAt(moments, (hook?.fromMs ?? 0) - 1)).toBe(2);
  expect(momentAt(moments, 99_999)).toBe(moments.length - 1);
  expect(momentOf(moments, null)).toBe(0);
  // The kick that lands in front has two moments; the first one is that of its impact.
  expect(moments[momentOf(moments, 4)]?.landed).toBe(false);
});

function show(more: Partial<{ drawing: FromAbove }> = {}) {
  const names = ["jab", "cross", "hook", "pivot", "kick", "exit"];
  render(<FromAboveFigure {...{ drawing, view, names, ...more }} selected={null} at={still} plays={false} />);
}
