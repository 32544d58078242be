import { expect, test } from "vitest";
import { answered, refusal } from "./client";

const answer = (status: number, error?: unknown) =>
  Promise.resolve({ error, response: new Response(null, { status }) });
const refused = (call: Promise<unknown>) => call.then(() => expect.unreachable("it was answered"), refusal);

test("what the server refuses keeps its sentence and all it says of it", async () => {
  const problem = {
    type: "already-there",
    status: 409,
    title: "Already there.",
    existing: { id: 4, name: "Low tide" },
  };
  expect(await refused(answered(answer(409, problem)))).toEqual(problem);
});

test.each([502, 504, 500])(
  "an answer of %i that is not the application's own is told as a server that is away",
  async (status) => {
    const problem = await refused(answered(answer(status, "<html>")));
    expect(problem).toMatchObject({ type: "away", status });
    expect(problem.title).toContain("still here");
  },
);

test("no answer at all is told the same way", async () => {
  const problem = await refused(answered(Promise.reject(new TypeError("Failed to fetch"))));
  expect(problem).toMatchObject({ type: "away", status: 0 });
});

test("a question that was taken back is no refusal", async () => {
  const abort = new DOMException("", "AbortError");
  await expect(answered(Promise.reject(abort))).rejects.toBe(abort);
});
