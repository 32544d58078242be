import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test, vi } from "vitest";
import type { Check } from "../api/client";
import { keys } from "../api/keys";
import type { Checked } from "../check/useCheck";
import { accountOf } from "../testing/account";
import { checked } from "../testing/core";
import { Messages } from "../ui/Messages";
import { EntryHelp } from "./EntryHelp";
import { withoutDrill } from "./PlanAsDrill";

afterEach(cleanup);

function help(text: string, more: Partial<Parameters<typeof EntryHelp>[0]> = {}) {
  const [check] = checked([text]) as [Check];
  const answer = { latest: check, readable: check, current: true, parts: {}, error: null, old: false } as Checked;
  const [onCorrect, onPlan] = [vi.fn(), vi.fn()];
  const queries = new QueryClient();
  queries.setQueryData(keys.session, { user: accountOf("head-coach"), csrfToken: "", gym: null });
  render(
    <QueryClientProvider client={queries}>
      <Messages>
        <EntryHelp
          checked={answer}
          problems={check.problems}
          isUnfinished={false}
          {...{ onCorrect, onPlan }}
          {...more}
        />
      </Messages>
    </QueryClientProvider>,
  );
  return { onCorrect, onPlan, check, said: screen.getByRole("status").textContent ?? "" };
}

test("where two readings are likely both are offered, and a press writes the other one in its place", () => {
  const { onCorrect, check, said } = help("jab, hook, hook");
  const note = check.notes.find((one) => one.choices.length > 0);
  expect(said).toContain(note?.message);
  fireEvent.click(screen.getByRole("button", { name: "lead hook" }));
  expect(onCorrect).toHaveBeenCalledExactlyOnceWith(note, "lead hook");
});

test("a row is flipped by one press, whose text has its commas and whose name has none", () => {
  const { onCorrect, check } = help("jab two hooks low kick");
  const note = check.notes.find((one) => one.choices.length > 0);
  fireEvent.click(screen.getByRole("button", { name: "rear hook, lead hook" }));
  expect(onCorrect).toHaveBeenCalledExactlyOnceWith(note, ", rear hook, lead hook,");
});

test("a word that nothing is known of can be passed over, a slip of the keyboard and a strike cannot", () => {
  help("jab, zamba, cross");
  expect(screen.getByRole("button", { name: "Always pass over “zamba”" })).toBeTruthy();
  cleanup();
  help("jab, cross cross-", { problems: [] });
  expect(screen.queryByRole("button", { name: /pass over/ })).toBeNull();
});

test("a clear default is mentioned and asks nothing", () => {
  const { check, said } = help("jab, hook");
  expect(said).toContain(check.notes[0]?.message);
  expect(screen.queryAllByRole("button")).toEqual([]);
});

test("a word that is still being typed is not called wrong", () => {
  const { said } = help("1 cro", { problems: [], isUnfinished: true });
  expect(said).toBe("…");
  cleanup();
  expect(help("1 cro ").said).toContain("is not a strike or a move");
});

test("what belongs to a drill is planned as one, with the combination that is left of the line", () => {
  const { onPlan, check, said } = help("jab cross on each side");
  expect(said).toContain("belongs to a drill");
  fireEvent.click(screen.getByRole("button", { name: "Plan it as a drill" }));
  expect(onPlan).toHaveBeenCalledExactlyOnceWith("alternate");
  expect(withoutDrill("jab cross on each side", check.problems)).toBe("jab cross");
  cleanup();
  const squats = help("ten squats");
  expect(withoutDrill("ten squats", squats.check.problems)).toBe("");
});
