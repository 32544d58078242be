import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { afterEach, beforeEach, expect, test } from "vitest";
import { useLostFocus } from "./useLostFocus";

let root: HTMLElement;
beforeEach(() => {
  root = document.createElement("div");
  root.id = "root";
  document.body.append(root);
});
afterEach(() => {
  cleanup();
  root.remove();
});

/** A page whose buttons remove something, as a decision or an edit does. */
function Page({ withLine }: { withLine: boolean }) {
  useLostFocus();
  const [isOpen, setOpen] = useState(true);
  const [isDone, setDone] = useState(false);
  return (
    <div id="content">
      <main>
        <h1 tabIndex={-1}>Page</h1>
        {withLine && <input data-home aria-label="line" />}
        <section aria-label="proposal">
          {isOpen && (
            <button type="button" onClick={() => setOpen(false)}>
              Remove me
            </button>
          )}
          <button type="button" disabled={isDone} onClick={() => setDone(true)}>
            Once
          </button>
        </section>
        <p>Text</p>
      </main>
    </div>
  );
}

const press = (name: string) => {
  screen.getByRole("button", { name }).focus();
  fireEvent.click(screen.getByRole("button", { name }));
};

test("the focus goes to the part of the page in which the pressed button was", async () => {
  render(<Page withLine={false} />, { container: root });
  press("Remove me");
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole("region", { name: "proposal" })));
});

/** A page whose section is replaced by another with the same name, as after a save. */
function Replaced() {
  useLostFocus();
  const [version, setVersion] = useState(1);
  return (
    <div id="content">
      <h1 tabIndex={-1}>Page</h1>
      <div key={version}>
        <section aria-label="Effect, “whole”">
          <button type="button" onClick={() => setVersion(2)}>
            Save
          </button>
        </section>
      </div>
    </div>
  );
}

test("a section gets the focus of the section with the same name that it replaces", async () => {
  render(<Replaced />, { container: root });
  press("Save");
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole("region", { name: "Effect, “whole”" })));
});

test("on the bench it goes back to the line", async () => {
  render(<Page withLine />, { container: root });
  press("Remove me");
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole("textbox", { name: "line" })));
});

test("a coach who presses beside everything has left on purpose", async () => {
  render(<Page withLine={false} />, { container: root });
  screen.getByRole("button", { name: "Remove me" }).focus();
  fireEvent.pointerDown(screen.getByText("Text"));
  (document.activeElement as HTMLElement).blur();
  fireEvent.click(screen.getByRole("button", { name: "Remove me" }));
  await new Promise((done) => setTimeout(done, 60));
  expect(document.activeElement).toBe(document.body);
});
