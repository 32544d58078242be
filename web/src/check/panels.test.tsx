import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import type { Check, FamilyOfOne, Match, Mend, Relative } from "../api/client";
import { Compare } from "../compare/Compare";
import { AlreadyThere } from "../family/AlreadyThere";
import { FamilyTree } from "../family/FamilyTree";
import { checked, checkedDemo, DEMO, drawnFromAbove } from "../testing/core";
import { Findings } from "./Findings";
import { MendList } from "./MendList";
import { OtherStance } from "./OtherStance";

afterEach(cleanup);

const demo = checkedDemo().map((check, at) => [DEMO[at]?.name ?? "", check] as const);
const findings = (check: Check, more: Partial<Parameters<typeof Findings>[0]> = {}) =>
  render(<Findings check={check} selected={null} onSelect={() => {}} {...more} />).container;

test.each(demo)("%s: every wait and every finding is listed, and credits of one kind once", (_, check) => {
  const said = findings(check).textContent ?? "";
  for (const link of check.links.filter((link) => link.verdict !== "flows")) {
    expect(said).toContain(link.reason);
    expect(said).toContain(`+${link.waitMs} ms`);
  }
  const rows = screen.getByRole("region", { name: "What the check says" }).querySelectorAll(".finding em");
  const credits = check.findings.filter((finding) => finding.severity === "credit");
  const others = check.findings.length - credits.length;
  expect(rows.length).toBe(others + new Set(credits.map((finding) => finding.id)).size);
  for (const finding of check.findings.filter((finding) => finding.severity !== "credit")) {
    expect(said).toContain(finding.message);
  }
});

test("a finding leads to its place", () => {
  const [check] = checked(["1 14l\t--rules=kickboxing"]) as [Check];
  const onSelect = vi.fn();
  findings(check, { onSelect });
  const finding = check.findings.find((one) => one.id === "kick-on-line");
  fireEvent.click(screen.getByText(finding?.message ?? "missing"));
  expect(onSelect).toHaveBeenLastCalledWith(1);
});

test("a finding with several places is listed once, and each place can be shown", () => {
  const [check] = checked(["1 13 1 13 1 14l\t--rules=kickboxing"]) as [Check];
  const onSelect = vi.fn();
  findings(check, { onSelect });
  const finding = check.findings.find((one) => one.id === "kick-on-line");
  expect(finding?.places).toEqual([1, 3, 5]);
  expect(screen.getAllByText(finding?.message ?? "missing").length).toBe(1);
  const row = screen.getByText(finding?.message ?? "missing").closest("li") as HTMLElement;
  fireEvent.click(within(row).getByRole("button", { name: "14l" }));
  expect(onSelect).toHaveBeenLastCalledWith(5);
});

test("a broken house rule is never followed by a sentence that all is well", () => {
  const [broken, worth] = checked(["1 2 14l exit\t--rules=boxing", "1 2 3 2 3 2 exit\t--rules=boxing"]) as [
    Check,
    Check,
  ];
  expect(broken.linkVerdict).toBe("flows");
  expect(findings(broken).querySelector(".summary")?.textContent).toBe(
    "The timing is fine, but it breaks a house rule: outside the rules.",
  );
  cleanup();
  expect(findings(worth).querySelector(".summary")?.textContent).toBe(
    "Every link flows; worth fixing: head never moves.",
  );
});

test("a chain that flows is marked as such, with its measures", () => {
  const [check] = checked(["1 2 exit"]) as [Check];
  const said = findings(check).textContent;
  expect(said).toContain("Every link flows");
  expect(said).toContain(`${check.balance?.leastCm.toFixed(0)} cm margin`);
  expect(said).toContain(`Level ${check.level?.level}`);
});

const mend = (at: number): Mend => ({
  words: `way ${at}`,
  edits: [],
  text: `1 ${at}`,
  notation: `1 ${at}`,
  verdict: "flows",
  lengthMs: 1000 + at,
  waitMs: 0,
  savedMs: 300,
});

test("three mends are shown at first, the others on request, each to be made or compared", () => {
  const [onMend, onCompare] = [vi.fn(), vi.fn()];
  const mends = [1, 2, 3, 4, 5].map(mend);
  render(<MendList mends={mends} lengthMs={1500} name="Mends" onMend={onMend} onCompare={onCompare} />);
  const list = screen.getByRole("list", { name: "Mends" });
  expect(within(list).getAllByText(/way \d/).length).toBe(3);
  fireEvent.click(screen.getByRole("button", { name: "2 other ways" }));
  expect(within(list).getAllByText(/way \d/).length).toBe(5);
  expect(list.textContent).toContain("1.50 s → 1.00 s");
  fireEvent.click(screen.getByTitle("Apply: 1 4"));
  expect(onMend).toHaveBeenCalledExactlyOnceWith(mends[3]);
  fireEvent.click(screen.getByRole("button", { name: "Compare: way 2" }));
  expect(onCompare).toHaveBeenCalledExactlyOnceWith(mends[1]);
});

