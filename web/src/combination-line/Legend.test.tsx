import { cleanup, render, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { checked } from "../testing/core";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";
import { Legend } from "./Legend";

afterEach(() => {
  cleanup();
  serve(null);
});

test("every sign of the legend is drawn like the core draws it, with its meaning", async () => {
  const asked = heldServer();
  const { container } = render(
    <Around>
      <Legend />
    </Around>,
  );
  await waitFor(() => expect(asked.length).toBe(1));
  const { text } = (asked[0] as Asked).body as { text: string };
  const [check] = checked([text]);
  expect(check?.problems).toEqual([]);
  asked[0]?.answer(check);
  await waitFor(() => expect(container.querySelectorAll("dt svg").length).toBe((check?.items.length ?? 0) - 1));
  const meanings = [...container.querySelectorAll("dt svg")].map(
    (svg) => svg.closest("div")?.querySelector("dd")?.textContent,
  );
  expect(meanings.every((meaning) => (meaning ?? "").length > 10)).toBe(true);
  const drawn = (says: RegExp) => screen.getByText(says).closest("div")?.querySelector("svg");
  expect(drawn(/lead side strikes/)?.querySelector(".tile-lead")).toBeTruthy();
  expect(drawn(/rear side strikes/)?.querySelector(".tile-rear")).toBeTruthy();
  expect(drawn(/a feint/)?.querySelector(".tile-feint")).toBeTruthy();
  expect(drawn(/thrown hard/)?.querySelector(".tile-hard")).toBeTruthy();
  expect(drawn(/thrown lightly/)?.querySelector(".tile-light")).toBeTruthy();
  for (const sign of [/comes down in front/, /comes down behind/, /comes down half way/, /leg has stayed up/]) {
    expect(drawn(sign)?.querySelector(".leg-sign")).toBeTruthy();
  }
  expect(drawn(/a move of the head/)?.querySelector(".glyph")).toBeTruthy();
});
