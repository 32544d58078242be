/**
 * Tells whether what several coaches saw of one combination can have happened one after the other, each operation at
 * some moment between its begin and its end: whether the history is linearizable (Herlihy and Wing, "Linearizability: a
 * correctness condition for concurrent objects", ACM TOPLAS 12(3), 1990). The search is that of Wing and Gong, "Testing
 * and verifying concurrent objects" (1993), which leaves out what was tried before, as Lowe does in "Testing for
 * linearizability" (2017).
 *
 * The combination is a register with a version. An operation has
 * - begin and end, in ms on one clock; end is Infinity when no answer came,
 * - kind "read", with the version and value that were seen,
 * - kind "write", with basedOn, value and outcome: "stored" (with its new version), "refused" (because the version was
 *   another one) or "unknown" (no answer: it may have happened at any time, or never).
 */

/** @returns {{version: number, value: unknown} | null} the state after an operation; null when it cannot happen in it */
function after(state, operation) {
  if (operation.kind === "read") {
    return operation.version === state.version && operation.value === state.value ? state : null;
  }
  const fits = operation.basedOn === state.version;
  switch (operation.outcome) {
    case "stored":
      return fits && operation.version === state.version + 1 ? { version: operation.version, value: operation.value } : null;
    case "refused":
      return fits ? null : state;
    default:
      // Without an answer, what it found wrong it left as it was.
      return fits ? { version: state.version + 1, value: operation.value } : state;
  }
}

/**
 * @param {{version: number, value: unknown}} first the state before the history
 * @param {Array<object>} history operations on one combination, in any order
 * @returns {object | null} null when it is linearizable; otherwise the operation at which every order failed that got
 * furthest
 */
export function violation(first, history) {
  const operations = [...history].sort((a, b) => a.begin - b.begin);
  const tried = new Set();
  // Each way is the operations that happened, as the first that has not and a set of later ones, with their state.
  const ways = [{ from: 0, later: new Set(), state: first }];
  let furthest = -1;
  while (ways.length > 0) {
    let { from, later, state } = ways.pop();
    while (later.has(from)) {
      later = new Set(later);
      later.delete(from);
      from += 1;
    }
    if (isDone(operations, from, later)) {
      return null;
    }
    furthest = Math.max(furthest, from);
    const name = `${from}|${[...later].sort((a, b) => a - b)}|${state.version}|${state.value}`;
    if (tried.has(name)) {
      continue;
    }
    tried.add(name);
    // What began after another has ended happened after it.
    let ends = Number.POSITIVE_INFINITY;
    for (let at = from; at < operations.length && operations[at].begin <= ends; at += 1) {
      if (later.has(at)) {
        continue;
      }
      ends = Math.min(ends, operations[at].end);
      const next = after(state, operations[at]);
      if (next !== null) {
        ways.push({ from, later: new Set(later).add(at), state: next });
      }
    }
  }
  return operations[furthest] ?? null;
}

/** What had no answer need not have happened. */
function isDone(operations, from, later) {
  for (let at = from; at < operations.length; at += 1) {
    if (!later.has(at) && operations[at].outcome !== "unknown") {
      return false;
    }
  }
  return true;
}
