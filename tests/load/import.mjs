/**
 * Imports a file of so many lines into a gym of its own, and saves combinations meanwhile: how long reading and applying
 * take, and how long another save waits. Run by bin/periplus benchmark import [LINES].
 */
const BASE = process.env.PERIPLUS_URL ?? `http://127.0.0.1:${process.env.PERIPLUS_PORT}`;
const LINES = Number(process.argv[2] ?? 10_000);

let cookie = "";
let token = "";

async function ask(method, path, body, headers = {}) {
  const response = await fetch(BASE + path, {
    method,
    headers: { Accept: "application/json", Cookie: cookie, "X-CSRF-Token": token, ...(body ? { "Content-Type": "application/json" } : {}), ...headers },
    body: body ? JSON.stringify(body) : undefined,
  });
  for (const set of response.headers.getSetCookie()) {
    cookie = set.split(";")[0];
  }
  const text = await response.text();
  if (response.status >= 400) {
    throw new Error(`${method} ${path} ${response.status}: ${text.slice(0, 300)}`);
  }
  return text === "" ? null : JSON.parse(text);
}

/** Different chains, in the order of counting: items 1 to 6 and a few moves as digits. */
function* chains() {
  const items = ["1", "2", "3", "4", "5", "6", "3b", "4b", "slip-lead", "slip-rear", "14l", "13"];
  for (let number = 0; ; number += 1) {
    const chain = [];
    for (let rest = number + items.length ** 3; rest > 0; rest = Math.floor(rest / items.length)) {
      chain.push(items[rest % items.length]);
    }
    yield chain.join(" ");
  }
}

const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;
token = (await ask("GET", "/api/session")).csrfToken;
await ask("POST", "/api/session", { email: "ines@saltworks.example", password: "first-bell-7" });
token = (await ask("GET", "/api/session")).csrfToken;

const source = chains();
const file = Array.from({ length: LINES }, (_, at) => `${source.next().value} # Line ${at}`).join("\n");
let began = Date.now();
let run = await ask("POST", "/api/imports", { format: "text", content: file, rules: "kickboxing" });
let slowest = 0;
while (run.state === "reading") {
  const step = Date.now();
  run = await ask("POST", `/api/imports/${run.id}/advance`);
  slowest = Math.max(slowest, Date.now() - step);
}
console.log(`${LINES} lines read in ${seconds(Date.now() - began)}, the slowest step ${seconds(slowest)}: ${JSON.stringify(run.counts)}`);

const first = await ask("GET", "/api/combinations/1");
let applied = false;
let longest = 0;
let saves = 0;
let version = first.version;
const saving = (async () => {
  while (!applied) {
    const step = Date.now();
    const body = { name: first.name, text: first.notation, stance: first.stance, rules: first.rules, themes: first.themes, level: 1 + (saves % 3), note: `save ${saves}` };
    version = (await ask("PUT", "/api/combinations/1", body, { "If-Match": `"${version}"` })).version;
    longest = Math.max(longest, Date.now() - step);
    saves += 1;
  }
})();
began = Date.now();
await ask("POST", `/api/imports/${run.id}/apply`);
const took = Date.now() - began;
applied = true;
await saving;
console.log(`applied in ${seconds(took)}; ${saves} other saves meanwhile, the longest waited ${seconds(longest)}`);
