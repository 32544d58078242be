import { afterEach, expect, test } from "vitest";
import type { PlayedRecording, Programme } from "../api/client";
import { serve } from "../testing/page";
import { isOff, placeOf } from "./FollowedRecording";
import { KeptRecordings, recordingsIn } from "./keptRecordings";
import type { Store } from "./store";

afterEach(() => serve(null));

const recording = (id: number): PlayedRecording => ({
  id,
  file: `file-${id}`,
  kind: "video",
  mediaType: "video/webm",
  lengthMs: 4000,
  technique: null,
});

function memory(): Store & { kept: Map<string, unknown> } {
  const kept = new Map<string, unknown>();
  return {
    kept,
    read: async <T>(key: string) => kept.get(key) as T | undefined,
    write: async (key, value) => {
      if (value === undefined) {
        kept.delete(key);
      } else {
        kept.set(key, value);
      }
    },
  };
}

test("a recording that two combinations play is loaded once, and chains without one are passed over", () => {
  const chains = [{ recording: recording(1) }, { recording: null }, {}, { recording: recording(1) }];
  expect(recordingsIn({ chains } as unknown as Programme).map(({ id }) => id)).toEqual([1]);
});

test("what was loaded once plays without the server, and goes with the programme that played it", async () => {
  const store = memory();
  const asked: string[] = [];
  serve(async (request) => {
    asked.push(new URL(request.url, "http://localhost").pathname);
    return new Response("film");
  });
  const kept = new KeptRecordings(store, "screen k");
  await kept.keepOnly(["file-1"]);
  expect(await (await kept.load(recording(1), "/folder")).text()).toBe("film");
  serve(async () => {
    throw new TypeError("away");
  });
  expect(await (await kept.load(recording(1), "/folder")).text()).toBe("film");
  await expect(kept.load(recording(2), "/folder")).rejects.toThrow();
  expect(asked).toEqual(["/folder/1"]);

  const other = new KeptRecordings(store, "at-home h");
  await other.keepOnly([]);
  await kept.keepOnly(["file-2"]);
  expect([...store.kept.keys()].filter((key) => key.startsWith("recording "))).toEqual([]);
});

test("a refused recording is not kept", async () => {
  const store = memory();
  serve(async () => new Response("{}", { status: 404 }));
  await expect(new KeptRecordings(store, "screen k").load(recording(1), "/folder")).rejects.toThrow("404");
  expect(store.kept.size).toBe(0);
});

test("a video repeats in step with the session; sound is heard the first time", () => {
  expect(placeOf(1500, 4000)).toEqual({ at: 1.5, isFirst: true });
  expect(placeOf(9500, 4000)).toEqual({ at: 1.5, isFirst: false });
  expect(placeOf(-200, 4000)).toEqual({ at: 0, isFirst: true });
});

test("a player is moved only when it is clearly somewhere else; end and start are next to each other", () => {
  expect(isOff(1.4, 1.5, 4000)).toBe(false);
  expect(isOff(1.0, 1.5, 4000)).toBe(true);
  expect(isOff(3.95, 0.05, 4000)).toBe(false);
});