test("the other stance says what is lost, and carries the same limbs over in the numbers that are read", () => {
  const [check] = checked(["1 2 7\t--numbering=body-pairs"]) as [Check];
  const onCarry = vi.fn();
  const compare = vi.fn((text: string, stance: string) => `/compare?second=${text}&secondStance=${stance}`);
  render(
    <MemoryRouter>
      <OtherStance
        check={check}
        fromAbove={drawnFromAbove("1 2 3b")}
        opponent="orthodox"
        selected={null}
        compare={compare}
        onCarry={onCarry}
      />
    </MemoryRouter>,
  );
  expect(screen.getByText(/the liver is lost/)).toBeTruthy();
  expect(screen.getByText("no liver"), "the hook that is lost, from above in both stances").toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Apply" }));
  expect(onCarry).toHaveBeenCalledExactlyOnceWith("2 1 8", "southpaw");
  expect(
    compare.mock.calls.map(([text]) => text),
    "addresses hold the chain as it is stored, for every reader",
  ).toEqual(["1 2 3b", "2 1 4b"]);
});

test("a comparison marks what only one of both has, and says what it costs", () => {
  const [before, after] = checked(["2 2", "2 slip-rear 2"]) as [Check, Check];
  const { container } = render(
    <Compare
      first={{ title: "Unchanged", check: before, stance: "orthodox" }}
      second={{ title: "Mended", check: after, stance: "orthodox" }}
    />,
  );
  const [first, second] = [...container.querySelectorAll("section")];
  expect(first?.querySelectorAll(".difference").length).toBe(0);
  expect(second?.querySelectorAll(".difference").length).toBe(1);
  const saved = ((before.waitMs ?? 0) - (after.waitMs ?? 0)) / 1000;
  expect(container.querySelector(".compare-sum")?.textContent).toContain(`${saved.toFixed(2)} s less waiting`);
});

const one = (id: number, text: string): Relative => ({
  id,
  name: `No. ${id}`,
  text,
  notation: text,
  stance: "orthodox",
  verdict: "flows",
});

test("a family is a tree from its first ancestor down, with what each adds", () => {
  const family: FamilyOfOne = {
    ancestors: [one(1, "1 2 exit")],
    descendants: [
      { ...one(3, "1 2 3 2 exit"), parent: 2 },
      { ...one(4, "1 2 3 14l exit"), parent: 2 },
      { ...one(5, "1 2 3 2 3 exit"), parent: 3 },
    ],
    contained: [one(9, "2 3")],
    alike: [],
  };
  const { container } = render(
    <MemoryRouter>
      <FamilyTree self={one(2, "1 2 3 exit")} family={family} />
    </MemoryRouter>,
  );
  const depth = (name: string) => {
    let [at, levels] = [screen.getByText(name).closest("li"), 0];
    while (at) {
      levels += 1;
      at = at.parentElement?.closest("li") ?? null;
    }
    return levels;
  };
  expect(["No. 1", "No. 2", "No. 3", "No. 4", "No. 5"].map(depth)).toEqual([1, 2, 3, 3, 4]);
  expect(screen.getByText("No. 2").closest("a")?.getAttribute("aria-current")).toBe("page");
  expect(screen.getByText("No. 5").closest("a")?.querySelector("i")?.textContent?.trim()).toBe("1 2 3 2");
  expect(container.textContent).toContain("Holds as a part");
  expect(screen.getByRole("link", { name: "No. 9" }).getAttribute("href")).toBe("/combinations/9");
});

test("a combination without family shows a message", () => {
  render(
    <MemoryRouter>
      <FamilyTree self={one(1, "13")} family={{ ancestors: [], descendants: [], contained: [], alike: [] }} />
    </MemoryRouter>,
  );
  expect(screen.getByText(/No other combination is its start/)).toBeTruthy();
});

test("the same chain and its mirror are always named, however many are near", () => {
  const match = (id: number, relation: Match["relation"]): Match => ({ ...one(id, `1 ${id}`), relation, distance: 1 });
  const matches = [...[1, 2, 3, 4, 5, 6].map((id) => match(id, "one-apart")), match(7, "same"), match(8, "mirror")];
  render(
    <MemoryRouter>
      <AlreadyThere matches={matches} total={20} />
    </MemoryRouter>,
  );
  const rows = screen.getAllByRole("listitem").map((row) => row.textContent);
  expect(rows.length).toBe(5);
  expect(rows[0]).toContain("the same chain");
  expect(rows[1]).toContain("the same limbs in the other stance");
  expect(screen.getByText("and 15 more that are near.")).toBeTruthy();
});
