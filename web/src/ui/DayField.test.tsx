import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, expect, test, vi } from "vitest";
import { DayField, TimeOfDayField } from "./DayField";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A device with or without a keyboard, as far as the browser knows. */
function withKeyboard(has = true) {
  vi.stubGlobal("matchMedia", () => ({
    matches: has,
    addListener: () => undefined,
    removeListener: () => undefined,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }));
}

/** A field that shows what was chosen, as on a screen. */
function Held({ first, onChange }: { first: string; onChange: (value: string | null) => void }) {
  const [value, setValue] = useState<string | null>(first);
  const take = (next: string | null) => {
    setValue(next);
    onChange(next);
  };
  return first.includes(":") && !first.includes("T") ? (
    <TimeOfDayField id="time" value={value} onChange={take} />
  ) : (
    <DayField aria-label="Day" value={value} withTime={first.includes("T")} onChange={take} />
  );
}

function type(field: HTMLElement, text: string) {
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: "Enter" });
  fireEvent.blur(field);
}

test.each([
  ["11 Dec 2026", "2026-12-11"],
  ["11.12.2026", "2026-12-11"],
  ["2026-12-11", "2026-12-11"],
])("the day %s is read as %s", (typed, day) => {
  withKeyboard();
  const onChange = vi.fn();
  render(<Held first="2026-12-10" onChange={onChange} />);
  const field = screen.getByRole<HTMLInputElement>("textbox", { name: "Day" });
  expect(field.value).toBe("10 Dec 2026");
  type(field, typed);
  expect(onChange).toHaveBeenLastCalledWith(day);
});

test("a day with a time is written with 24 hours", () => {
  withKeyboard();
  const onChange = vi.fn();
  render(<Held first="2026-12-10T19:00" onChange={onChange} />);
  const field = screen.getByRole<HTMLInputElement>("textbox", { name: "Day" });
  expect(field.value).toBe("Thu 10 Dec 2026, 19:00");
  type(field, "11 Dec 2026 18:30");
  expect(onChange).toHaveBeenLastCalledWith("2026-12-11T18:30");
});

test("a time of day is read as it is typed", () => {
  withKeyboard();
  const onChange = vi.fn();
  render(<Held first="19:00" onChange={onChange} />);
  type(screen.getByRole("textbox"), "18:30");
  expect(onChange).toHaveBeenLastCalledWith("18:30");
});

test("a phone shows its own field", () => {
  withKeyboard(false);
  const onChange = vi.fn();
  const { container } = render(<DayField aria-label="Day" value="2026-12-10" onChange={onChange} />);
  expect(container.querySelector("input[type=date]")).not.toBeNull();
  fireEvent.change(screen.getByLabelText("Day"), { target: { value: "" } });
  expect(onChange, "where a day has to be, none is no answer").not.toHaveBeenCalled();
});
