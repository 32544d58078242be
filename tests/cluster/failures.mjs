/**
 * Fifty coaches save and two walls play a session, while one part of the cluster after the other is killed and comes
 * back: the database node that takes the writes, another node, a web server, Redis and the worker, during an import.
 * Ends with 1 when a write that was acknowledged is missing, when a coach overwrote what they had not seen, when a
 * command did not reach both walls, or when the import did not come to its end. Times are told, not judged.
 * Run by bin/test cluster [SECONDS of load between two failures].
 */
import { execFile } from "node:child_process";
import { createRequire } from "node:module";
import { promisify } from "node:util";
import { any, Coach, gather, pause } from "../load/coach.mjs";
import { violation } from "./history.mjs";

const require = createRequire(`${process.env.ROOT}/web/package.json`);
const { chromium } = require("@playwright/test");
const run = promisify(execFile);
const cluster = async (...words) => (await run(`${process.env.ROOT}/bin/cluster`, words)).stdout;

const BASE = process.env.PERIPLUS_URL;
const BETWEEN_SECONDS = Number(process.argv[2] ?? 6);
const COACHES = 50;
const COMBINATIONS = 20;
/** ms after which a coach gives up waiting for an answer */
const TIMEOUT_MS = 20_000;
/** ms from the answer to a command within which both walls must have taken it */
const TAKEN_MS = 10_000;

const faults = [];
const tally = {};
const histories = new Map();
const saves = [];
let isOver = false;

const note = ({ what, status, text }) => {
  tally[what] = (tally[what] ?? 0) + 1;
  if (status >= 500 && status !== 503) {
    faults.push(`${what}: ${text.slice(0, 200)}`);
  }
};

/** What a coach sees and does, as operations on one combination. */
async function work({ coach, at }, ids) {
  for (let turn = 0; !isOver; turn += 1) {
    const id = any(ids);
    const history = histories.get(id);
    const begin = performance.now();
    const read = await coach.ask("GET", `/api/combinations/${id}`).catch(() => null);
    if (read?.status !== 200) {
      await pause(300);
      continue;
    }
    const { name, notation, stance, rules, themes, level, version } = read.body;
    history.push({ kind: "read", begin, end: performance.now(), version, value: read.body.note });
    await pause(Math.random() * 60);
    const value = `coach ${at} turn ${turn}`;
    const write = { kind: "write", begin: performance.now(), basedOn: version, value };
    const content = { name, text: notation, stance, rules, themes, level, note: value };
    const answer = await coach
      .ask("PUT", `/api/combinations/${id}`, content, { "If-Match": `"${version}"` })
      .catch(() => null);
    write.end = performance.now();
    saves.push({ begin: write.begin, end: write.end, isStored: answer?.status === 200 });
    if (answer?.status === 200) {
      history.push({ ...write, outcome: "stored", version: answer.body.version });
    } else if (answer?.status === 412) {
      history.push({ ...write, outcome: "refused" });
    } else if (answer?.status === 503 && answer.body.type === "database-away") {
      // Said to be saved nowhere: it must never be seen.
      never.push({ id, value });
    } else if (answer === null || answer.status === 503) {
      history.push({ ...write, end: Number.POSITIVE_INFINITY, outcome: "unknown" });
    } else {
      faults.push(`A save was answered with ${answer.status} ${JSON.stringify(answer.body)}`);
    }
    await pause(100 + Math.random() * 300);
  }
}
const never = [];

/** What a wall says of its clock, with the time of this machine at which it said so. */
const clockOf = (page) =>
  page.evaluate(
    () =>
      new Promise((done) =>
        dispatchEvent(
          new CustomEvent("screen-clock", {
            detail: (clock) => done({ ...clock, date: performance.timeOrigin + performance.now() }),
          }),
        ),
      ),
  );
async function apart(walls) {
  const [one, other] = await Promise.all(walls.map(clockOf));
  return Math.abs(one.position - one.date - (other.position - other.date));
}

