import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Combination, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { NUMBERINGS } from "../testing/facts";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { NameDialog } from "./NameDialog";

const STORED = {
  id: 7,
  version: 3,
  name: "Doorstep",
  text: "1 2",
  stance: "southpaw",
  rules: "boxing",
  themes: ["liver"],
  level: 2,
  levelChosen: true,
  note: "",
} as unknown as Combination;

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer({ "GET /api/numberings": NUMBERINGS, "GET /api/themes": { themes: [] } });
});
afterEach(() => {
  cleanup();
  serve(null);
});

async function dialog(role: string) {
  const client = new QueryClient();
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  const onClose = vi.fn();
  render(
    <Around client={client}>
      <MemoryRouter>
        <NameDialog combination={STORED} isOpen onClose={onClose} />
      </MemoryRouter>
    </Around>,
  );
  const name = await screen.findByLabelText("Name");
  fireEvent.change(name, { target: { value: "Threshold" } });
  fireEvent.submit(name);
  return onClose;
}

test("a head coach renames, from the version that was looked at, and the chain stays as it is", async () => {
  const onClose = await dialog("head-coach");
  await waitFor(() => expect(asked.length).toBe(1));
  expect([asked[0]?.method, asked[0]?.path, asked[0]?.headers.get("If-Match")]).toEqual([
    "PUT",
    "/api/combinations/7",
    '"3"',
  ]);
  expect(asked[0]?.body).toEqual({
    name: "Threshold",
    text: "1 2",
    numbering: "parity",
    stance: "southpaw",
    rules: "boxing",
    themes: ["liver"],
    level: 2,
    note: "",
  });
  asked[0]?.answer({ ...STORED, version: 4 });
  await waitFor(() => expect(onClose).toHaveBeenCalled());
});

test("when somebody else changed it the dialog stays, with what was typed and why", async () => {
  const onClose = await dialog("head-coach");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer({ type: "changed-meanwhile", status: 412, title: "Liv changed this." }, 412);
  expect((await screen.findByRole("alert")).textContent).toContain("Liv changed this.");
  expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("Threshold");
  expect(onClose).not.toHaveBeenCalled();
});

test("a coach proposes the same", async () => {
  await dialog("coach");
  await waitFor(() => expect(asked.length).toBe(1));
  expect(asked[0]?.path).toBe("/api/proposals");
  expect(asked[0]?.body).toMatchObject({ kind: "change", combination: 7, basedOn: 3, content: { name: "Threshold" } });
});
