import { QueryClient } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { memo } from "react";
import { BrowserRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Check } from "../api/client";
import { server } from "../api/client";
import { keys } from "../api/keys";
import { accountOf } from "../testing/account";
import { checked, drawnFromAbove } from "../testing/core";
import { NUMBERINGS, VOCABULARY } from "../testing/facts";
import { serve } from "../testing/page";
import { Around, type Asked, heldServer } from "../testing/server";

/** Counts how often each part of the bench is rendered. */
const drawn = vi.hoisted(() => ({ pad: 0, options: 0, line: 0, next: 0, findings: 0, other: 0 }));
vi.mock("./TouchPad", () => ({ TouchPad: counted("pad") }));
vi.mock("./OptionsBar", () => ({ OptionsBar: counted("options") }));
vi.mock("./NextStrip", () => ({ NextStrip: counted("next") }));
vi.mock("../check/CheckedLine", () => ({ CheckedLine: counted("line") }));
vi.mock("../check/Findings", () => ({ Findings: counted("findings") }));
vi.mock("../check/OtherStance", () => ({ OtherStance: counted("other") }));
function counted(name: keyof typeof drawn) {
  return memo(() => {
    drawn[name] += 1;
    return null;
  });
}
const { Bench } = await import("./Bench");

const [one, two] = checked(["1", "1 2"]) as [Check, Check];
let asked: Asked[] = [];
beforeEach(() => {
  window.history.replaceState(null, "", "/bench");
  asked = heldServer({ "GET /api/vocabulary": VOCABULARY, "GET /api/numberings": NUMBERINGS });
});
afterEach(() => {
  cleanup();
  serve(null);
});

/** Returns which parts an action renders. */
async function during(act: () => unknown) {
  const before = { ...drawn };
  await act();
  await new Promise((done) => setTimeout(done, 60));
  return Object.fromEntries(
    Object.entries(drawn)
      .map(([name, times]) => [name, times - before[name as keyof typeof drawn]] as const)
      .filter(([, times]) => times > 0),
  );
}

test("a key draws nothing but the line that is typed, and each part of its answer what it is about", async () => {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  client.setQueryData(keys.session, { user: accountOf("head-coach"), csrfToken: "t" });
  client.setQueryData(server.queryOptions("get", "/api/numberings").queryKey, NUMBERINGS);
  render(
    <Around client={client}>
      <BrowserRouter>
        <Bench id="new" stored={null} proposal={null} />
      </BrowserRouter>
    </Around>,
  );
  const type = (text: string) => fireEvent.change(screen.getByRole("textbox"), { target: { value: text } });
  const last = () => asked.at(-1);
  const mends = { mends: { verdict: "flows", lengthMs: 1, mends: [], findings: [], pairs: true, complete: true } };
  type("1");
  await waitFor(() => expect(last()?.body).toMatchObject({ text: "1" }));
  for (const part of [
    one,
    { fromAbove: drawnFromAbove("1") },
    { next: { after: 0, next: [] } },
    { similar: { matches: [], total: 0 } },
    mends,
  ]) {
    last()?.line(part);
  }
  last()?.end();
  await waitFor(() => expect(drawn.next).toBeGreaterThan(1));

  // A key press removes the mends of the previous line.
  expect(await during(() => type("1 2"))).toEqual({ findings: 1 });
  await waitFor(() => expect(last()?.body).toMatchObject({ text: "1 2" }));
  expect(await during(() => last()?.line(two))).toEqual({ line: 1, findings: 1, other: 1 });
  expect(await during(() => last()?.line({ fromAbove: drawnFromAbove("1 2") }))).toEqual({ line: 1, other: 1 });
  expect(await during(() => last()?.line({ next: { after: 1, next: [] } }))).toEqual({ next: 1 });
  expect(await during(() => last()?.line({ similar: { matches: [], total: 0 } }))).toEqual({});
  expect(await during(() => last()?.line(mends))).toEqual({ findings: 1 });
});
