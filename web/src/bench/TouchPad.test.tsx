import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { NUMBERINGS, VOCABULARY } from "../testing/facts";
import { serve } from "../testing/page";
import { Around, heldServer } from "../testing/server";
import { TouchPad } from "./TouchPad";

beforeEach(() => {
  heldServer({ "GET /api/vocabulary": VOCABULARY, "GET /api/numberings": NUMBERINGS });
});
afterEach(() => {
  cleanup();
  serve(null);
});

async function pad() {
  const onPress = vi.fn();
  const told = { onFeint: vi.fn(), onBackspace: vi.fn(), onUndo: vi.fn() };
  render(
    <Around>
      <TouchPad numbering="parity" stance="orthodox" onPress={onPress} {...told} />
    </Around>,
  );
  await screen.findByRole("button", { name: /^1/ });
  const choose = (name: string) => fireEvent.click(screen.getByText(name, { selector: ".ant-segmented-item-label" }));
  const press = (name: RegExp) => {
    fireEvent.click(screen.getByRole("button", { name }));
    return onPress.mock.lastCall?.[0] as string;
  };
  return { choose, press, ...told };
}

test("the pad writes numbers, with the letter of the target where one is chosen and it can be had", async () => {
  const { choose, press } = await pad();
  expect(press(/^1/)).toBe("1");
  choose("body");
  expect(press(/^1/)).toBe("1b");
  expect(press(/^1/), "the target was for one strike").toBe("1");
  expect(press(/^7/), "a number that means its target needs no letter").toBe("7");
  choose("Kicks");
  choose("leg");
  expect(press(/^13/)).toBe("13l");
  choose("Knees and elbows");
  choose("leg");
  expect(press(/^21/)).toBe("21l");
  expect(press(/^31/), "no elbow goes to the leg").toBe("31");
});

test("no arm is offered the leg", async () => {
  const { choose, press } = await pad();
  choose("Kicks");
  choose("leg");
  choose("Hands");
  expect(screen.queryByText("leg", { selector: ".ant-segmented-item-label" })).toBeNull();
  expect(press(/^1/)).toBe("1");
});

test("signs of the leg stand with kicks and knees alone", async () => {
  const { choose, press } = await pad();
  expect(press(/^free/)).toBe("*");
  expect(screen.queryByRole("button", { name: /^leg up/ })).toBeNull();
  choose("Kicks");
  expect(press(/^leg up/)).toBe("^");
  expect(press(/^in front/)).toBe(">");
  choose("Knees and elbows");
  expect(press(/^behind/)).toBe("<");
});

test("the pad writes moves by their names and signs as they are", async () => {
  const { choose, press } = await pad();
  expect(press(/^join/)).toBe("+");
  choose("Defence");
  expect(press(/slip lead/)).toBe("slip-lead");
  choose("Footwork");
  expect(press(/step out/)).toBe("step-out");
  expect(press(/clinch/)).toBe("clinch");
});

test("the pad takes back, and makes the last strike a feint", async () => {
  const { onFeint, onBackspace, onUndo } = await pad();
  fireEvent.click(screen.getByRole("button", { name: "feint" }));
  fireEvent.click(screen.getByRole("button", { name: "delete" }));
  fireEvent.click(screen.getByRole("button", { name: "undo" }));
  expect([onFeint, onBackspace, onUndo].map((told) => told.mock.calls.length)).toEqual([1, 1, 1]);
});
