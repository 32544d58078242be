/**
 * Checks, searches and saves a second of a cluster with one web server and with two, and what of the processors each
 * part uses meanwhile. Run by bin/periplus benchmark cluster [SECONDS of each measurement].
 */
import { execFile } from "node:child_process";
import { readdirSync, readFileSync, readlinkSync } from "node:fs";
import { cpus } from "node:os";
import { promisify } from "node:util";
import { any, Coach, gather, pause } from "./coach.mjs";

const BASE = process.env.PERIPLUS_URL;
const CLUSTER = process.env.PERIPLUS_CLUSTER;
const SECONDS = Number(process.argv[2] ?? 10);
const COACHES = 24;
const ROUNDS = 2;
/** Clock ticks of /proc a second. */
const TICKS = 100;
const CHAINS = ["1 2 3b exit", "jab cross hook slip-lead 2", "1 1 2 14", "2 3 2 14h roll 3"];
const SEARCHES = ["has:hook", "level:1", "liver", "starts:1 2"];

const cluster = (...words) => promisify(execFile)(`${process.env.ROOT}/bin/cluster`, words);

/** Seconds of a processor that each part has used so far. */
function used() {
  const sums = {};
  for (const pid of readdirSync("/proc").filter((name) => /^\d+$/.test(name))) {
    try {
      const folder = readlinkSync(`/proc/${pid}/cwd`);
      if (folder.startsWith(CLUSTER)) {
        const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1].split(" ");
        const part = folder.slice(CLUSTER.length + 1).split("/")[0].replace(/-\d$/, "");
        sums[part] = (sums[part] ?? 0) + (Number(fields[11]) + Number(fields[12])) / TICKS;
      }
    } catch {
      // It has ended.
    }
  }
  return sums;
}

const head = new Coach(BASE);
await head.signIn("ines@saltworks.example", "first-bell-7");
const ids = (await head.ask("GET", "/api/combinations?size=50")).body.combinations.map((row) => row.id);
const coaches = await gather(head, COACHES, COACHES);

const kinds = {
  checks: async ({ coach }) => coach.ask("POST", "/api/check", { text: any(CHAINS), rules: "boxing", stance: "orthodox" }),
  searches: async ({ coach }) => coach.ask("GET", `/api/combinations?q=${encodeURIComponent(any(SEARCHES))}`),
  // Each their own, so that nobody is refused.
  saves: async ({ coach, at }) => {
    const id = ids[at % ids.length];
    const { body } = await coach.ask("GET", `/api/combinations/${id}`);
    const { name, notation, stance, rules, themes, level, version } = body;
    const content = { name, text: notation, stance, rules, themes, level, note: `${Math.random()}` };
    return coach.ask("PUT", `/api/combinations/${id}`, content, { "If-Match": `"${version}"` });
  },
};

/** @returns {{rate: number, shares: object}} answers a second, and of a processor what each part used */
async function measure(kind) {
  let answers = 0;
  const before = used();
  const began = performance.now();
  await Promise.all(
    coaches.map(async (one) => {
      while (performance.now() - began < 1000 * SECONDS) {
        const { status, body } = await kinds[kind](one);
        if (status !== 200) {
          throw new Error(`${kind}: ${status} ${JSON.stringify(body)}`);
        }
        answers += 1;
      }
    }),
  );
  const seconds = (performance.now() - began) / 1000;
  const after = used();
  const shares = Object.fromEntries(Object.entries(after).map(([part, sum]) => [part, (sum - (before[part] ?? 0)) / seconds]));
  return { rate: answers / seconds, shares };
}

const rates = {};
for (let round = 0; round < ROUNDS; round += 1) {
  for (const servers of [1, 2]) {
    await cluster(servers === 1 ? "kill" : "revive", "web-2");
    await pause(4000);
    for (const kind of Object.keys(kinds)) {
      const { rate, shares } = await measure(kind);
      (rates[`${kind} ${servers}`] ??= []).push(rate);
      const parts = Object.entries(shares)
        .filter(([, share]) => share > 0.01)
        .sort((a, b) => b[1] - a[1])
        .map(([part, share]) => `${part} ${share.toFixed(2)}`);
      console.log(`${servers} web server(s): ${rate.toFixed(1).padStart(7)} ${kind.padEnd(8)} a second; processors: ${parts.join(", ")}`);
    }
  }
}
const mean = (list) => list.reduce((sum, one) => sum + one, 0) / list.length;
for (const kind of Object.keys(kinds)) {
  console.log(`${kind}: two web servers do ${(mean(rates[`${kind} 2`]) / mean(rates[`${kind} 1`])).toFixed(2)} times what one does, on ${cpus().length} processors that all parts share.`);
}
process.exit();
