import { afterEach, expect, test } from "vitest";
import { serve } from "../testing/page";
import { answered, api, refusal } from "./client";

afterEach(() => serve(null));

const asked = () => answered(api.GET("/api/gym"));
const refused = () => asked().then(() => expect.unreachable("it was answered"), refusal);

test("what the server refuses keeps its sentence and all it says of it", async () => {
  const problem = {
    type: "already-there",
    status: 409,
    title: "Already there.",
    existing: { id: 4, name: "Low tide" },
  };
  serve(async () => new Response(JSON.stringify(problem), { status: 409 }));
  expect(await refused()).toEqual(problem);
});

test.each([502, 504, 500])(
  "an answer of %i that is not the application's own is told as a server that is away",
  async (status) => {
    serve(async () => new Response("<html>", { status }));
    const problem = await refused();
    expect(problem).toMatchObject({ type: "away", status });
    expect(problem.title).toContain("still here");
  },
);

test("no answer at all is reported the same way", async () => {
  serve(() => Promise.reject(new TypeError("Failed to fetch")));
  expect(await refused()).toMatchObject({ type: "away", status: 0 });
});

test("an answer that breaks off is reported the same way", async () => {
  serve(async () => new Response('{"name": "Salt', { status: 200 }));
  expect(await refused()).toMatchObject({ type: "away", status: 0 });
});

test("a cancelled request is no refusal", async () => {
  const abort = new DOMException("", "AbortError");
  serve(() => Promise.reject(abort));
  await expect(asked()).rejects.toBe(abort);
});