/**
 * Two walls, and a coach who jumps through the session.
 *
 * @param {number[]} distances how far the walls were apart, in ms, each time that both had taken the last command
 * @param {number[]} delays from the answer to a command until both walls had taken it, in ms
 */
async function play(head, distances, delays) {
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium-headless-shell",
    args: ["--no-sandbox", "--disable-gpu"],
  });
  const names = ["Floor", "Bag room"];
  const made = await Promise.all(names.map((name) => head.ask("POST", "/api/walls", { name: `${name} ${Date.now()}` })));
  const walls = await Promise.all(made.map(() => browser.newContext().then((context) => context.newPage())));
  await Promise.all(walls.map((wall, at) => wall.goto(`${BASE}/wall/${made[at].body.key}`)));
  const started = await head.ask("POST", "/api/runs", {
    id: `failures-${Date.now()}`,
    timer: { rounds: 20, seconds: 180, rest: 60 },
    walls: made.map((wall) => wall.body.id),
    leadIn: 0,
  });
  let { revision } = started.body;
  await Promise.all(walls.map((wall) => wall.getByText("Round 1").first().waitFor()));
  for (let jump = 0; !isOver; jump += 1) {
    for (let look = 0; look < 5 && !isOver; look += 1) {
      await pause(500);
      distances.push(await apart(walls));
    }
    const toMs = 60_000 + (jump % 40) * 70_000;
    const command = { id: `failures-jump-${jump}-${Date.now()}`, kind: "jump", toMs, seen: revision };
    let answer = null;
    while (answer?.status !== 200 && !isOver) {
      answer = await head.ask("POST", `/api/runs/${started.body.id}/commands`, command).catch(() => null);
    }
    if (answer?.status !== 200) {
      break;
    }
    revision = answer.body.revision;
    const answered = performance.now();
    const isBehind = async () => (await Promise.all(walls.map(clockOf))).some(({ position }) => Math.abs(position - toMs) > 30_000);
    while ((await isBehind()) && performance.now() - answered < TAKEN_MS) {
      await pause(20);
    }
    delays.push(performance.now() - answered);
    if (delays.at(-1) >= TAKEN_MS) {
      faults.push(`A wall did not take a jump to ${toMs} ms within ${TAKEN_MS} ms.`);
    }
  }
  await browser.close();
}

/** The node that the balancer sends writes to has the most open connections. */
async function nodes() {
  const status = await cluster("status");
  const open = [...status.matchAll(/^database\s+(db-\d)\s+UP\s+(\d+) open/gm)].map((found) => [found[1], Number(found[2])]);
  return open.sort((a, b) => b[1] - a[1]).map(([name]) => name);
}

async function fail(part) {
  const began = performance.now();
  await cluster("kill", part);
  await pause(4000);
  await cluster("revive", part);
  const ended = performance.now();
  await pause(1000 * BETWEEN_SECONDS);
  const during = saves.filter((save) => save.end >= began && save.begin <= performance.now());
  const stored = during.filter((save) => save.isStored).map((save) => save.end);
  const gaps = stored.sort((a, b) => a - b).map((end, at) => end - (at === 0 ? began : stored[at - 1]));
  const longest = Math.max(...during.map((save) => save.end - save.begin));
  console.log(
    `${part.padEnd(8)} away ${((ended - began) / 1000).toFixed(1)} s; longest wait for an answer to a save ${(longest / 1000).toFixed(2)} s,`,
    `longest time in which none was stored ${(Math.max(...gaps) / 1000).toFixed(2)} s; ${stored.length} stored`,
  );
}

/** An import that a worker reads while the worker is killed. */
async function importDuring(coach) {
  const lines = Array.from({ length: 1200 }, (_, at) => `${[at, at >> 2, at >> 4, at >> 6, at >> 8, at >> 10].map((n) => 1 + (n & 3)).join(" ")} exit`);
  let state = (await coach.ask("POST", "/api/imports", { format: "text", content: lines.join("\n") })).body;
  const began = performance.now();
  while (state.state === "reading" && performance.now() - began < 120_000) {
    const answer = await coach.ask("POST", `/api/imports/${state.id}/advance`).catch(() => null);
    state = answer?.status === 200 ? answer.body : state;
    await pause(500);
  }
  if (state.state !== "ready") {
    faults.push(`The import stands at ${JSON.stringify(state)}.`);
  }
  console.log(`An import of ${lines.length} lines was read in ${((performance.now() - began) / 1000).toFixed(0)} s, with its worker killed meanwhile.`);
}

