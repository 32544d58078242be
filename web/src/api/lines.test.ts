import fc from "fast-check";
import { expect, test } from "vitest";
import { linesOf } from "./lines";

/** A stream of bytes in chunks of these sizes; the last chunk has the rest. */
function arriving(bytes: Uint8Array, sizes: number[]): ReadableStream<Uint8Array> {
  return new ReadableStream({
    start(controller) {
      let at = 0;
      for (const size of sizes) {
        controller.enqueue(bytes.slice(at, at + size));
        at += size;
      }
      controller.enqueue(bytes.slice(at));
      controller.close();
    },
  });
}

async function all<T>(lines: AsyncGenerator<T>): Promise<T[]> {
  const found: T[] = [];
  for await (const line of lines) {
    found.push(line);
  }
  return found;
}

test("lines are read whole, wherever the pieces that arrive are cut", async () => {
  const parts = fc.array(fc.record({ text: fc.string({ unit: "grapheme" }), count: fc.integer() }), { maxLength: 6 });
  await fc.assert(
    fc.asyncProperty(
      parts,
      fc.array(fc.nat({ max: 9 }), { maxLength: 30 }),
      fc.boolean(),
      async (sent, sizes, ended) => {
        const text = sent.map((part) => JSON.stringify(part)).join("\n") + (ended && sent.length > 0 ? "\n" : "");
        expect(await all(linesOf(arriving(new TextEncoder().encode(text), sizes)))).toEqual(sent);
      },
    ),
  );
});

test("a line is here before the next one has come", async () => {
  let send: ReadableStreamDefaultController<Uint8Array> | undefined;
  const lines = linesOf<number>(
    new ReadableStream({
      start: (controller) => {
        send = controller;
      },
    }),
  );
  send?.enqueue(new TextEncoder().encode("1\n"));
  expect((await lines.next()).value).toBe(1);
});

test("an answer that breaks off is an error after what has come", async () => {
  const lines = linesOf<number>(
    new ReadableStream({
      start: (controller) => controller.enqueue(new TextEncoder().encode("1\n2")),
      pull: (controller) => controller.error(new TypeError("network error")),
    }),
  );
  expect((await lines.next()).value).toBe(1);
  await expect(lines.next()).rejects.toThrow("network error");
});

test("an answer that is no longer read is cancelled", async () => {
  let ended = false;
  const body = new ReadableStream<Uint8Array>({
    start: (controller) => controller.enqueue(new TextEncoder().encode("1\n2\n")),
    cancel: () => {
      ended = true;
    },
  });
  for await (const line of linesOf(body)) {
    expect(line).toBe(1);
    break;
  }
  expect(ended).toBe(true);
});
