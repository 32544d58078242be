import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Check, Generation, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { checked } from "../testing/core";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { Results } from "./Results";

const checks = checked(["1 2 3", "1 1 2"]) as [Check, Check];
const chains = checks.map((check) => ({
  ...check,
  line: check.drawings?.row,
  level: 1,
})) as unknown as Generation["chains"];

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer();
});
afterEach(() => {
  cleanup();
  serve(null);
});

function results(generation: Partial<Generation>, role = "head-coach") {
  const client = new QueryClient();
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  const onPut = vi.fn();
  render(
    <Around client={client}>
      <MemoryRouter>
        <Results
          generation={{ chains, asked: 2, bent: null, relax: [], ...generation }}
          criteria={{ rules: "boxing", stance: "orthodox", numbering: "parity" }}
          old={false}
          onPut={onPut}
        />
      </MemoryRouter>
    </Around>,
  );
  return onPut;
}
const posts = (path: string) => asked.filter((question) => question.path === path && question.method === "POST");

test("chains are saved one after the other: a refusal is shown at its chain, the others are marked", async () => {
  results({});
  for (const box of screen.getAllByRole("checkbox")) {
    fireEvent.click(box);
  }
  fireEvent.click(screen.getByRole("button", { name: "Save them, named by their numbers" }));
  await waitFor(() => expect(posts("/api/combinations").length).toBe(1));
  expect(posts("/api/combinations")[0]?.body).toMatchObject({ name: "1 2 3", text: "1 2 3", rules: "boxing" });
  posts("/api/combinations")[0]?.answer({ type: "already-there", status: 409, title: "It is there already." }, 409);
  await waitFor(() => expect(posts("/api/combinations").length).toBe(2));
  posts("/api/combinations")[1]?.answer({ id: 9 }, 201);
  await screen.findByText("It is there already.");
  expect((await screen.findByRole("link", { name: "✓ in the library" })).getAttribute("href")).toBe("/combinations/9");
  expect(screen.getByText("1 chain chosen"), "the refused one can be tried again").toBeTruthy();
});

test("a coach proposes what is chosen", async () => {
  results({}, "coach");
  fireEvent.click(screen.getAllByRole("checkbox")[1] as HTMLElement);
  fireEvent.click(screen.getByRole("button", { name: "Propose it, named by their numbers" }));
  await waitFor(() => expect(posts("/api/proposals").length).toBe(1));
  expect(posts("/api/proposals")[0]?.body).toMatchObject({ kind: "new", content: { text: "1 1 2" } });
  posts("/api/proposals")[0]?.answer({ id: 5 }, 201);
  expect((await screen.findByRole("link", { name: "✓ proposed" })).getAttribute("href")).toBe("/review/5");
});

test("a criterion that was relaxed is named and can be restored by one press", () => {
  const onPut = results({
    bent: { criterion: "length 3", words: "with 3 strikes", criteria: { length: 3 } },
    asked: 8,
  });
  expect(screen.getByRole("status").textContent).toContain("The nearest results, with 3 strikes");
  fireEvent.click(screen.getByRole("button", { name: "Ask for these" }));
  expect(onPut).toHaveBeenCalledExactlyOnceWith({ length: 3 });
});
