import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter, useLocation } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import type { CombinationRow } from "../api/client";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import CardDialog from "./CardDialog";
import CardsScreen from "./CardsScreen";
import SessionLinkDialog from "./SessionLinkDialog";

afterEach(() => {
  cleanup();
  serve(null);
});

const KEY = "0123456789abcdef0123456789abcdef";
const CARD = {
  id: 4,
  key: KEY,
  name: "Take home",
  stance: "southpaw",
  combinations: ["Barrel roll", "Sea gate"],
  creator: "Mara Quist",
  createdAt: "2026-11-26T10:00:00Z",
  revokedAt: null,
};

const Where = () => <output>{useLocation().pathname + useLocation().search}</output>;

function at(address: string, table: Record<string, unknown>, element: React.ReactNode): Asked[] {
  const asked = heldServer(table);
  render(
    <Around client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter initialEntries={[address]}>
        {element}
        <Where />
      </MemoryRouter>
    </Around>,
  );
  return asked;
}

test("without a card the screen says how one is made", async () => {
  at("/cards", { "GET /api/cards": { cards: [] } }, <CardsScreen />);
  expect(await screen.findByText("No card yet")).toBeDefined();
});

test("the code of a new card is open, and a revoked card has no link any more", async () => {
  const revoked = { ...CARD, id: 5, name: "Old one", revokedAt: "2026-11-27T10:00:00Z" };
  at("/cards?show=4", { "GET /api/cards": { cards: [CARD, revoked] } }, <CardsScreen />);
  expect((await screen.findByText("Code to scan")).closest("details")?.open).toBe(true);
  expect(screen.getAllByRole("link", { name: "Open it" }).map((link) => link.getAttribute("href"))).toEqual([
    `/card/${KEY}`,
  ]);
  expect(screen.getByText(/revoked/)).toBeDefined();
});

test("a card is revoked only after a question", async () => {
  const asked = at(
    "/cards",
    { "GET /api/cards": { cards: [CARD] }, "GET /api/session-links": { links: [] } },
    <CardsScreen />,
  );
  fireEvent.click(await screen.findByRole("button", { name: "Revoke" }));
  fireEvent.click(await screen.findByRole("button", { name: "Keep it" }));
  expect(asked).toEqual([]);
  fireEvent.click(screen.getByRole("button", { name: "Revoke" }));
  const yes = await screen.findAllByRole("button", { name: "Revoke it" });
  fireEvent.click(yes[yes.length - 1] as HTMLElement);
  await waitFor(() =>
    expect(asked.map(({ method, path }) => `${method} ${path}`)).toEqual(["POST /api/cards/4/revoke"]),
  );
});

const LINK = {
  id: 9,
  key: KEY,
  name: "Evening, alone",
  lengthMs: 750_000,
  endsOn: "2999-12-29",
  finished: 2,
  creator: "Mara Quist",
  createdAt: "2026-11-26T10:00:00Z",
  revokedAt: null,
};

test("a session to do at home shows how often it was finished, and one that has ended has no link", async () => {
  const over = { ...LINK, id: 8, name: "Last winter", endsOn: "2026-01-10", finished: 0 };
  at(
    "/cards?link=9",
    { "GET /api/cards": { cards: [] }, "GET /api/session-links": { links: [LINK, over] } },
    <CardsScreen />,
  );
  expect(await screen.findByText(/12:30 in all · finished 2 times/)).toBeDefined();
  expect(screen.getByText(/nobody finished it yet/)).toBeDefined();
  expect(screen.getByText(/ended on 10 Jan 2026/)).toBeDefined();
  expect(screen.getAllByRole("link", { name: "Open it" }).map((link) => link.getAttribute("href"))).toEqual([
    `/at-home/${KEY}`,
  ]);
});

test("a link to a session is made with the day on which it ends", async () => {
  const asked = at("/sessions/5", {}, <SessionLinkDialog name="Evening" of={{ plan: 5 }} onClose={vi.fn()} />);
  fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Evening, alone" } });
  fireEvent.click(screen.getByRole("button", { name: "Make the link" }));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect(asked[0]?.body).toMatchObject({
    name: "Evening, alone",
    plan: 5,
    endsOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
  });
});

test("a card is made of the chosen combinations and then shown", async () => {
  const chosen = [
    { id: 7, name: "Barrel roll" },
    { id: 3, name: "Sea gate" },
  ] as CombinationRow[];
  const numberings = { numberings: [{ id: "parity", name: "Parity" }], ofGym: "parity", followers: 1, readers: {} };
  const asked = at(
    "/library",
    { "GET /api/numberings": numberings, "GET /api/session": { user: null, csrfToken: "t", gym: null } },
    <CardDialog combinations={chosen} onClose={vi.fn()} />,
  );
  expect(await screen.findByText("Barrel roll, Sea gate")).toBeDefined();
  fireEvent.change(screen.getByLabelText("Name"), { target: { value: "Week 48" } });
  fireEvent.click(screen.getByText("southpaw", { selector: "*" }));
  fireEvent.click(screen.getByRole("button", { name: "Make it" }));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect(asked[0]?.body).toEqual({
    name: "Week 48",
    stance: "southpaw",
    group: "open",
    numbering: "parity",
    combinations: [7, 3],
  });
  asked[0]?.answer({ ...CARD, id: 12 }, 201);
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("/cards?show=12"));
});

test("a refused card keeps what was typed and says why", async () => {
  const asked = at(
    "/library",
    { "GET /api/numberings": { numberings: [], ofGym: "parity", followers: 1, readers: {} } },
    <CardDialog combinations={[{ id: 7, name: "Barrel roll" } as CombinationRow]} onClose={vi.fn()} />,
  );
  fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Week 48" } });
  fireEvent.click(screen.getByRole("button", { name: "Make it" }));
  await waitFor(() => expect(asked.some(({ path }) => path === "/api/cards")).toBe(true));
  const question = asked.find(({ path }) => path === "/api/cards");
  question?.answer({ type: "invalid", status: 422, title: "There are too many cards. Revoke some." }, 422);
  expect((await screen.findByRole("alert")).textContent).toContain("There are too many cards.");
  expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("Week 48");
});
