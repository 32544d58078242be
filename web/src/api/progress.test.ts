import { expect, test, vi } from "vitest";
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
