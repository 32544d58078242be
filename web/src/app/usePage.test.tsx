import { act, cleanup, render, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { MemoryRouter, Route, Routes, useNavigate } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import { usePage } from "./usePage";

let root: HTMLElement;
let go: (to: string) => void = () => undefined;
let arrive: () => void = () => undefined;
beforeEach(() => {
  root = document.createElement("div");
  root.id = "root";
  document.body.append(root);
});
afterEach(() => {
  cleanup();
  root.remove();
});

/** A page that still shows the previous one for a moment, like a screen that is being loaded. */
function Late() {
  const [isHere, setHere] = useState(false);
  arrive = () => setHere(true);
  return isHere ? <h1 key="late">Late</h1> : <h1 key="first">First</h1>;
}

function Field() {
  return (
    <>
      <h1>Field</h1>
      {/* biome-ignore lint/a11y/noAutofocus: as the bench does */}
      <input autoFocus aria-label="field" />
    </>
  );
}

function Pages() {
  usePage();
  const navigate = useNavigate();
  go = (to) => void navigate(to);
  return (
    <div id="content">
      <Routes>
        <Route path="/" element={<h1 key="first">First</h1>} />
        <Route path="/late" element={<Late />} />
        <Route path="/field" element={<Field />} />
      </Routes>
    </div>
  );
}

const open = () =>
  render(
    <MemoryRouter>
      <Pages />
    </MemoryRouter>,
    { container: root },
  );

test("the first page names the window and leaves the focus alone", async () => {
  open();
  await waitFor(() => expect(document.title).toBe("First · Periplus"));
  expect(document.activeElement).toBe(document.body);
});

test("the heading of the next page has the focus, also when the one before stood for a moment", async () => {
  open();
  act(() => go("/late"));
  await new Promise((done) => setTimeout(done, 50));
  act(() => arrive());
  await waitFor(() => expect(document.title).toBe("Late · Periplus"));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole("heading", { name: "Late" })));
});

test("a field that a page puts the cursor into keeps it", async () => {
  open();
  act(() => go("/field"));
  await waitFor(() => expect(document.title).toBe("Field · Periplus"));
  expect(document.activeElement).toBe(screen.getByLabelText("field"));
});
