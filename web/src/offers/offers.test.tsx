import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Combination, Offer, OfferPage, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { CombinationSharing } from "./CombinationSharing";
import { OfferList } from "./OfferList";

afterEach(() => {
  cleanup();
  serve(null);
});

function offer(more: Partial<Offer>): Offer {
  return {
    source: "gym-north",
    gym: "Northern Gym",
    kind: "combination",
    item: "41",
    name: "Pier",
    digest: "d1",
    isLaterVersion: false,
    about: "liver",
    changes: [],
    canBeAccepted: true,
    here: null,
    text: "1 2 3",
    verdict: "flows",
    line: null,
    rules: null,
    answer: null,
    ...more,
  };
}

function show(role: string, offers: Offer[], sources: OfferPage["sources"] = []): Asked[] {
  const asked = heldServer({
    "GET /api/offers": { offers, total: offers.length, size: 50, open: offers.length, sources },
  });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  render(
    <Around client={client}>
      <MemoryRouter initialEntries={["/review?list=offers"]}>
        <OfferList />
      </MemoryRouter>
    </Around>,
  );
  return asked;
}

test("a later version is accepted against the version of the combination that was seen", async () => {
  const asked = show("head-coach", [
    offer({ isLaterVersion: true, here: { name: "Pier", page: "/combinations/7", version: 3 } }),
  ]);
  fireEvent.click(await screen.findByRole("button", { name: "Accept the change" }));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect(asked[0]?.path).toBe("/api/offers/accept");
  expect(asked[0]?.body).toEqual({
    source: "gym-north",
    kind: "combination",
    item: "41",
    digest: "d1",
    against: 3,
  });
});

test("what is here already can be declined and not accepted", async () => {
  show("head-coach", [
    offer({ canBeAccepted: false, here: { name: "Ladder", page: "/combinations/7", version: null } }),
  ]);
  expect(await screen.findByRole("link", { name: "Open “Ladder” here" })).toBeDefined();
  expect(screen.queryByRole("button", { name: "Accept" })).toBeNull();
  expect(screen.getByRole("button", { name: "Decline" })).toBeDefined();
});

test("a coach proposes a combination and decides nothing", async () => {
  const asked = show("coach", [offer({})]);
  fireEvent.click(await screen.findByRole("button", { name: "Propose it to the head coach" }));
  await waitFor(() => expect(asked[0]?.path).toBe("/api/offers/propose"));
  expect(screen.queryByRole("button", { name: "Decline" })).toBeNull();
});

test("those that flow are accepted together, one after the other, and what does not flow is left", async () => {
  const asked = show("head-coach", [
    offer({ item: "1" }),
    offer({ item: "2", verdict: "reload" }),
    offer({ item: "3" }),
    offer({ item: "4", isLaterVersion: true }),
  ]);
  fireEvent.click(await screen.findByRole("button", { name: "Accept the 2 that flow" }));
  fireEvent.click(within(await screen.findByRole("dialog")).getByRole("button", { name: "Accept them" }));
  await waitFor(() => expect(asked).toHaveLength(1));
  asked[0]?.answer(offer({ item: "1" }));
  await waitFor(() => expect(asked).toHaveLength(2));
  asked[1]?.answer(offer({ item: "3" }));
  expect(await screen.findByText("2 combinations are in the library.")).toBeDefined();
  expect(asked.map(({ body }) => (body as Offer).item)).toEqual(["1", "3"]);
});

test("a gym that could not be asked says why and how old its offers are, and is asked again when they are old", async () => {
  const asked = show(
    "head-coach",
    [],
    [{ id: "link-4", gym: "Harbour", link: 4, readAt: "2026-11-01T10:00:00Z", problem: "It cannot be reached." }],
  );
  expect(await screen.findByText(/Harbour: It cannot be reached. What is shown was read 1 Nov/)).toBeDefined();
  await waitFor(() => expect(asked.map(({ path }) => path)).toEqual(["/api/followed-gyms/4/read"]));
});

test("house rules are looked at on their page before they are taken over", async () => {
  show("head-coach", [offer({ kind: "house-rules", item: "boxing", canBeAccepted: false, text: null, verdict: null })]);
  expect(await screen.findByRole("button", { name: "Look at what it does here" })).toBeDefined();
  expect(screen.queryByRole("button", { name: "Accept" })).toBeNull();
});

test("a combination says where it came from, and only the head coach offers it", async () => {
  for (const role of ["head-coach", "coach"]) {
    heldServer({
      "GET /api/combinations/7/sharing": {
        isOffered: false,
        themes: [],
        origin: { gym: "Northern Gym", who: "Mara", at: "2026-12-01T10:00:00Z" },
      },
    });
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
    render(
      <Around client={client}>
        <CombinationSharing combination={{ id: 7, archivedAt: null } as unknown as Combination} />
      </Around>,
    );
    expect(await screen.findByText(/From Northern Gym, taken over by Mara, 1 Dec/)).toBeDefined();
    expect(screen.queryAllByRole("button", { name: "Offer it to other gyms" })).toHaveLength(role === "coach" ? 0 : 1);
    cleanup();
  }
});
