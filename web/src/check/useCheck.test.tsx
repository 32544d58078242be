import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, expect, test } from "vitest";
import { type Check, type CheckRequest, isAway } from "../api/client";
import { isReachable } from "../api/connection";
import { checked } from "../testing/core";
import { serve } from "../testing/page";
import { type Asked, heldServer } from "../testing/server";
import { useCheck } from "./useCheck";

let asked: Asked[] = [];
beforeEach(() => {
  asked = heldServer();
});
afterEach(() => {
  cleanup();
  serve(null);
});

/** A bench with a line and its check. */
function bench(first: string, asking: Partial<CheckRequest> = {}) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result, rerender } = renderHook(({ text }) => useCheck({ text, ...asking }), {
    initialProps: { text: first },
    wrapper,
  });
  return { result, type: (text: string) => rerender({ text }) };
}

const [one, two, broken] = checked(["1", "1 2", "1 zork"]) as [Check, Check, Check];
const questions = () => asked.map((question) => (question.body as CheckRequest).text);

test("a key is asked at once, and those that follow quickly together", async () => {
  const { type } = bench("");
  for (const text of ["1", "1 ", "1 2", "1 2 "]) {
    type(text);
  }
  type("1 2 3");
  await waitFor(() => expect(questions()).toEqual(["1", "1 2 3"]));
});

test("an answer to what is no longer there is dropped, also when it comes last", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(questions()).toEqual(["1"]));
  type("1 2");
  await waitFor(() => expect(questions()).toEqual(["1", "1 2"]));
  asked[1]?.answer(two);
  await waitFor(() => expect(result.current.current).toBe(true));
  asked[0]?.answer(one);
  await new Promise((done) => setTimeout(done, 50));
  expect(result.current.latest?.notation).toBe("1 2");
  expect(result.current.current).toBe(true);
});

test("the picture stays while a word is half typed, and what cannot be read is known at once", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.readable?.notation).toBe("1"));
  type("1 zork");
  expect(result.current.current, "what is shown is of a moment ago").toBe(false);
  expect(result.current.readable?.notation).toBe("1");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.answer(broken);
  await waitFor(() => expect(result.current.latest?.problems.length).toBe(1));
  expect(result.current.readable?.notation).toBe("1");
});

test("an empty line asks nothing and shows nothing", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.readable).toBeDefined());
  type("  ");
  expect(result.current.latest).toBeUndefined();
  expect(result.current.readable).toBeUndefined();
  await new Promise((done) => setTimeout(done, 150));
  expect(asked.length).toBe(1);
});

test("what was answered once is not asked again", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  type("1 2");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.answer(two);
  await waitFor(() => expect(result.current.latest?.notation).toBe("1 2"));
  type("1");
  await waitFor(() => expect(result.current.latest?.notation).toBe("1"));
  expect(asked.length).toBe(2);
});

test("an unreachable server is reported, and the picture is kept", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.readable).toBeDefined());
  type("1 2");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.fail();
  await waitFor(() => expect(result.current.error).toBeTruthy());
  expect(result.current.readable?.notation).toBe("1");
});

test("what is shown is old while the server is away, and it is asked again until it is back", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  expect(result.current.old).toBe(false);

  type("1 2");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.fail();
  await waitFor(() => expect(result.current.old).toBe(true));
  expect(isAway(result.current.error)).toBe(true);
  expect(isReachable()).toBe(false);
  expect(result.current.readable?.notation, "the picture of before stays, and looks old").toBe("1");

  const again = () => asked.slice(2).find((question) => question.path === "/api/check");
  await waitFor(() => expect(again()).toBeDefined(), { timeout: 4000 });
  again()?.answer(two);
  await waitFor(() => expect(result.current.current).toBe(true));
  expect([result.current.old, result.current.error, isReachable()]).toEqual([false, null, true]);
});

test("what is shown is old when an answer is late", async () => {
  const { result, type } = bench("1");
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.answer(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  type("1 2");
  expect(result.current.old, "a quick one changes nothing on its way").toBe(false);
  await waitFor(() => expect(result.current.old).toBe(true), { timeout: 2000 });
  asked.at(-1)?.answer(two);
  await waitFor(() => expect(result.current.old).toBe(false));
});

const ALL = ["next", "similar", "mends"] as const;
const NEXT = { after: 0, next: [] };
const SIMILAR = { matches: [], total: 0 };
const MENDS = { verdict: "flows", lengthMs: 1, mends: [], findings: [], pairs: true, complete: true };

test("the check is known as soon as its line is here, and each part when it comes", async () => {
  const { result } = bench("1", { with: [...ALL] });
  await waitFor(() => expect(asked.length).toBe(1));
  expect(asked[0]?.headers.get("Accept")).toBe("application/x-ndjson");
  asked[0]?.line(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  expect(result.current.parts.next, "it has not come yet").toBeUndefined();
  const check = result.current.latest;
  asked[0]?.line({ next: NEXT });
  await waitFor(() => expect(result.current.parts.next).toEqual(NEXT));
  expect(result.current.parts.mends).toBeUndefined();
  asked[0]?.line({ similar: SIMILAR });
  asked[0]?.line({ mends: MENDS });
  asked[0]?.end();
  await waitFor(() => expect(result.current.parts.mends).toEqual(MENDS));
  expect(result.current.latest, "what has come is not made anew").toBe(check);
  expect(asked.length).toBe(1);
});

test("parts of an earlier line are gone with the next key", async () => {
  const { result, type } = bench("1", { with: [...ALL] });
  await waitFor(() => expect(asked.length).toBe(1));
  for (const part of [one, { next: NEXT }, { similar: SIMILAR }, { mends: MENDS }]) {
    asked[0]?.line(part);
  }
  asked[0]?.end();
  await waitFor(() => expect(result.current.parts.mends).toEqual(MENDS));
  type("1 2");
  expect(result.current.parts).toEqual({});
  expect(result.current.readable?.notation, "the picture stays").toBe("1");
});

test("an answer that breaks off keeps what has come and is asked for again", async () => {
  const { result } = bench("1", { with: [...ALL] });
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.line(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  asked[0]?.fail();
  await waitFor(() => expect(asked.length).toBe(2), { timeout: 4000 });
  expect(result.current.readable?.notation).toBe("1");
  for (const part of [one, { next: NEXT }, { similar: null }, { mends: MENDS }]) {
    asked[1]?.line(part);
  }
  asked[1]?.end();
  await waitFor(() => expect(result.current.parts).toMatchObject({ next: NEXT, similar: null, mends: MENDS }));
});

test("an answer that ends before all parts are there is not taken for whole", async () => {
  const { result } = bench("1", { with: ["mends"] });
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.line(one);
  asked[0]?.end();
  await waitFor(() => expect(asked.length).toBe(2), { timeout: 4000 });
  expect(isAway(result.current.error)).toBe(true);
});

test("an answer that was left in the middle is asked for as a whole when its line comes back", async () => {
  const { result, type } = bench("1", { with: ["mends"] });
  await waitFor(() => expect(asked.length).toBe(1));
  asked[0]?.line(one);
  await waitFor(() => expect(result.current.current).toBe(true));
  type("1 2");
  await waitFor(() => expect(asked.length).toBe(2));
  asked[1]?.line(two);
  asked[1]?.line({ mends: MENDS });
  asked[1]?.end();
  await waitFor(() => expect(result.current.parts.mends).toEqual(MENDS));
  act(() => type("1"));
  await waitFor(() => expect(asked.length).toBe(3));
  expect(questions()).toEqual(["1", "1 2", "1"]);
});
