import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test } from "vitest";
import type { Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import CoachesScreen from "./CoachesScreen";

const COACHES = [
  { id: 1, name: "Mara Quist", email: "mara@saltworks.example", role: "head-coach", active: true, lastSignIn: null },
  { id: 2, name: "Tomas Okafor", email: "tomas@saltworks.example", role: "coach", active: true, lastSignIn: null },
];
const LINK = {
  id: 9,
  kind: "invite",
  role: "coach",
  meantFor: "Liv",
  madeBy: "Mara Quist",
  madeAt: "2026-11-26T10:00:00Z",
  expiresAt: "2026-12-03T10:00:00Z",
};

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer({ "GET /api/coaches": { coaches: COACHES }, "GET /api/invitations": { invitations: [LINK] } });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const session = { user: accountOf("head-coach"), csrfToken: "t" } as unknown as Session;
  client.setQueryData(keys.session, session);
  render(
    <Around client={client}>
      <MemoryRouter>
        <CoachesScreen />
      </MemoryRouter>
    </Around>,
  );
});
afterEach(() => {
  cleanup();
  serve(null);
});

const rowOf = async (name: string) => {
  const row = (await screen.findByText(name)).closest("tr");
  return within(row as HTMLTableRowElement);
};

test("an invitation is made for a role and a person, and its link is shown", async () => {
  fireEvent.change(screen.getByLabelText("Who the link is for"), { target: { value: "Noor" } });
  fireEvent.click(screen.getByRole("button", { name: "Make a link" }));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect([asked[0]?.method, asked[0]?.path, asked[0]?.body]).toEqual([
    "POST",
    "/api/invitations",
    { role: "coach", meantFor: "Noor" },
  ]);
  asked[0]?.answer({ token: "abc", expiresAt: "2026-12-06T10:00:00Z" }, 201);
  expect(await screen.findByText(`${window.location.origin}/join#abc`)).toBeDefined();
  expect(screen.getByLabelText<HTMLInputElement>("Who the link is for").value, "ready for the next").toBe("");
});

test("a coach becomes head coach, and undo takes it back", async () => {
  const row = await rowOf("Tomas Okafor");
  fireEvent.click(row.getByText("head coach"));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect([asked[0]?.path, asked[0]?.body]).toEqual(["/api/coaches/2", { role: "head-coach" }]);
  asked[0]?.answer({ ...COACHES[1], role: "head-coach" });
  fireEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(asked).toHaveLength(2));
  expect(asked[1]?.body).toEqual({ role: "coach" });
});

test("coaches cannot block their own account", async () => {
  const own = await rowOf("Mara Quist");
  expect(own.getByRole<HTMLButtonElement>("button", { name: "Active · block" }).disabled).toBe(true);
  const other = await rowOf("Tomas Okafor");
  expect(other.getByRole<HTMLButtonElement>("button", { name: "Active · block" }).disabled).toBe(false);
});

test("a refusal is shown in the words of the server", async () => {
  const row = await rowOf("Mara Quist");
  fireEvent.click(row.getByText("coach"));
  await waitFor(() => expect(asked).toHaveLength(1));
  asked[0]?.answer({ type: "last-head-coach", status: 409, title: "A gym needs a head coach." }, 409);
  expect(await screen.findByText("A gym needs a head coach.")).toBeDefined();
});

test("an open link is withdrawn", async () => {
  fireEvent.click(await screen.findByRole("button", { name: "Withdraw the link for Liv" }));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect([asked[0]?.method, asked[0]?.path]).toEqual(["DELETE", "/api/invitations/9"]);
});
