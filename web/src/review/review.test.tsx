import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { Check, Content, Proposal, Session } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { CheckBeforeAfter, Fields } from "./Changes";
import ReviewScreen, { answerOf } from "./ReviewScreen";

afterEach(() => {
  cleanup();
  serve(null);
});

const CONTENT = {
  name: "Kick the tide",
  notation: "1 2 14",
  text: "1 2 14",
  stance: "orthodox",
  rules: "kickboxing",
  themes: ["liver"],
  level: 2,
  note: "",
} as unknown as Content;

function fields(kind: Proposal["kind"], change: Partial<Content>) {
  const proposal = { kind, newest: CONTENT, result: { ...CONTENT, ...change } } as Proposal;
  render(<Fields proposal={proposal} />);
}

test("a change shows only the fields that differ, before and after", () => {
  fields("change", { level: 3, note: "Slow first" });
  const rows = screen
    .getAllByRole("row")
    .map((row) => [within(row).getByRole("rowheader").textContent, row.querySelector("del")?.textContent ?? null]);
  expect(rows.map(([name]) => name)).toEqual(["level", "note"]);
  expect(rows[1]?.[1]).toBe("none");
  expect(screen.getByText("Slow first")).toBeDefined();
});

test("a change that was applied already is marked as such", () => {
  fields("change", {});
  expect(screen.getByText("Already applied: the current version is like this.")).toBeDefined();
});

test("a new combination shows all fields and nothing as removed", () => {
  fields("new", {});
  expect(screen.getAllByRole("row")).toHaveLength(7);
  expect(document.querySelector("del")).toBeNull();
});

test("the check before and after lists what is wrong and leaves praise out", () => {
  const check = (verdict: string, messages: [string, string][]) =>
    ({
      verdict,
      findings: messages.map(([severity, message], at) => ({ id: `f${at}`, at, severity, message })),
      links: [],
      mirror: null,
    }) as unknown as Check;
  render(
    <CheckBeforeAfter
      before={check("reload", [["should", "Out of reach."]])}
      after={check("flows", [["credit", "It alternates."]])}
    />,
  );
  expect(screen.getByText("Out of reach.")).toBeDefined();
  expect(screen.queryByText("It alternates.")).toBeNull();
});

test.each([
  ["returned", false, "Sent back by Mara"],
  ["approved", false, "Approved by Mara"],
  ["withdrawn", false, "Rejected by Mara"],
  ["withdrawn", true, "Withdrawn by Mara"],
] as const)("a proposal that is %s, by its author: %s, reads %s", (state, byAuthor, says) => {
  const answer = { who: "Mara", remark: "", byAuthor, at: "2026-11-26T10:00:00Z" };
  expect(answerOf({ state, answer } as Parameters<typeof answerOf>[0])).toBe(says);
});

function list(role: string, waiting: object): Asked[] {
  const asked = heldServer({ "GET /api/offers": { offers: [], total: 0, size: 50, open: 3, sources: [] } });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(keys.session, { user: accountOf(role), csrfToken: "t" } as unknown as Session);
  render(
    <Around client={client}>
      <MemoryRouter initialEntries={["/review"]}>
        <ReviewScreen />
      </MemoryRouter>
    </Around>,
  );
  const answers = {
    proposals: [],
    total: 0,
    size: 20,
    waiting: { open: 0, returned: 0, approved: 0, rejected: 0, ...waiting },
  };
  void waitFor(() => expect(asked.length).toBeGreaterThan(0)).then(() => {
    for (const question of asked) {
      question.answer(answers);
    }
  });
  return asked;
}

test("a coach with proposals that were sent back sees those first", async () => {
  const asked = list("coach", { returned: 2 });
  expect(await screen.findByText("Sent back (2)")).toBeDefined();
  await waitFor(() => expect(asked.some(({ query }) => query.includes("list=returned"))).toBe(true));
  expect(screen.getByRole("button", { name: "Propose a new one" })).toBeDefined();
});

test("a head coach sees the open ones first, and an empty list says what comes here", async () => {
  const asked = list("head-coach", { returned: 2 });
  expect(await screen.findByText("Nothing waits for a decision")).toBeDefined();
  expect(screen.getByText("Offers of other gyms (3)")).toBeDefined();
  expect(asked.every(({ query }) => !query.includes("list=returned"))).toBe(true);
  fireEvent.click(screen.getByText("Decided"));
  await waitFor(() => expect(asked.some(({ query }) => query.includes("list=decided"))).toBe(true));
});
