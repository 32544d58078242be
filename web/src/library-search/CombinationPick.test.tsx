import { QueryClient } from "@tanstack/react-query";
import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { CombinationPick } from "./CombinationPick";

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer({});
});
afterEach(() => {
  cleanup();
  serve(null);
});

const page = (...names: string[]) => ({
  combinations: names.map((name, index) => ({ id: index + 1, name, text: "1 2" })),
  total: names.length,
  page: 1,
  size: 20,
  numbering: "parity",
  search: { clauses: [], problems: [], passedOver: [] },
  without: [],
});

function pick() {
  const onChoose = vi.fn();
  render(
    <Around client={new QueryClient()}>
      <CombinationPick label="Which" placeholder="Type a name" first={{ sort: "name" }} onChoose={onChoose} />
    </Around>,
  );
  return { onChoose, field: screen.getByRole("combobox") };
}

const answer = async (of: RegExp, names: string[]) => {
  const find = () => asked.find(({ query }) => of.test(query));
  await waitFor(() => expect(find(), JSON.stringify(asked.map(({ path, query }) => path + query))).toBeDefined());
  await act(async () => find()?.answer(page(...names)));
};

test("Enter takes nothing while the list belongs to an earlier text, and the first of the new list after that", async () => {
  const { onChoose, field } = pick();
  fireEvent.mouseDown(field);
  await answer(/sort=name/, ["Barrel roll"]);
  fireEvent.change(field, { target: { value: "front" } });
  fireEvent.keyDown(field, { key: "Enter", keyCode: 13 });
  expect(onChoose).not.toHaveBeenCalled();
  await answer(/q=front.*closest=true/, ["Front porch", "Barrel roll"]);
  await screen.findByText(/Front porch/);
  fireEvent.keyDown(field, { key: "Enter", keyCode: 13 });
  expect(onChoose.mock.calls.map(([row]) => row.name)).toEqual(["Front porch"]);
});
