import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Session, VerdictChanges } from "../api/client";
import { server } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import VerdictChangesScreen from "./VerdictChangesScreen";

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer();
});
afterEach(() => {
  cleanup();
  serve(null);
});

const CLOSE = {
  id: 4,
  name: "Close",
  notation: "1 14l 3",
  text: "1 14l 3",
  stance: "orthodox" as const,
  from: "flows" as const,
  to: "reload" as const,
  why: "The rear foot has come home.",
};

function show(changes: VerdictChanges, role = "head-coach") {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: 60_000 } } });
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  client.setQueryData(server.queryOptions("get", "/api/verdict-changes").queryKey, changes);
  render(
    <Around client={client}>
      <MemoryRouter>
        <VerdictChangesScreen />
      </MemoryRouter>
    </Around>,
  );
}

const one: VerdictChanges = {
  updates: [
    {
      id: 7,
      rules: "kickboxing",
      total: 30,
      changes: [{ from: "flows", to: "reload", count: 1 }],
      changed: [CLOSE],
    },
  ],
};

test("what changed and why is listed, and the head coach accepts it", async () => {
  show(one);
  expect(screen.getByRole("heading", { name: "Kickboxing rules: 1 of 30 changed" })).toBeTruthy();
  expect(screen.getByRole("link", { name: "Close" }).getAttribute("href")).toBe("/combinations/4");
  expect(screen.getByText("The rear foot has come home.")).toBeTruthy();
  expect(document.querySelector(".verdict-counts")?.textContent).toBe("1 ● flows → ▲ reload");
  fireEvent.click(screen.getByRole("button", { name: "Accept these verdicts" }));
  await waitFor(() => expect(asked.some((question) => question.method === "POST")).toBe(true));
  expect(asked.find((question) => question.method === "POST")?.path).toBe("/api/verdict-changes/7/accept");
});

test("other coaches read it and cannot accept", () => {
  show(one, "coach");
  expect(screen.queryByRole("button", { name: "Accept these verdicts" })).toBeNull();
  expect(screen.getByText("The head coach accepts them.")).toBeTruthy();
});

test("nothing to accept is said in words", () => {
  show({ updates: [] });
  expect(screen.getByText(/Nothing waits here/)).toBeTruthy();
});
