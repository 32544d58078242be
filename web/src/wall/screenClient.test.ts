import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { Programme, RunState, ScreenRun, Shown } from "../api/client";
import { serve } from "../testing/page";
import { cue, programme, running, screen, segment } from "../testing/programme";
import { ServerClock } from "./clock";
import { ScreenClient } from "./screenClient";
import { after } from "./state";
import type { Store } from "./store";

const KEY = "a".repeat(32);

/** A fake server that can be disconnected, with the state of one session. */
class Server {
  run: ScreenRun = screen().run as ScreenRun;
  shown = new Map<string, Shown>();
  reports = 0;
  away = false;
  revoked = false;
  programmes = new Map<number, Programme>();
  asked: string[] = [];

  answer = async (request: Request): Promise<Response> => {
    const path = new URL(request.url).pathname;
    if (this.away) {
      throw new TypeError("Failed to fetch");
    }
    this.asked.push(`${request.method} ${path.replace(KEY, "KEY")}`);
    if (path === "/api/clock") {
      return new Response(String((1_000_000 + Date.now()) / 1000));
    }
    if (this.revoked) {
      return new Response("{}", { status: 410 });
    }
    if (path.endsWith("/commands")) {
      const command = await request.json();
      if (command.seen === this.run.revision) {
        this.run = { ...this.run, revision: this.run.revision + 1, state: after(this.run.state, command, []) };
      }
      return Response.json(this.run);
    }
    if (path.endsWith("/shown")) {
      this.reports += 1;
      for (const one of (await request.json()).shown as Shown[]) {
        this.shown.set(`${one.passage} ${one.cue}`, one);
      }
      return new Response(null, { status: 204 });
    }
    if (path.includes("/programmes/")) {
      return Response.json(this.programmes.get(this.run.programme));
    }
    return Response.json({ ...screen(), run: this.run });
  };
}

class Memory implements Store {
  private readonly kept = new Map<string, string>();
  read = async <T>(key: string) => JSON.parse(this.kept.get(key) ?? "null") ?? (undefined as T | undefined);
  write = async (key: string, value: unknown) => void this.kept.set(key, JSON.stringify(value) ?? "null");
}

const half = programme(
  [segment(0, 300, "work"), segment(300, 600, "work")],
  Array.from({ length: 60 }, (_, at) => cue(10_000 * at, "show", { text: `${at}` })),
);

let server: Server;
let store: Memory;
const clients: ScreenClient[] = [];

beforeEach(() => {
  vi.useFakeTimers({ now: 0 });
  server = new Server();
  server.programmes.set(1, half);
  store = new Memory();
  serve(server.answer);
});
afterEach(() => {
  for (const client of clients.splice(0)) {
    client.stop();
  }
  vi.useRealTimers();
  serve(null);
});

/** A fake event stream. */
class Events {
  readyState = 1;
  onopen: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  close = () => {
    this.readyState = 2;
  };
  say = (run: ScreenRun) => this.onmessage?.({ data: JSON.stringify({ run }) });
}

async function open(kept = store): Promise<{ client: ScreenClient; events: Events; listened: () => number }> {
  const events = new Events();
  let times = 0;
  const client = new ScreenClient({
    key: KEY,
    clock: new ServerClock(
      () => Date.now(),
      () => Date.now(),
    ),
    store: kept,
    local: () => Date.now(),
    events: () => {
      times += 1;
      return events as unknown as EventSource;
    },
  });
  clients.push(client);
  const started = client.start();
  await vi.advanceTimersByTimeAsync(50);
  await started;
  return { client, events, listened: () => times };
}

const position = (client: ScreenClient) => Math.round(client.position() ?? Number.NaN);

