/**
 * Screens that listen to one session of a running gym, and a coach who presses: how long until each screen is told, what
 * the servers use of a core meanwhile, and how much memory they take. Run by bin/periplus benchmark wall [MAX_WALLS].
 */
import { readdirSync, readFileSync, readlinkSync } from "node:fs";
import http from "node:http";

const BASE = process.env.PERIPLUS_URL;
const STATE = process.env.PERIPLUS_STATE;
const MAX_WALLS = Number(process.argv[2] ?? 1000);
const PRESSES = 40;
/** ms between two presses */
const BETWEEN = 250;
/** Clock ticks of /proc a second. */
const TICKS = 100;

let cookie = "";
let token = "";
async function ask(method, path, body) {
  const response = await fetch(BASE + path, {
    method,
    headers: { Cookie: cookie, "X-CSRF-Token": token, ...(body ? { "Content-Type": "application/json" } : {}) },
    body: body && JSON.stringify(body),
  });
  for (const one of response.headers.getSetCookie()) {
    cookie = one.split(";")[0];
  }
  const text = await response.text();
  if (!response.ok) {
    throw new Error(`${method} ${path} ${response.status} ${text}`);
  }
  return text === "" ? null : JSON.parse(text);
}

/** Each device has an address of its own in a gym, and the web server counts the connections of each. */
let devices = 0;
const nextDevice = () => `127.0.1.${1 + (devices++ % 200)}`;

/** A screen: one stream that stays open. */
function screen(key, onRevision) {
  return new Promise((ready, failed) => {
    const request = http.get(`${BASE}/api/screens/${key}/events`, { headers: { Accept: "text/event-stream" }, agent: new http.Agent(), localAddress: nextDevice() }, (response) => {
      if (response.statusCode !== 200) {
        failed(new Error(`A screen was answered with ${response.statusCode}.`));
        return;
      }
      let text = "";
      response.setEncoding("utf8");
      response.on("data", (part) => {
        text += part;
        for (let end = text.indexOf("\n\n"); end >= 0; end = text.indexOf("\n\n")) {
          const data = /^data: (.*)$/m.exec(text.slice(0, end));
          text = text.slice(end + 2);
          if (data) {
            onRevision(JSON.parse(data[1]).run?.revision);
          }
        }
      });
      ready(request);
    });
    request.on("error", () => undefined);
  });
}

function processes(program) {
  return readdirSync("/proc")
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      try {
        return readFileSync(`/proc/${pid}/comm`, "utf8").trim() === program && readlinkSync(`/proc/${pid}/cwd`).startsWith(STATE);
      } catch {
        return false;
      }
    });
}
const used = (program) =>
  processes(program).reduce((sum, pid) => {
    const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1].split(" ");
    return sum + (Number(fields[11]) + Number(fields[12])) / TICKS;
  }, 0);
const memory = (program) =>
  processes(program).reduce((sum, pid) => sum + Number(/^Rss:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, "utf8"))?.[1] ?? 0), 0) / 1024;
const pause = (ms) => new Promise((done) => setTimeout(done, ms));
const at = (sorted, part) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))];

token = (await ask("GET", "/api/session")).csrfToken;
await ask("POST", "/api/session", { email: "ines@saltworks.example", password: "first-bell-7" });
token = (await ask("GET", "/api/session")).csrfToken;
const run = await ask("POST", "/api/runs", { id: `load-${Date.now()}`, timer: { rounds: 20, seconds: 180, rest: 60 } });
let revision = run.revision;
let gone = {};
const arrivals = [];
const screens = [];
const empty = memory("nginx");

console.log("screens   told, median / slowest ms   all told   of a core: web server idle / pressed, PHP pressed   web server MB (MB a screen)");
for (const count of [...new Set([200, Math.round(MAX_WALLS / 2), MAX_WALLS])].sort((a, b) => a - b)) {
  while (screens.length < count) {
    // As a gym opens: some at a time.
    screens.push(...(await Promise.all(Array.from({ length: Math.min(20, count - screens.length) }, () => screen(run.followKey, (seen) => gone[seen] && arrivals.push(performance.now() - gone[seen]))))));
  }
  await pause(1000);
  const idle = used("nginx");
  await pause(5000);
  const idleShare = (used("nginx") - idle) / 5;
  arrivals.length = 0;
  gone = {};
  const before = { web: used("nginx"), php: used("php-fpm8.2"), at: performance.now() };
  for (let press = 0; press < PRESSES; press += 1) {
    gone[revision + 1] = performance.now();
    revision = (await ask("POST", `/api/runs/${run.id}/commands`, { id: `load-${count}-${press}-${Date.now()}`, kind: press % 2 === 0 ? "pause" : "resume", seen: revision })).revision;
    await pause(BETWEEN);
  }
  await pause(1000);
  const seconds = (performance.now() - before.at) / 1000;
  const sorted = [...arrivals].sort((a, b) => a - b);
  console.log(
    `${String(count).padStart(7)}   ${at(sorted, 0.5).toFixed(0).padStart(6)} / ${sorted.at(-1).toFixed(0)}`.padEnd(38),
    `${arrivals.length} of ${count * PRESSES}`.padEnd(16),
    `${(100 * idleShare).toFixed(1)} % / ${((100 * (used("nginx") - before.web)) / seconds).toFixed(1)} %, ${((100 * (used("php-fpm8.2") - before.php)) / seconds).toFixed(1)} %`.padEnd(28),
    `${memory("nginx").toFixed(0)} (${((memory("nginx") - empty) / count).toFixed(3)})`,
  );
  if (arrivals.length !== count * PRESSES) {
    process.exitCode = 1;
  }
}
console.log(`${PRESSES} presses each, one every ${BETWEEN} ms; told is from the press to the screen, the application's answer within it.`);
process.exit();
