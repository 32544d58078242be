/**
 * Fifty coaches at once, editing and proposing on the same twenty combinations through the API of a running gym, while
 * its database is killed and started again in the middle. Ends with 1 when an update was lost, when the server answered
 * with an error while the database was up, or when a write that was acknowledged is not found afterwards.
 * Run by bin/periplus load [SECONDS].
 */
import { execFile } from "node:child_process";
import { readFileSync } from "node:fs";
import { promisify } from "node:util";
import { any, Coach, gather, pause } from "./coach.mjs";

const BASE = process.env.PERIPLUS_URL;
const STATE = process.env.PERIPLUS_STATE;
const SECONDS = Number(process.argv[2] ?? 60);
const COACHES = 50;
const HEADS = 8;
const COMBINATIONS = 20;
/** ms around the kill in which the database counts as away. */
const GRACE = 1500;

const tally = {};
const faults = [];
const edits = [];
const proposals = [];
let down = null;
let up = null;

/** An error while the database was up is a fault. */
function note({ what, status, retryAfter, text, began }) {
  tally[what] = (tally[what] ?? 0) + 1;
  if (status >= 500) {
    const away = down !== null && Date.now() >= down - GRACE && (up === null || began <= up + GRACE);
    if (status !== 503 || !retryAfter || !away) {
      faults.push(`${what}, retry-after ${retryAfter}, away ${away}: ${text.slice(0, 160)}`);
    }
  }
}

async function work({ coach, at, head }, ids, until) {
  for (let turn = 0; Date.now() < until; turn += 1) {
    const id = any(ids);
    const read = await coach.ask("GET", `/api/combinations/${id}`);
    if (read.status !== 200) {
      await pause(300);
      continue;
    }
    const { name, notation, stance, rules, themes, level, version } = read.body;
    const note = `coach ${at} turn ${turn}`;
    const content = { name, text: notation, stance, rules, themes, level, note };
    if (!head) {
      const answer = await coach.ask("POST", "/api/proposals", { kind: "change", combination: id, basedOn: version, content });
      if (answer.status === 201) {
        proposals.push({ id: answer.body.id, note });
      } else if (answer.body?.type === "too-many-open") {
        const mine = (await coach.ask("GET", "/api/proposals?list=open&mine=true")).body?.proposals?.[0];
        if (mine) {
          await coach.ask("POST", `/api/proposals/${mine.id}/withdraw`, {}, { "If-Match": `"${mine.version}"` });
        }
      }
    } else if (turn % 3 === 0) {
      const open = await coach.ask("GET", "/api/proposals?list=open");
      const proposal = open.status === 200 ? any(open.body.proposals) : undefined;
      if (proposal) {
        await coach.ask(
          "POST",
          `/api/proposals/${proposal.id}/approve`,
          { against: proposal.combination?.version ?? null, remark: note },
          { "If-Match": `"${proposal.version}"` },
        );
      }
    } else {
      const answer = await coach.ask("PUT", `/api/combinations/${id}`, content, { "If-Match": `"${version}"` });
      if (answer.status === 200 && answer.body.version !== version) {
        edits.push({ id, version: answer.body.version, note });
      }
    }
    await pause(20 + Math.random() * 120);
  }
}

async function killAndStart() {
  await pause(SECONDS * 400);
  down = Date.now();
  process.kill(Number(readFileSync(`${STATE}/run/db/db.pid`, "utf8")), "SIGKILL");
  await pause(2500);
  await promisify(execFile)(`${process.env.ROOT}/bin/start`);
  up = Date.now();
}

const head = new Coach(BASE, note);
await head.signIn("ines@saltworks.example", "first-bell-7");
const list = await head.ask("GET", `/api/combinations?size=${COMBINATIONS}`);
const ids = list.body.combinations.map((row) => row.id);
console.log(`${COACHES} coaches, ${HEADS} of them head coaches, ${ids.length} combinations, ${SECONDS} s; the database is killed in between.`);
const coaches = await gather(head, COACHES, HEADS);
const until = Date.now() + SECONDS * 1000;
await Promise.all([...coaches.map((one) => work(one, ids, until)), killAndStart()]);

let missing = 0;
const seen = new Set();
for (const id of ids) {
  const { versions } = (await head.ask("GET", `/api/combinations/${id}/versions`)).body;
  const numbers = versions.map((version) => version.version).reverse();
  if (numbers.some((number, at) => number !== at + 1)) {
    faults.push(`The versions of ${id} have a gap: ${numbers.join(" ")}`);
  }
  for (const edit of edits.filter((one) => one.id === id)) {
    const key = `${id} ${edit.version}`;
    if (seen.has(key)) {
      faults.push(`Two writes were told that they made version ${edit.version} of ${id}.`);
    }
    seen.add(key);
    if (versions.find((version) => version.version === edit.version)?.note !== edit.note) {
      missing += 1;
    }
  }
}
for (const { id, note } of proposals) {
  const found = await head.ask("GET", `/api/proposals/${id}`);
  if (found.body?.steps?.[0]?.content?.note !== note) {
    missing += 1;
  }
}
for (const [what, count] of Object.entries(tally).sort()) {
  console.log(`  ${String(count).padStart(6)}  ${what}`);
}
console.log(`${edits.length} edits and ${proposals.length} proposals were acknowledged; ${missing} of them are missing.`);
console.log(`The database was away for ${((up - down) / 1000).toFixed(1)} s.`);
for (const fault of faults.slice(0, 20)) {
  console.log(`FAULT ${fault}`);
}
process.exit(faults.length > 0 || missing > 0 || edits.length === 0 || proposals.length === 0 ? 1 : 0);