describe("a screen", () => {
  test("plays the programme from the server's clock", async () => {
    const { client } = await open();
    await vi.advanceTimersByTimeAsync(60_000);
    expect(position(client)).toBe(Date.now());
  });

  test("gets a pushed change and shows it at once", async () => {
    const { client, events } = await open();
    const paused: RunState = { ...running, pausedMs: 5000 };
    events.say({ ...server.run, revision: 2, state: paused });
    await vi.advanceTimersByTimeAsync(0);
    expect(position(client)).toBe(5000);
  });

  test("ignores an older push", async () => {
    const { client, events } = await open();
    events.say({ ...server.run, revision: 3, state: { ...running, pausedMs: 7000 } });
    events.say({ ...server.run, revision: 2, state: { ...running, pausedMs: 5000 } });
    await vi.advanceTimersByTimeAsync(0);
    expect(position(client)).toBe(7000);
  });

  test("an answer that was under way does not replace a newer push", async () => {
    const { client, events } = await open();
    const old = server.run;
    let letGo: () => void = () => undefined;
    serve(async (request) => {
      if (new URL(request.url).pathname.endsWith(KEY)) {
        await new Promise<void>((done) => {
          letGo = done;
        });
        return Response.json({ ...screen(), run: old });
      }
      return server.answer(request);
    });
    const asked = client.refresh();
    await vi.advanceTimersByTimeAsync(0);
    events.say({ ...old, revision: 2, state: { ...running, pausedMs: 5000 } });
    letGo();
    await vi.advanceTimersByTimeAsync(0);
    await asked;
    expect(position(client)).toBe(5000);
  });

  test("asks by itself where nothing tells it", async () => {
    const { client, events } = await open();
    events.onerror?.();
    server.run = { ...server.run, revision: 2, state: { ...running, pausedMs: 5000 } };
    await vi.advanceTimersByTimeAsync(2500);
    expect(position(client)).toBe(5000);
    expect(client.view.reach).not.toBe("away");
  });

  test("listens again at once when its web server goes away, since another may take it", async () => {
    const { client, events, listened } = await open();
    events.onopen?.();
    await vi.advanceTimersByTimeAsync(10);
    events.readyState = 0;
    events.onerror?.();
    await vi.advanceTimersByTimeAsync(500);
    expect(listened()).toBe(2);
    server.run = { ...server.run, revision: 2, state: { ...running, pausedMs: 5000 } };
    events.readyState = 1;
    events.onopen?.();
    await vi.advanceTimersByTimeAsync(10);
    expect(position(client)).toBe(5000);
  });

  test("fetches the programme again when it has changed, and no more often", async () => {
    const { client, events } = await open();
    server.programmes.set(2, { ...half, version: 2, lengthMs: 660_000 });
    server.run = { ...server.run, revision: 2, programme: 2 };
    events.say(server.run);
    await vi.advanceTimersByTimeAsync(10);
    expect(client.view.programme?.lengthMs).toBe(660_000);
    await vi.advanceTimersByTimeAsync(120_000);
    expect(server.asked.filter((one) => one.includes("/programmes/"))).toHaveLength(2);
  });

  test("goes dark when its key is revoked, within a minute even without a push", async () => {
    const { client } = await open();
    server.revoked = true;
    await vi.advanceTimersByTimeAsync(60_000);
    expect(client.view.revoked).toBe(true);
    expect(client.view.programme).toBeNull();
    const again = await open();
    expect(again.client.view.programme).toBeNull();
  });
});

describe("without the server", () => {
  test("continues, also after a reload", async () => {
    const { client } = await open();
    server.away = true;
    await vi.advanceTimersByTimeAsync(30_000);
    expect(client.view.reach).toBe("away");
    expect(position(client)).toBe(Date.now());
    client.stop();
    const { client: reloaded } = await open();
    expect(reloaded.view.programme?.name).toBe("Test");
    expect(reloaded.view.run?.id).toBe(7);
    // It also knows the time without a request.
    expect(position(reloaded)).toBe(Date.now());
  });

  test("its own pause holds, is sent when the server is back, and nothing jumps then", async () => {
    const { client } = await open();
    await vi.advanceTimersByTimeAsync(20_000);
    server.away = true;
    await client.press("pause");
    const at = position(client);
    await vi.advanceTimersByTimeAsync(60_000);
    expect(position(client)).toBe(at);
    expect(client.view.waiting).toBe(1);
    server.away = false;
    await vi.advanceTimersByTimeAsync(5000);
    expect(client.view.waiting).toBe(0);
    expect(server.run.state.pausedMs).toBe(at);
    expect(position(client)).toBe(at);
  });

  test("its presses survive a reload", async () => {
    const { client } = await open();
    await vi.advanceTimersByTimeAsync(20_000);
    server.away = true;
    await client.press("jump", 300_000);
    client.stop();
    await vi.advanceTimersByTimeAsync(10_000);
    server.away = false;
    const { client: reloaded } = await open();
    await vi.advanceTimersByTimeAsync(3000);
    expect(server.run.revision).toBe(2);
    expect(position(reloaded)).toBeGreaterThan(310_000);
    expect(position(reloaded)).toBeLessThan(315_000);
  });

  test("its press yields to a newer one of a coach", async () => {
    const { client } = await open();
    await vi.advanceTimersByTimeAsync(20_000);
    server.away = true;
    await client.press("pause");
    server.run = {
      ...server.run,
      revision: 2,
      state: { ...running, zeroMs: running.zeroMs - 100_000, passage: "coach-0001" },
    };
    server.away = false;
    await vi.advanceTimersByTimeAsync(5000);
    expect(client.view.waiting).toBe(0);
    expect(position(client)).toBe(Date.now() + 100_000);
  });
});

