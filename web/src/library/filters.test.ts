import fc from "fast-check";
import { expect, test } from "vitest";
import { exportsOf, filtersOf, sortedBy, valuesOf, withoutClause } from "./filters";

const of = (address: string) => filtersOf(new URLSearchParams(address));

test("an address without filters is the first page by name", () => {
  expect(of("")).toEqual({ sort: "name", direction: "up", page: 1, size: 50 });
});

test("every filter is read from the address, and the newest come first", () => {
  expect(of("q=liver&weapon=leg&verdict=reload&rules=boxing&level=2&archived=true&sort=updated&page=3")).toEqual({
    q: "liver",
    weapon: "leg",
    verdict: "reload",
    rules: "boxing",
    level: "2",
    archived: true,
    sort: "updated",
    direction: "down",
    page: 3,
    size: 50,
  });
});

test("what is taken out is what is found, without the page that is shown", () => {
  const ways = exportsOf(of("q=starts+1&level=2&page=4"), 7, true, 60);
  expect(ways.map((way) => way.label)).toEqual(["Wall sheet (PDF)", "Cards, a page each (PDF)", "Text", "CSV", "JSON"]);
  for (const way of ways) {
    const asked = new URLSearchParams(way.to?.split("?")[1]);
    expect([asked.get("q"), asked.get("level"), asked.get("page")], way.label).toEqual(["starts 1", "2", null]);
  }
});

test("a wall sheet is not offered for more than fits, and no file for a search that is not understood", () => {
  expect(exportsOf(of(""), 61, true, 60)[0]).toEqual({
    label: "Paper: up to 60, narrow the search",
    to: null,
  });
  expect(exportsOf(of(""), 60, true, 60)[0]?.to).toMatch(/^\/api\/wall-sheet\.pdf/);
  expect(exportsOf(of("q=zork"), 0, false, 60).map((way) => way.to)).toEqual([null]);
});

test("a clause that is taken away leaves the others, with no comma too many", () => {
  const clauses = fc.uniqueArray(fc.constantFrom("starts 1", "ends kick", "liver", "has 3b", "level 2"), {
    minLength: 1,
  });
  fc.assert(
    fc.property(clauses, fc.nat(), fc.constantFrom(", ", ",", " , "), (all, which, comma) => {
      const gone = all[which % all.length] ?? "";
      const rest = withoutClause(all.join(comma), gone);
      expect(rest.split(/\s*,\s*/).filter((clause) => clause !== "")).toEqual(all.filter((clause) => clause !== gone));
      expect(rest).not.toMatch(/^\s*,|,\s*$/);
    }),
  );
});

test("a column head sorts by its column, and the other way round when it does already", () => {
  expect(sortedBy(of(""), "level")).toEqual({ sort: "level", direction: null });
  expect(sortedBy(of("sort=level"), "level")).toEqual({ sort: "level", direction: "down" });
  expect(sortedBy(of("sort=level&direction=down"), "level")).toEqual({ sort: "level", direction: null });
  expect(sortedBy(of(""), "name")).toEqual({ sort: null, direction: "down" });
  expect(sortedBy(of(""), "updated"), "the newest first").toEqual({ sort: "updated", direction: null });
  expect(of("sort=tail&direction=aside")).toMatchObject({ sort: "name", direction: "up" });
});

test("a filter has several values, and a wall sheet the name of its view", () => {
  expect(valuesOf(of("weapon=hand,leg"), "weapon")).toEqual(["hand", "leg"]);
  expect(valuesOf(of(""), "level")).toEqual([]);
  expect(exportsOf(of("q=liver"), 3, true, 60, "Liver & more")[0]?.to).toContain("title=Liver+%26+more");
});
