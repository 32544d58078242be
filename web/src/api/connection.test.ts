import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { isOutdated } from "../app/version";
import { serve } from "../testing/page";
import { again, isAway, Refusal } from "./client";
import { isReachable, noteConnection, onConnection } from "./connection";

beforeEach(() => vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  serve(null);
  document.head.innerHTML = "";
});

test("a server that is away is polled until it answers, and listeners hear of both changes", async () => {
  let up = false;
  const pings: string[] = [];
  serve((request) => {
    pings.push(new URL(request.url).pathname);
    return up ? Promise.resolve(new Response(null, { status: 204 })) : Promise.reject(new TypeError("Failed to fetch"));
  });
  noteConnection(true);
  const told: boolean[] = [];
  const end = onConnection(() => told.push(isReachable()));
  noteConnection(false);
  noteConnection(false);
  await vi.advanceTimersByTimeAsync(6000);
  expect(pings).toEqual(["/api/ping", "/api/ping"]);
  up = true;
  await vi.advanceTimersByTimeAsync(3000);
  expect(told).toEqual([false, true]);
  await vi.advanceTimersByTimeAsync(30_000);
  expect(pings, "once it is back it is left alone").toHaveLength(3);
  end();
});

test.each([
  ["/assets/index-Abc.js", "/assets/index-Abc.js", false],
  ["/assets/index-Abc.js", "/assets/index-Def.js", true],
])("a page that runs %s is outdated where the server gives out %s: %s", async (running, current, outdated) => {
  document.head.innerHTML = `<script type="module" src="${running}"></script>`;
  serve(() => Promise.resolve(new Response(`<script type="module" src="${current}"></script>`)));
  expect(await isOutdated()).toBe(outdated);
});

test("without an answer no page is outdated", async () => {
  document.head.innerHTML = '<script type="module" src="/assets/index-Abc.js"></script>';
  expect(await isOutdated()).toBe(false);
});

const refusal = (status: number, type: string) => new Refusal({ type, title: "No.", status });

test.each([
  [refusal(404, "not-found"), 0, false],
  [refusal(503, "database-away"), 0, true],
  [refusal(503, "database-away"), 1, false],
  [refusal(0, "away"), 0, true],
])("a question is asked once more when its refusal may pass: %s", (error, count, expected) => {
  expect(again(count, error)).toBe(expected);
});

test("no answer is away, and a refusal is not", () => {
  expect(
    [refusal(0, "away"), refusal(503, "server-away"), refusal(503, "database-away"), new Error("x")].map(isAway),
  ).toEqual([true, true, false, false]);
});
