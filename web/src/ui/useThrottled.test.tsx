import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { useThrottled } from "./useThrottled";

beforeEach(() => {
  vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "performance"] });
});
afterEach(() => {
  vi.useRealTimers();
});

test("the first change is given at once, those that follow quickly are given together", () => {
  const { result, rerender } = renderHook(({ value }) => useThrottled(value, 20), { initialProps: { value: "1" } });
  rerender({ value: "1 2" });
  expect(result.current).toBe("1 2");
  rerender({ value: "1 2 3" });
  rerender({ value: "1 2 3b" });
  expect(result.current).toBe("1 2");
  act(() => {
    vi.advanceTimersByTime(21);
  });
  expect(result.current).toBe("1 2 3b");
  act(() => {
    vi.advanceTimersByTime(100);
  });
  rerender({ value: "1 2" });
  expect(result.current).toBe("1 2");
});
