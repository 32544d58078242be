import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type RoundTrip, ServerClock } from "./clock";

/** The two clocks of a device: a monotonic one and the time of day. */
class Device {
  ms = 0;
  asleep = 0;
  local = () => this.ms;
  date = () => 1_700_000_000_000 + this.ms + this.asleep;
  pass(ms: number) {
    this.ms += ms;
  }
  /** The monotonic clock stands while the device sleeps; the time of day continues. */
  sleep(ms: number) {
    this.asleep += ms;
  }
}

const trip = (device: Device, offset: number, out: number, back: number): RoundTrip => ({
  sentMs: device.ms,
  serverMs: device.ms + out + offset,
  receivedMs: device.ms + out + back,
});

describe("the server's clock", () => {
  // Half the round trip bounds the error of a clock that is read remotely: F. Cristian, "Probabilistic clock
  // synchronization", Distributed Computing 3 (1989).
  test("is never further off than half the quickest round trip, however uneven the ways are", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(400), fc.nat(400)), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: -1e9, max: 1e12 }),
        (ways, offset) => {
          const device = new Device();
          const clock = new ServerClock(device.local, device.date);
          clock.measure(ways.map(([out, back]) => trip(device, offset, out, back)));
          const off = Math.abs(clock.now() - (device.ms + offset));
          const quickest = Math.min(...ways.map(([out, back]) => out + back));
          expect(off).toBeLessThanOrEqual(quickest / 2 + 1e-3 + (Math.abs(offset) < 1000 ? Math.abs(offset) : 0));
          expect(clock.bound()).toBeLessThanOrEqual(quickest / 2 + 1);
        },
      ),
    );
  });

  test("is put right little by little, and never goes back", () => {
    const device = new Device();
    const clock = new ServerClock(device.local, device.date);
    clock.measure([trip(device, 5_000_000, 1, 1)]);
    device.pass(60_000);
    // The server's clock is found to be 40 ms behind the estimate.
    clock.measure([trip(device, 4_999_960, 0, 0)]);
    let before = clock.now();
    for (let step = 0; step < 300; step += 1) {
      device.pass(10);
      const now = clock.now();
      expect(now).toBeGreaterThan(before);
      expect(Math.abs(now - before - 10)).toBeLessThanOrEqual(0.21);
      before = now;
    }
    expect(clock.now()).toBeCloseTo(device.ms + 4_999_960, 3);
  });

  test("keeps a good measurement where a later one is worse, until it may have drifted as far", () => {
    const device = new Device();
    const clock = new ServerClock(device.local, device.date);
    clock.measure([trip(device, 100_000, 2, 2)]);
    device.pass(10_000);
    clock.measure([trip(device, 100_000, 300, 0)]);
    expect(clock.now()).toBeCloseTo(device.ms + 100_000, 3);
    expect(clock.bound()).toBeCloseTo(3, 0);
    device.pass(2_000_000);
    clock.measure([trip(device, 100_050, 4, 4)]);
    expect(clock.bound()).toBeCloseTo(4, 2);
  });

  test("is right at once after a sleep, and says that the server has to be asked", () => {
    const device = new Device();
    const clock = new ServerClock(device.local, device.date);
    clock.measure([trip(device, 100_000, 1, 1)]);
    expect(clock.wake()).toBe(false);
    device.sleep(3_600_000);
    device.pass(20);
    expect(clock.wake()).toBe(true);
    expect(clock.now()).toBeCloseTo(device.ms + 3_600_000 + 100_000, 3);
    expect(clock.bound()).toBe(Number.POSITIVE_INFINITY);
    clock.measure([trip(device, 3_700_000, 3, 3)]);
    expect(clock.bound()).toBeCloseTo(3, 2);
  });

  test("of two screens with other clocks agree within their bounds", () => {
    fc.assert(
      fc.property(fc.nat(50), fc.nat(50), fc.nat(50), fc.nat(50), (a, b, c, d) => {
        const [one, two] = [new Device(), new Device()];
        two.pass(123_456);
        const clocks = [new ServerClock(one.local, one.date), new ServerClock(two.local, two.date)] as const;
        clocks[0].measure([trip(one, 1e9, a, b)]);
        clocks[1].measure([trip(two, 1e9 - 123_456, c, d)]);
        expect(Math.abs(clocks[0].now() - clocks[1].now())).toBeLessThanOrEqual(
          clocks[0].bound() + clocks[1].bound() + 1e-3,
        );
      }),
    );
  });
});

test("after a reload it begins with what was known, and the first answer counts more", () => {
  const device = new Device();
  const clock = new ServerClock(device.local, device.date);
  clock.begin(250);
  expect(clock.now()).toBeCloseTo(device.date() + 250, 3);
  clock.measure([trip(device, device.date() - device.ms + 230, 40, 40)]);
  device.pass(5000);
  expect(clock.now()).toBeCloseTo(device.date() + 230, 3);
  expect(clock.bound()).toBeCloseTo(40.5, 0);
});