describe("the record", () => {
  test("has every cue that was shown once, also when the server was away for a while", async () => {
    await open();
    await vi.advanceTimersByTimeAsync(100_000);
    server.away = true;
    await vi.advanceTimersByTimeAsync(100_000);
    server.away = false;
    await vi.advanceTimersByTimeAsync(100_500);
    expect([...server.shown.values()].map((one) => one.cue)).toEqual(
      half.cues.filter((one) => one.atMs > 0 && one.atMs <= 300_000).map((one) => one.key),
    );
    for (const one of server.shown.values()) {
      expect(one.atMs).toBe(running.zeroMs + Number(one.cue.split("-")[0]));
    }
  });

  test("of two walls is the same, so that the server keeps it once", async () => {
    await open();
    await open(new Memory());
    await vi.advanceTimersByTimeAsync(95_000);
    expect(server.shown.size).toBe(9);
    expect(server.reports).toBeGreaterThan(9);
  });

  test("has what is shown again after a jump as another passage", async () => {
    const { client } = await open();
    await vi.advanceTimersByTimeAsync(25_000);
    await client.press("jump", 0);
    await vi.advanceTimersByTimeAsync(15_000);
    const first = [...server.shown.values()].filter((one) => one.cue === half.cues[1]?.key);
    expect(first).toHaveLength(2);
    // The start of the stretch after a jump is shown as well.
    expect(
      [...server.shown.values()].some((one) => one.cue === half.cues[0]?.key && one.passage !== "start-0001"),
    ).toBe(true);
  });

  test("has nothing of a jump before it: what began earlier in the session is shown from the jump on", async () => {
    const { client } = await open();
    await vi.advanceTimersByTimeAsync(5000);
    const pressed = client.clock.now();
    await client.press("jump", 95_000);
    await vi.advanceTimersByTimeAsync(1000);
    const passed = [...server.shown.values()].filter((one) => one.passage !== "start-0001");
    expect(passed.map((one) => one.cue)).toContain(half.cues.filter((one) => one.atMs <= 95_000).at(-1)?.key);
    for (const one of passed) {
      expect(one.atMs).toBeGreaterThanOrEqual(Math.round(pressed));
    }
  });

  test("has nothing that came while the device slept", async () => {
    await open();
    await vi.advanceTimersByTimeAsync(15_000);
    // Timers stand still while it sleeps.
    vi.setSystemTime(Date.now() + 60_000);
    await vi.advanceTimersByTimeAsync(10_000);
    const shown = [...server.shown.values()].map((one) => Number(one.cue.split("-")[0]));
    expect(shown).toContain(10_000);
    expect(shown.filter((ms) => ms > 16_000 && ms < 75_000)).toEqual([]);
    expect(shown).toContain(80_000);
  });

  test("stops with a pause", async () => {
    const { client } = await open();
    await vi.advanceTimersByTimeAsync(15_000);
    await client.press("pause");
    await vi.advanceTimersByTimeAsync(60_000);
    expect(server.shown.size).toBe(1);
    await client.press("resume");
    await vi.advanceTimersByTimeAsync(10_000);
    expect(server.shown.size).toBe(2);
  });
});

test("a press that comes while the wall still loads the session counts at once", async () => {
  const { client, events } = await open();
  // Another session starts, and its programme takes a while.
  let loaded = () => {};
  const slow = new Promise<void>((done) => {
    loaded = done;
  });
  serve(async (request) => {
    const answer = await server.answer(request);
    if (new URL(request.url).pathname.includes("/programmes/")) {
      await slow;
    }
    return answer;
  });
  server.run = { ...server.run, id: 8 };
  events.say(server.run);
  await vi.advanceTimersByTimeAsync(100);
  server.run = { ...server.run, revision: 2, state: { ...server.run.state, pausedMs: 42_000 } };
  events.say(server.run);
  loaded();
  await vi.advanceTimersByTimeAsync(300);
  expect([client.view.run?.id, client.view.run?.state.pausedMs]).toEqual([8, 42_000]);
});
