import { afterEach, expect, test } from "vitest";
import { serve } from "../testing/page";
import { HomeSession, LEAD_IN_MS } from "./homeSession";
import type { Store } from "./store";

afterEach(() => serve(null));

const SESSION = {
  gym: "Saltworks",
  name: "Alone",
  endsOn: "2026-12-29",
  numberings: [],
  programme: { lengthMs: 60_000 },
};

function memory(): Store & { kept: Map<string, unknown> } {
  const kept = new Map<string, unknown>();
  return {
    kept,
    read: async <T>(key: string) => kept.get(key) as T | undefined,
    write: async (key, value) => {
      kept.set(key, value);
    },
  };
}

function made(store: Store) {
  const time = { now: 1000 };
  return { time, client: new HomeSession({ key: "k", store, local: () => time.now }) };
}

const answer = (body: unknown, status = 200) =>
  new Response(status === 204 ? null : JSON.stringify(body), {
    status,
    headers: { "Content-Type": "application/json" },
  });

test("what was loaded once is there without the server, for each numbering of its own", async () => {
  const store = memory();
  serve(async () => answer(SESSION));
  await made(store).client.load(null);
  serve(async () => {
    throw new TypeError("away");
  });
  const { client } = made(store);
  await client.load(null);
  expect(client.view.session?.name).toBe("Alone");
  expect(client.view.away).toBe(false);
  const other = made(store).client;
  await other.load("body-pairs");
  expect(other.view).toMatchObject({ session: null, away: true });
});

test("another numbering in the middle of a session changes the numbers alone", async () => {
  const { client, time } = made(memory());
  serve(async () => answer(SESSION));
  await client.load(null);
  client.begin();
  time.now += LEAD_IN_MS + 5000;
  serve(async () => answer({ ...SESSION, name: "Alone, in pairs" }));
  await client.load("body-pairs");
  expect(client.view).toMatchObject({ session: { name: "Alone, in pairs" }, readIn: "body-pairs" });
  expect(client.position()).toBe(5000);
  serve(async () => {
    throw new TypeError("away");
  });
  await client.load("parity");
  expect(client.view).toMatchObject({ session: { name: "Alone, in pairs" }, readIn: "body-pairs", away: true });
  expect(client.position()).toBe(5000);
});

test("the numbering that was chosen last stays, whichever answer comes first", async () => {
  const { client } = made(memory());
  let late: (response: Response) => void = () => undefined;
  serve((request) =>
    request.url.includes("slow")
      ? new Promise((resolve) => {
          late = resolve;
        })
      : Promise.resolve(answer(SESSION)),
  );
  const slow = client.load("slow");
  await client.load("quick");
  late(answer({ ...SESSION, name: "Late" }));
  await slow;
  expect(client.view).toMatchObject({ session: { name: "Alone" }, readIn: "quick" });
});

test("a revoked link is said and forgotten, also what was kept of it", async () => {
  const store = memory();
  serve(async () => answer(SESSION));
  const { client } = made(store);
  await client.load(null);
  await store.write("recordings at-home k", ["film"]);
  await store.write("recording at-home k film", new Blob(["film"]));
  serve(async () => answer({ title: "This session is no longer available." }, 410));
  await client.load(null);
  expect(client.view).toMatchObject({ session: null, run: null, refused: "This session is no longer available." });
  expect(store.kept.get("at-home k ")).toBeUndefined();
  expect(store.kept.get("recording at-home k film")).toBeUndefined();
});

test("it begins after a lead-in, stands while it is paused, jumps and begins again", () => {
  const { client, time } = made(memory());
  client.begin();
  expect(client.position()).toBe(-LEAD_IN_MS);
  time.now += LEAD_IN_MS + 5000;
  expect(client.position()).toBe(5000);
  client.pause();
  time.now += 60_000;
  expect(client.position()).toBe(5000);
  client.resume();
  time.now += 1000;
  expect(client.position()).toBe(6000);
  client.jump(30_000);
  time.now += 500;
  expect(client.position()).toBe(30_500);
  client.begin();
  expect(client.position()).toBe(-LEAD_IN_MS);
});

test("an end is counted once, and told when the server is there again", async () => {
  const store = memory();
  let told = 0;
  serve(async () => {
    throw new TypeError("away");
  });
  const { client } = made(store);
  client.begin();
  await client.finish();
  await client.finish();
  expect(store.kept.get("at-home finished k")).toBe(1);
  serve(async (request) => {
    told += request.method === "POST" ? 1 : 0;
    return request.method === "POST" ? answer(null, 204) : answer(SESSION);
  });
  await made(store).client.load(null);
  await expect.poll(() => told).toBe(1);
  await expect.poll(() => store.kept.get("at-home finished k")).toBe(0);
  client.begin();
  await client.finish();
  expect(told).toBe(2);
});
