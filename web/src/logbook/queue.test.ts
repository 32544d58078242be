import fc from "fast-check";
import { expect, test } from "vitest";
import { AWAY, Refusal } from "../api/client";
import { LogQueue, type WaitingEntry } from "./queue";

function store(): Storage {
  const kept = new Map<string, string>();
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  } as Storage;
}

const entry = (key: string): Omit<WaitingEntry, "refused"> => ({
  key,
  corrects: null,
  writer: 1,
  title: key,
  body: { day: "2026-11-26", id: key },
});
const away = () => Promise.reject(new Refusal(AWAY));

test("what waits is sent in its order once the server is there", async () => {
  const sent: string[] = [];
  let there = false;
  const queue = new LogQueue(store(), async ({ key }) => (there ? sent.push(key) : away()));
  queue.add(entry("entry-one"));
  queue.add(entry("entry-two"));
  expect(await queue.flush(1)).toBe(0);
  expect(queue.all()).toHaveLength(2);
  there = true;
  expect(await queue.flush(1)).toBe(2);
  expect(sent).toEqual(["entry-one", "entry-two"]);
  expect(queue.all()).toEqual([]);
});

test("it is there after the page was closed", () => {
  const kept = store();
  new LogQueue(kept, away).add(entry("entry-one"));
  expect(new LogQueue(kept, away).all().map(({ key }) => key)).toEqual(["entry-one"]);
});

test("what the server refuses stays with the reason and holds nothing else up", async () => {
  const refused = new Refusal({ type: "invalid", status: 422, title: "This day has not come." });
  const sent: string[] = [];
  const queue = new LogQueue(store(), async ({ key }) => {
    if (key === "entry-one") {
      throw refused;
    }
    sent.push(key);
  });
  queue.add(entry("entry-one"));
  queue.add(entry("entry-two"));
  await queue.flush(1);
  expect(sent).toEqual(["entry-two"]);
  expect(queue.all().map(({ key, refused: why }) => [key, why])).toEqual([["entry-one", "This day has not come."]]);
  await queue.flush(1);
  expect(queue.all()).toHaveLength(1);
  queue.drop("entry-one");
  expect(queue.all()).toEqual([]);
});

test("signing out loses no entries", async () => {
  const queue = new LogQueue(store(), () =>
    Promise.reject(new Refusal({ type: "signed-out", status: 401, title: "Sign in again." })),
  );
  queue.add(entry("entry-one"));
  await queue.flush(1);
  expect(queue.all()[0]?.refused).toBeNull();
});

test("two flushes at once send each entry once", async () => {
  const sent: string[] = [];
  const queue = new LogQueue(store(), async ({ key }) => {
    await Promise.resolve();
    sent.push(key);
  });
  queue.add(entry("entry-one"));
  await Promise.all([queue.flush(1), queue.flush(1)]);
  expect(sent).toEqual(["entry-one"]);
});

test("a store that was tampered with is an empty queue", () => {
  const kept = store();
  kept.setItem("periplus.logbook-waiting", "{not json");
  expect(new LogQueue(kept, away).all()).toEqual([]);
});

test("whenever the server goes and comes back, every entry is taken exactly once", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 30 }), async (answers) => {
      const taken = new Map<string, number>();
      let at = 0;
      const queue = new LogQueue(store(), async ({ key }) => {
        if (!(answers[at++ % answers.length] ?? true)) {
          return away();
        }
        taken.set(key, (taken.get(key) ?? 0) + 1);
      });
      const keys = ["a", "b", "c"].map((name) => `entry-${name}`);
      for (const key of keys) {
        queue.add(entry(key));
        await queue.flush(1);
      }
      for (let round = 0; round < answers.length * keys.length; round += 1) {
        await queue.flush(1);
      }
      if (answers.some(Boolean)) {
        expect([...taken.entries()].sort()).toEqual(keys.map((key) => [key, 1]));
      } else {
        expect(queue.all()).toHaveLength(keys.length);
      }
    }),
  );
});

test("what one coach wrote is not sent as another's, and waits for them", async () => {
  const sent: string[] = [];
  const queue = new LogQueue(store(), async ({ key }) => void sent.push(key));
  queue.add({ ...entry("of-ines"), writer: 1 });
  queue.add({ ...entry("of-tomas"), writer: 2 });
  expect(await queue.flush(2)).toBe(1);
  expect(sent).toEqual(["of-tomas"]);
  expect(queue.all().map(({ key }) => key)).toEqual(["of-ines"]);
  expect(await queue.flush(1)).toBe(1);
});

test("an entry of an older version, whose writer is unknown, is not sent automatically", async () => {
  const kept = store();
  const { writer: _, ...older } = { ...entry("entry-one"), refused: null };
  kept.setItem("periplus.logbook-waiting", JSON.stringify([older]));
  const queue = new LogQueue(kept, away);
  expect(await queue.flush(1)).toBe(0);
  expect(queue.all().map(({ writer }) => writer)).toEqual([null]);
});
