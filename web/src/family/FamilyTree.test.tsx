import { cleanup, render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test } from "vitest";
import type { FamilyOfOne, Match, Relative } from "../api/client";
import { AlreadyThere } from "./AlreadyThere";
import { FamilyTree } from "./FamilyTree";

afterEach(cleanup);

const one = (id: number, text: string) => ({ id, name: `No. ${id}`, text }) as Relative;
const under = (parent: number, id: number, text: string) => ({ ...one(id, text), parent });

function tree(self: Relative, family: Partial<FamilyOfOne>) {
  render(
    <MemoryRouter>
      <FamilyTree self={self} family={{ ancestors: [], descendants: [], contained: [], ...family } as FamilyOfOne} />
    </MemoryRouter>,
  );
}

test("a combination without relatives shows a message and a link to all families", () => {
  tree(one(1, "1 2"), {});
  expect(screen.getByRole("link", { name: "All families" }).getAttribute("href")).toBe("/family");
});

test("ancestors are shown above, descendants below, and only added items are not grey", () => {
  tree(one(2, "1 2 3"), { ancestors: [one(1, "1 2")], descendants: [under(2, 3, "1 2 3 14")] });
  const links = screen.getAllByRole("link");
  expect(links.map((link) => link.getAttribute("href"))).toEqual([
    "/combinations/1",
    "/combinations/2",
    "/combinations/3",
  ]);
  expect(links.map((link) => link.getAttribute("aria-current"))).toEqual([null, "page", null]);
  expect(links.map((link) => link.querySelector("i")?.textContent ?? "")).toEqual(["", "1 2 ", "1 2 3 "]);
});

test("a long list of siblings and a deep branch are cut, with the number that is left out", () => {
  const children = Array.from({ length: 11 }, (_, index) => under(1, 10 + index, `1 2 ${3 + index}`));
  const deep = [under(10, 30, "1 2 3 4"), under(30, 31, "1 2 3 4 5"), under(31, 32, "1 2 3 4 5 6")];
  tree(one(1, "1 2"), { descendants: [...children, ...deep, under(32, 33, "1 2 3 4 5 6 1")] });
  expect(screen.getByText("and 3 more")).toBeDefined();
  expect(screen.getByText("2 more grow from it")).toBeDefined();
});

test("the same chain and its mirror are listed first, and all of them", () => {
  const match = (id: number, relation: Match["relation"]) => ({ ...one(id, "1 2"), relation }) as Match;
  const matches = [1, 2, 3, 4, 5, 6].map((id) => match(id, "alike"));
  render(
    <MemoryRouter>
      <AlreadyThere matches={[...matches, match(7, "mirror"), match(8, "same")]} total={9} />
    </MemoryRouter>,
  );
  const list = within(screen.getByRole("region", { name: "Similar in the library" }));
  expect(list.getAllByRole("link").map((link) => link.textContent)).toEqual([
    "No. 7",
    "No. 8",
    "No. 1",
    "No. 2",
    "No. 3",
  ]);
  expect(list.getByText("and 4 more that are near.")).toBeDefined();
});
