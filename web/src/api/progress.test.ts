import { expect, test, vi } from "vitest";
import { Refusal } from "./client";
import { followToTheEnd } from "./progress";

test("work is asked for at once while it goes on, and after a moment when it has not", async () => {
  vi.useFakeTimers();
  const answers = [{ done: 2 }, { done: 2 }, { done: 5 }];
  const steps: number[] = [];
  const ask = vi.fn(async () => answers.shift() ?? { done: 0 });
  const ended = followToTheEnd(
    { done: 0 },
    (state) => state.done === 5,
    ask,
    (state) => steps.push(state.done),
  );
  await vi.advanceTimersByTimeAsync(0);
  expect(ask).toHaveBeenCalledTimes(2);
  await vi.advanceTimersByTimeAsync(500);

  expect(await ended).toEqual({ done: 5 });
  expect(steps).toEqual([0, 2, 2, 5]);
  expect(ask).toHaveBeenCalledTimes(3);
  vi.useRealTimers();
});

test("a server that is busy with other long tasks is asked again, and any other refusal ends it", async () => {
  vi.useFakeTimers();
  const refused = (type: string, status: number) => new Refusal({ type, status, title: type });
  const ask = vi
    .fn<() => Promise<{ done: number }>>()
    .mockRejectedValueOnce(refused("busy", 429))
    .mockRejectedValueOnce(refused("busy", 503))
    .mockResolvedValueOnce({ done: 1 })
    .mockRejectedValueOnce(refused("not-found", 404));
  const ended = followToTheEnd(
    { done: 0 },
    (state) => state.done === 2,
    ask,
    () => undefined,
  );
  const said = expect(ended).rejects.toThrow("not-found");
  await vi.advanceTimersByTimeAsync(1000);

  await said;
  expect(ask).toHaveBeenCalledTimes(4);
  vi.useRealTimers();
});
