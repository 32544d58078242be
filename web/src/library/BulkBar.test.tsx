import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { CombinationRow, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { BulkBar } from "./BulkBar";

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer();
});
afterEach(() => {
  cleanup();
  serve(null);
});

const row = (id: number, themes: string[] = []) => ({ id, version: 2, name: `No. ${id}`, themes }) as CombinationRow;

function bar(chosen: CombinationRow[], role = "head-coach", archived = false) {
  const client = new QueryClient();
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  const onChoose = vi.fn();
  render(
    <Around client={client}>
      <MemoryRouter>
        <BulkBar chosen={chosen} archived={archived} paper={2} onCard={2} onChoose={onChoose} />
      </MemoryRouter>
    </Around>,
  );
  return onChoose;
}
const sent = (at: number) => asked.filter(({ method }) => method === "POST")[at];

test("undoing a tag leaves it with combinations that had it before", async () => {
  const onChoose = bar([row(4), row(5, ["liver"])]);
  fireEvent.click(screen.getByRole("button", { name: "Tag…" }));
  fireEvent.change(await screen.findByLabelText("Theme for all of them"), { target: { value: "Liver" } });
  fireEvent.click(screen.getByRole("button", { name: "Tag" }));
  await waitFor(() => expect(sent(0)).toBeDefined());
  expect(sent(0)?.body).toEqual({
    action: "tag",
    theme: "liver",
    combinations: [
      { id: 4, version: 2 },
      { id: 5, version: 2 },
    ],
  });
  sent(0)?.answer({
    combinations: [
      { id: 4, version: 3 },
      { id: 5, version: 2 },
    ],
  });
  fireEvent.click(await screen.findByRole("button", { name: "Undo" }));
  expect(onChoose).toHaveBeenCalledWith([]);
  await waitFor(() => expect(sent(1)).toBeDefined());
  expect(sent(1)?.body).toEqual({ action: "untag", theme: "liver", combinations: [{ id: 4, version: 3 }] });
});

test("a coach prints and does nothing else, and no more than paper holds", () => {
  bar([row(4)], "coach");
  expect(screen.getByRole("link", { name: "Print cards" }).getAttribute("href")).toBe("/api/cards.pdf?ids=4");
  expect(screen.queryByRole("button", { name: "Archive" })).toBeNull();
  cleanup();
  bar([row(4), row(5), row(6)]);
  expect(screen.queryByRole("link", { name: "Print cards" })).toBeNull();
  expect(screen.getByText("Paper holds 2 of them at most.")).toBeTruthy();
});

test("what is out of use is restored, and printed from there", () => {
  bar([row(4)], "head-coach", true);
  expect(screen.getByRole("button", { name: "Restore" })).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Tag…" })).toBeNull();
  expect(screen.getByRole("link", { name: "Print a wall sheet" }).getAttribute("href")).toContain("archived=true");
});

test("two combinations can be compared; any number goes to a session or a wall", () => {
  bar([row(4), row(5)]);
  expect(screen.getByRole("link", { name: "Compare these two" }).getAttribute("href")).toMatch(/^\/compare\?/);
  expect(screen.getByRole("button", { name: "Add to a session" })).toBeTruthy();
  expect(screen.getByRole("button", { name: "Show on a wall" })).toBeTruthy();
  cleanup();
  bar([row(4), row(5), row(6)]);
  expect(screen.queryByRole("link", { name: "Compare these two" })).toBeNull();
});
