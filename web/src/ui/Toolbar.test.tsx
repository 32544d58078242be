import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { Toolbar } from "./Toolbar";

afterEach(cleanup);

function Row({ names, off = [] }: { names: string[]; off?: string[] }) {
  return (
    <Toolbar label="row">
      {names.map((name) => (
        <button key={name} type="button" disabled={off.includes(name)}>
          {name}
        </button>
      ))}
    </Toolbar>
  );
}
const reached = () =>
  screen
    .getAllByRole("button")
    .filter((button) => button.tabIndex === 0 && !button.hasAttribute("disabled"))
    .map((button) => button.textContent);
const press = (key: string) => fireEvent.keyDown(document.activeElement as Element, { key });

test("Tab reaches one of several buttons, and arrows go on from there", () => {
  render(<Row names={["a", "b", "c"]} off={["a"]} />);
  expect(reached()).toEqual(["b"]);
  screen.getByText("b").focus();
  press("ArrowRight");
  expect(document.activeElement?.textContent).toBe("c");
  expect(reached()).toEqual(["c"]);
  press("ArrowRight");
  expect(document.activeElement?.textContent, "there is none after the last").toBe("c");
  press("Home");
  expect(document.activeElement?.textContent).toBe("b");
});

test("when what was reached is gone, another can be reached", () => {
  const { rerender } = render(<Row names={["a", "b"]} />);
  screen.getByText("b").focus();
  rerender(<Row names={["a", "c"]} />);
  expect(reached()).toEqual(["a"]);
});
