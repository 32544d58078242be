/**
 * What one more gym costs an installation of several that nobody is using just now: disk, memory and open files.
 * Run by bin/periplus benchmark cluster, which has started an installation without gyms.
 */
import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync, readlinkSync } from "node:fs";
import { request } from "node:http";

const [count, port] = process.argv.slice(2).map(Number);
const STATE = process.env.PERIPLUS_STATE;
const MB = 1_000_000;

const periplus = (...words) =>
  execFileSync(`${process.env.ROOT}/bin/periplus`, words, { encoding: "utf8", stdio: ["ignore", "pipe", "ignore"] });

const get = (host, path) =>
  new Promise((done, failed) => {
    request({ port, host: "127.0.0.1", path, agent: false, headers: { Host: host } }, (answer) => answer.resume().on("end", () => done(answer.statusCode)))
      .on("error", failed)
      .end();
  });

/** Memory in bytes that the processes of the installation have for themselves, and the files that they hold open. */
function used() {
  let [memory, files] = [0, 0];
  for (const pid of readdirSync("/proc").filter((name) => /^\d+$/.test(name))) {
    try {
      if (readlinkSync(`/proc/${pid}/cwd`).startsWith(STATE)) {
        memory += 1024 * Number(/^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, "utf8"))[1]);
        files += readdirSync(`/proc/${pid}/fd`).length;
      }
    } catch {
      // It has ended, or belongs to somebody else.
    }
  }
  const disk = Number(execFileSync("du", ["-sb", `${STATE}/db`], { encoding: "utf8" }).split("\t")[0]);
  return { memory, files, disk };
}

const visit = async (names) => {
  for (const name of names) {
    const status = await get(`${name}.test`, "/api/session");
    if (status !== 200) {
      throw new Error(`${name}: ${status}`);
    }
  }
};

// The first one pays for what all share.
periplus("gym", "create", "first", "first.test");
await visit(["first"]);
const before = used();
const names = Array.from({ length: count }, (_, at) => `g${at}`);
for (const name of names) {
  periplus("gym", "create", name, `${name}.test`);
}
await visit([...names, ...names]);
const after = used();
const each = (what) => (after[what] - before[what]) / count;
console.log(
  `One more gym that nobody uses just now: ${(each("disk") / MB).toFixed(1)} MB of disk, ${(each("memory") / MB).toFixed(1)} MB of memory, ${each("files").toFixed(0)} open files (of ${count}).`,
);
console.log(
  `The installation without them: ${(before.disk / MB).toFixed(0)} MB of disk, ${(before.memory / MB).toFixed(0)} MB of memory, ${before.files} open files.`,
);