const head = new Coach(BASE, note, TIMEOUT_MS);
await head.signIn("ines@saltworks.example", "first-bell-7");
const list = await head.ask("GET", `/api/combinations?size=${COMBINATIONS}`);
const ids = list.body.combinations.map((row) => row.id);
const firsts = new Map();
for (const id of ids) {
  const { body } = await head.ask("GET", `/api/combinations/${id}`);
  firsts.set(id, { version: body.version, value: body.note });
  histories.set(id, []);
}
const coaches = await gather(head, COACHES, COACHES);
console.log(`${COACHES} coaches save ${ids.length} combinations and two walls play, while one part after the other is killed.`);
const distances = [];
const delays = [];
const load = [...coaches.map((one) => work(one, ids)), play(head, distances, delays)];
await pause(1000 * BETWEEN_SECONDS);
const [writer, reader] = await nodes();
for (const part of [writer, reader, "web-1", "redis"]) {
  await fail(part);
}
await Promise.all([importDuring(coaches[0].coach), pause(1500).then(() => fail("worker"))]);
isOver = true;
await Promise.all(load);

/** What is there at the end belongs to each history. */
async function last(id) {
  const begin = performance.now();
  const { body } = await head.ask("GET", `/api/combinations/${id}`);
  return { kind: "read", begin, end: performance.now(), version: body.version, value: body.note };
}

let missing = 0;
let overwrites = 0;
let operations = 0;
for (const id of ids) {
  const history = histories.get(id);
  history.push(await last(id));
  operations += history.length;
  const { versions } = (await head.ask("GET", `/api/combinations/${id}/versions`)).body;
  for (const write of history.filter((one) => one.outcome === "stored")) {
    if (versions.find((version) => version.version === write.version)?.note !== write.value) {
      missing += 1;
    }
  }
  for (const lost of never.filter((one) => one.id === id && versions.some((version) => version.note === one.value))) {
    faults.push(`“${lost.value}” was said to be saved nowhere, and is a version of ${id}.`);
  }
  const wrong = violation(firsts.get(id), history);
  if (wrong !== null) {
    overwrites += 1;
    faults.push(`The history of ${id} cannot have happened: ${JSON.stringify(wrong)}`);
  }
}
const stored = saves.filter((save) => save.isStored).length;
const middle = (list) => list[list.length >> 1];
distances.sort((a, b) => a - b);
delays.sort((a, b) => a - b);
for (const [what, count] of Object.entries(tally).sort()) {
  console.log(`  ${String(count).padStart(6)}  ${what}`);
}
console.log(`${stored} saves were acknowledged; ${missing} of them are missing. ${operations} operations in ${ids.length} histories, ${overwrites} histories that cannot have happened.`);
console.log(`The walls were at most ${distances.at(-1).toFixed(1)} ms apart (half of ${distances.length} times at most ${middle(distances).toFixed(1)} ms).`);
console.log(`Both had taken a command at most ${delays.at(-1).toFixed(0)} ms after it was answered (half of ${delays.length} within ${middle(delays).toFixed(0)} ms).`);

// The test of the test: a lost update that is planted in the database itself is found by the same checker.
const [planted] = ids;
const before = await last(planted);
await run("bash", ["-c", process.env.PLANT, "plant", String(planted), String(before.version - 1), "planted"]);
const found = violation(firsts.get(planted), [...histories.get(planted), before, await last(planted)]);
console.log(found === null ? "FAULT A planted lost update was not found." : "A lost update that was planted in the database was found.");
for (const fault of faults.slice(0, 20)) {
  console.log(`FAULT ${fault}`);
}
process.exit(faults.length > 0 || missing > 0 || overwrites > 0 || stored === 0 || found === null ? 1 : 0);
