import { IDBFactory } from "fake-indexeddb";
import { afterEach, expect, test, vi } from "vitest";
import { browserStore } from "./store";

afterEach(() => vi.unstubAllGlobals());

test("where the browser has no database, nothing is kept and nothing fails", async () => {
  await browserStore.write("screen", { run: 7 });
  expect(await browserStore.read("screen")).toBeUndefined();
});

test("what is kept is there after a reload", async () => {
  vi.stubGlobal("indexedDB", new IDBFactory());
  vi.resetModules();
  const before = (await import("./store")).browserStore;
  await before.write("screen", { run: 7 });
  vi.resetModules();
  const after = (await import("./store")).browserStore;
  expect(await after.read("screen")).toEqual({ run: 7 });
  expect(await after.read("nothing")).toBeUndefined();
});
