import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Effects, Model } from "../api/client";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { Numbers } from "./Numbers";

const rate = { unit: "ms", meaning: "bringing hips round", source: "house value", least: 250, most: 1000, step: 10 };
const MODEL: Model = {
  groups: [
    {
      of: "body",
      kind: "body",
      name: "the body",
      note: null,
      values: [{ ...rate, key: "body.turnRate", name: "turn rate", value: 560 }],
    },
    {
      of: "cross",
      kind: "strike",
      name: "cross",
      note: "said of all",
      values: [{ ...rate, key: "cross.out", name: "out", value: 250, least: 125, most: 375 }],
    },
  ],
};
const EFFECTS: Effects = {
  labelled: 166,
  gym: 30,
  effects: [{ key: "body.turnRate", moves: [{ to: 490, labelled: 2, chains: [], agree: 164, agreed: 165, gym: 1 }] }],
};

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer({ "GET /api/model": MODEL, "POST /api/house-rules/boxing/effects": EFFECTS });
});
afterEach(() => {
  cleanup();
  serve(null);
});

function open(calibration: Record<string, number>, mayEdit = true, of = "body") {
  const onChange = vi.fn();
  render(
    <Around client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Numbers {...{ calibration, of, mayEdit, onChange }} set="boxing" onOf={vi.fn()} />
    </Around>,
  );
  return onChange;
}

test("a number has its meaning, unit, source and bounds, and what it would change", async () => {
  open({});
  const row = (await screen.findByText("turn rate")).closest("li") as HTMLElement;
  expect(row.textContent).toContain("bringing hips round");
  expect(row.textContent).toContain("ms · house value");
  expect(row.textContent).toContain("250 to 1000");
  await waitFor(() => expect(row.textContent).toContain("2 labelled chains change, 1 fewer agree, 1 of 30 of ours"), {
    timeout: 2000,
  });
});

test("a number of our own can be set, and set back to what ships", async () => {
  const onChange = open({ "cross.out": 300 });
  const row = (await screen.findByText("turn rate")).closest("li") as HTMLElement;
  fireEvent.change(within(row).getByRole("spinbutton"), { target: { value: "600" } });
  expect(onChange).toHaveBeenLastCalledWith({ "cross.out": 300, "body.turnRate": 600 });
  cleanup();
  const back = open({ "body.turnRate": 600 });
  fireEvent.click(await screen.findByRole("button", { name: "Back to 560" }));
  expect(back).toHaveBeenLastCalledWith({});
});

test("who may not change them reads them, and asks for no effect", async () => {
  open({}, false);
  const field = await screen.findByRole<HTMLInputElement>("spinbutton");
  expect(field.disabled).toBe(true);
  await new Promise((done) => setTimeout(done, 600));
  expect(asked.filter((one) => one.method === "POST")).toEqual([]);
});
