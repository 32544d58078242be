/** Tests the test: what the checker of histories finds, and what it lets pass. Run by bin/test with Node's own runner. */
import assert from "node:assert/strict";
import test from "node:test";
import { violation } from "./history.mjs";

const FIRST = { version: 1, value: "a" };
const read = (begin, end, version, value) => ({ kind: "read", begin, end, version, value });
const stored = (begin, end, basedOn, value) => ({ kind: "write", begin, end, basedOn, value, outcome: "stored", version: basedOn + 1 });
const refused = (begin, end, basedOn, value) => ({ kind: "write", begin, end, basedOn, value, outcome: "refused" });
const unknown = (begin, basedOn, value) => ({ kind: "write", begin, end: Number.POSITIVE_INFINITY, basedOn, value, outcome: "unknown" });

test("coaches who save one after the other pass", () => {
  const history = [read(0, 1, 1, "a"), stored(2, 4, 1, "b"), read(5, 6, 2, "b"), stored(7, 9, 2, "c"), read(10, 11, 3, "c")];
  assert.equal(violation(FIRST, history), null);
});

test("of two saves from the same version one is stored and the other refused, whichever was first", () => {
  assert.equal(violation(FIRST, [stored(0, 10, 1, "b"), refused(0, 10, 1, "c"), read(11, 12, 2, "b")]), null);
  assert.equal(violation(FIRST, [refused(0, 9, 1, "c"), stored(1, 10, 1, "b"), read(11, 12, 2, "b")]), null);
});

test("a lost update is found: both coaches were told that theirs is stored", () => {
  const lost = stored(1, 11, 1, "c");
  assert.notEqual(violation(FIRST, [stored(0, 10, 1, "b"), lost, read(12, 13, 2, "c")]), null);
});

test("an acknowledged save that is missing afterwards is found", () => {
  assert.notEqual(violation(FIRST, [stored(0, 1, 1, "b"), read(2, 3, 1, "a")]), null);
  assert.notEqual(violation(FIRST, [stored(0, 1, 1, "b"), stored(2, 3, 2, "c"), read(4, 5, 2, "b")]), null);
});

test("what is read while it is saved may be old or new, but never old after new", () => {
  const save = stored(0, 10, 1, "b");
  assert.equal(violation(FIRST, [save, read(1, 2, 1, "a"), read(3, 4, 2, "b")]), null);
  assert.notEqual(violation(FIRST, [save, read(1, 2, 2, "b"), read(3, 4, 1, "a")]), null);
});

test("a save without an answer may have happened late, or never, but not before it was sent", () => {
  assert.equal(violation(FIRST, [unknown(0, 1, "b"), read(5, 6, 1, "a"), read(7, 8, 2, "b")]), null);
  assert.equal(violation(FIRST, [unknown(0, 1, "b"), stored(5, 6, 1, "c"), read(7, 8, 2, "c")]), null);
  assert.notEqual(violation(FIRST, [read(0, 1, 2, "b"), unknown(2, 1, "b")]), null);
});

test("a refusal without a reason is found", () => {
  assert.notEqual(violation(FIRST, [refused(0, 1, 1, "b")]), null);
});

/** Runs coaches against a register of one process, so that the order in which it happened is known. */
function simulated(random, { losesUpdates }) {
  const history = [];
  const state = { ...FIRST };
  const busy = [];
  for (let now = 0; now < 400; now += 1) {
    if (busy.length < 6) {
      const seen = Math.max(1, state.version - Math.floor(random() * 2));
      busy.push({ begin: now, at: now + 1 + Math.floor(random() * 6), seen, writes: random() < 0.6, name: `${now}` });
    }
    for (const one of busy.filter((it) => it.at === now)) {
      const end = now + Math.floor(random() * 3);
      if (!one.writes) {
        history.push(read(one.begin, end, state.version, state.value));
      } else if (one.seen === state.version || (losesUpdates && one.seen === state.version - 1)) {
        state.version = one.seen + 1;
        state.value = one.name;
        history.push(random() < 0.1 ? unknown(one.begin, one.seen, one.name) : stored(one.begin, end, one.seen, one.name));
      } else {
        history.push(refused(one.begin, end, one.seen, one.name));
      }
      busy.splice(busy.indexOf(one), 1);
    }
  }
  return history;
}

/** A generator of numbers from 0 to 1 that repeats itself for a seed: mulberry32, from memory. */
function generator(seed) {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

test("a hundred histories of a correct register pass, and those of one that loses updates do not", () => {
  for (let seed = 1; seed <= 100; seed += 1) {
    assert.equal(violation(FIRST, simulated(generator(seed), { losesUpdates: false })), null, `seed ${seed}`);
    assert.notEqual(violation(FIRST, simulated(generator(seed), { losesUpdates: true })), null, `seed ${seed}`);
  }
});
