/**
 * Generated requests against every route of docs/openapi.yaml, by a head coach, a coach and nobody signed in: bodies that fit,
 * and bodies with values of other kinds, sizes and characters in every place; recordings with bytes exchanged and cut
 * off. Ends with 1 when any answer is a 500 or
 * above that is not meant (503 says which), and prints the requests that brought it about.
 * Run by bin/periplus fuzz [COUNT] [SEED], on a gym of its own.
 */
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";

const BASE = process.env.PERIPLUS_URL;
const ROOT = process.env.ROOT;
const STATE = process.env.PERIPLUS_STATE;
const COUNT = Number(process.argv[2] ?? 100_000);
const SEED = Number(process.argv[3] ?? Date.now() % 1_000_000);
const AT_ONCE = 6;
/** No longer than this, ms. */
const MAX_DURATION_MS = 30 * 60_000;
/** What a 503 may say: the server has too much to do at once. */
const MEANT = new Set(["busy"]);

const read = `require "${ROOT}/vendor/autoload.php"; echo json_encode(Symfony\\Component\\Yaml\\Yaml::parseFile("${ROOT}/docs/openapi.yaml"));`;
const api = JSON.parse(execFileSync("php", ["-r", read], { encoding: "utf8", maxBuffer: 1 << 26 }));
const sql = (statement) =>
  execFileSync("mariadb", ["--no-defaults", `--socket=${STATE}/run/db/db.sock`, "periplus"], { input: statement });

// --- Chance, the same for the same seed ------------------------------------------------------------------------------

let state = SEED >>> 0;
function chance() {
  state = (state + 0x6d2b79f5) >>> 0;
  let t = state;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
const int = (most) => Math.floor(chance() * most);
const any = (list) => list[int(list.length)];
const maybe = (share) => chance() < share;

// --- Values ------------------------------------------------------------------------------------------------------------

/** Text that goes into the JSON as it is, escapes and all. */
class Raw {
  constructor(json) {
    this.json = json;
  }
}
const CHAINS = ["1 2", "jab cross lead hook body", "1 2 3b slip left 2", "[5b~ 6b~]x2 3!", "1 +14h", "14", "((((", "[1]x99999", "1".repeat(5000), "[".repeat(300), "switch kick to the body", "*3 / 1", "left left left", "1-2-3-exit"];
const TEXTS = [
  "",
  " ",
  "a",
  "0",
  "-1",
  "null",
  "Cellar window",
  "x".repeat(130),
  "y".repeat(70_000),
  "ünïcödé 🥊 ﷽",
  "'; DROP TABLE user; --",
  "<script>alert(1)</script>",
  "=1+1",
  "../../etc/passwd",
  "%00%0a%0d",
  "a\tb\nc\rd",
  new Raw('"\\u0000\\u000b\\u001f"'),
  new Raw('"\\ud800"'),
  new Raw('"\\udc00 a \\ud83e"'),
  new Raw('"\\u2028\\u2029\\ufffe"'),
  new Raw('"\x7f"'),
];
/** Days and months at the edges of what anybody may mean. */
const DAYS = ["2026-11-26", "2026-11-26T18:30", "0000-00-00", "0001-01-01", "1970-01-01", "2026-02-30", "2100-12-31", "9999-12-31", "99999-01-01", "-0001-11-30", "2026-11-26T99:99", "2026-11", "9999-12", "2026-13"];
/** Sessions of the demo, to be spoiled in one place. */
const PLANS = JSON.parse(readFileSync(`${ROOT}/demo/sessions.json`, "utf8")).map(({ content }) => content);
/** Recordings, to be spoiled in a few bytes. */
const RECORDINGS = ["video.webm", "video.mp4", "sound.webm", "sound.ogg", "without-length.webm"].map((name) => readFileSync(`${ROOT}/tests/app/recordings/${name}`));
const TECHNIQUES = ["jab", "lead-hook", "slip-lead"];
const EDGES = [0, 0.001, 0.5, 1, 3, 40, 3600, 1e6, 1e300, new Raw("99999999999999999999")];
const ODD = [
  null,
  true,
  false,
  0,
  -1,
  1.5,
  new Raw("1e999"),
  new Raw("99999999999999999999"),
  new Raw("-0"),
  2147483648,
  [],
  {},
  [null],
  ["a"],
  [[[[]]]],
  { a: { b: [1] } },
  new Raw(`${"[".repeat(200)}${"]".repeat(200)}`),
  new Raw(`[${"1,".repeat(3000)}1]`),
];

function resolve(schema) {
  let now = schema ?? {};
  while (now.$ref) {
    now = now.$ref.slice(2).split("/").reduce((at, step) => at[step], api);
  }
  return now;
}

/** A session with some of its values exchanged: numbers for those at the edge, lists for longer ones, texts for odd ones. */
function spoiled(value) {
  if (Array.isArray(value)) {
    const list = value.map((one) => (maybe(0.01) ? any(ODD) : spoiled(one)));
    return maybe(0.02) ? Array.from({ length: 30 }, () => list).flat() : list;
  }
  if (value !== null && typeof value === "object") {
    return Object.fromEntries(Object.entries(value).filter(() => !maybe(0.003)).map(([key, one]) => [key, maybe(0.01) ? any(ODD) : spoiled(one)]));
  }
  return typeof value === "number" && maybe(0.05) ? any(EDGES) : typeof value === "string" && maybe(0.01) ? any(maybe(0.5) ? CHAINS : TEXTS) : value;
}

/** A recording with some bytes exchanged, mostly at its beginning, where it says what it is; or only a part of it. */
function spoiledFile() {
  const file = Buffer.from(any(RECORDINGS));
  for (let times = int(6); times > 0; times -= 1) {
    file[int(maybe(0.7) ? 400 : file.length)] = int(256);
  }
  return maybe(0.2) ? file.subarray(0, int(file.length)) : file;
}

function fitting(schema, name, depth = 0) {
  const now = resolve(schema);
  if (depth > 6) {
    return null;
  }
  if (now.oneOf) {
    return fitting(any(now.oneOf), name, depth + 1);
  }
  if (now.enum) {
    return any(now.enum);
  }
  if (schema?.$ref?.endsWith("/WrittenPlan")) {
    return maybe(0.2) ? any(ODD) : spoiled(any(PLANS));
  }
  const type = Array.isArray(now.type) ? any(now.type) : (now.type ?? (now.properties ? "object" : "string"));
  switch (type) {
    case "object": {
      const object = {};
      for (const [key, value] of Object.entries(now.properties ?? {})) {
        if ((now.required ?? []).includes(key) ? !maybe(0.04) : maybe(0.6)) {
          object[key] = value2(value, key, depth + 1);
        }
      }
      return maybe(0.03) ? { ...object, surplus: any(ODD) } : object;
    }
    case "array":
      return Array.from({ length: int(5) }, () => value2(now.items, name, depth + 1));
    case "integer":
      return maybe(0.8) ? (now.minimum ?? 1) + int(Math.min(70, (now.maximum ?? 70) - (now.minimum ?? 1) + 1)) : any([0, -5, 2147483647, 3000000000]);
    case "number":
      return chance() * 3;
    case "boolean":
      return maybe(0.5);
    case "null":
      return null;
    default:
      if (/text|chain|notation/.test(name)) {
        return any(CHAINS);
      }
      if (/numbering|readIn|from|to/.test(name)) {
        return any(["parity", "six", "hands", "body-pairs", "ours", "none"]);
      }
      if (/^(day|startsAt|month|from|to|since|until|at)$/.test(name) && maybe(0.8)) {
        return any(DAYS);
      }
      if (name === "content") {
        return any([`1 2 # One\n${any(CHAINS)}\n`, 'name,chain,themes\n"a","1 2","x;y"\n=a,3 4,\n', '{"format":"periplus-library","version":1,"combinations":[{"name":"a","chain":"1 2"}]}', "{", "chain\n".repeat(500)]);
      }
      return any(TEXTS);
  }
}

const value2 = (schema, name, depth) => (maybe(0.1) ? any(ODD) : maybe(0.1) ? any(TEXTS) : fitting(schema, name, depth));

function json(value) {
  if (value instanceof Raw) {
    return value.json;
  }
  if (Array.isArray(value)) {
    return `[${value.map(json).join(",")}]`;
  }
  if (value !== null && typeof value === "object") {
    return `{${Object.entries(value).map(([key, one]) => `${JSON.stringify(key)}:${json(one)}`).join(",")}}`;
  }
  return JSON.stringify(value) ?? "null";
}

// --- Requests ----------------------------------------------------------------------------------------------------------

const OPERATIONS = Object.entries(api.paths).flatMap(([path, item]) =>
  ["get", "post", "put", "delete"].filter((method) => item[method]).map((method) => ({
    path,
    method,
    parameters: [...(item.parameters ?? []), ...(item[method].parameters ?? [])].map(resolve),
    body: item[method].requestBody?.content?.["application/json"]?.schema,
    takesFile: Boolean(item[method].requestBody?.content?.["application/octet-stream"]),
  })),
);

const plain = (value) => (value instanceof Raw ? value.json.replaceAll('"', "") : typeof value === "object" ? json(value) : String(value));

function request() {
  let operation = any(OPERATIONS);
  while (operation.path === "/api/session" && operation.method === "post" && !maybe(0.02)) {
    // The server takes few wrong passwords from one address, and then none of the right ones.
    operation = any(OPERATIONS);
  }
  const query = new URLSearchParams();
  const headers = { Accept: "application/json" };
  let path = operation.path;
  for (const parameter of operation.parameters) {
    const value = plain(maybe(0.85) ? fitting(parameter.schema, parameter.name) : any([...TEXTS.slice(0, 6), ...ODD]));
    if (parameter.in === "path") {
      const known = { format: any(["json", "csv", "text"]), set: any(["boxing", "kickboxing", "all-limbs"]), key: any(KEYS), run: any(["1", "2", "3"]), version: any(["1", "2"]) }[parameter.name];
      path = path.replace(`{${parameter.name}}`, encodeURIComponent((maybe(0.9) && known) || value.slice(0, 200)));
    } else if (parameter.in === "query" && maybe(0.5)) {
      query.append(maybe(0.05) ? `${parameter.name}[]` : parameter.name, parameter.name === "technique" && maybe(0.9) ? any(TECHNIQUES) : parameter.name === "q" ? any(["starts with jab or 2", "no liver", "level 9", "((", "has", '"', ...TEXTS.slice(0, 15).map(plain)]).slice(0, 2000) : value.slice(0, 500));
    } else if (parameter.in === "header" && parameter.name === "If-Match") {
      headers["If-Match"] = maybe(0.9) ? `"${1 + int(3)}"` : plain(any(TEXTS.slice(0, 9))).replace(/[^\x20-\x7e]/g, "?").slice(0, 100);
    }
  }
  let body;
  if (operation.takesFile) {
    body = spoiledFile();
    headers["Content-Type"] = "application/octet-stream";
  } else if (operation.method !== "get") {
    const made = operation.body ? json(fitting(operation.body, "")) : "";
    body = maybe(0.97) ? made : any(["", "{", "null", "[]", '"a"', made.slice(0, int(made.length + 1)), "\xff\xfe", "{}"]);
    headers["Content-Type"] = maybe(0.98) ? "application/json" : any(["text/plain", "application/xml", ""]);
  }
  return { method: operation.method.toUpperCase(), path: path + (query.size > 0 ? `?${query}` : ""), route: `${operation.method.toUpperCase()} ${operation.path}`, headers, body };
}

class Person {
  constructor(account) {
    this.account = account;
    this.cookie = "";
  }
  async send(method, path, headers, body) {
    const response = await fetch(BASE + path, { method, headers: { ...headers, Cookie: this.cookie, "X-CSRF-Token": this.token ?? "" }, body, redirect: "manual" });
    for (const cookie of response.headers.getSetCookie()) {
      this.cookie = cookie.split(";")[0];
    }
    return { status: response.status, text: await response.text() };
  }
  async session() {
    const { user, csrfToken } = JSON.parse((await this.send("GET", "/api/session", {})).text);
    this.token = csrfToken;
    return user;
  }
  /** Signs in where the session is over; waits where so many tries were refused that the server takes no more. */
  async arrive() {
    if ((await this.session()) || !this.account) {
      return;
    }
    const [email, password] = this.account;
    for (let status = 429; status === 429; ) {
      ({ status } = await this.send("POST", "/api/session", { "Content-Type": "application/json" }, JSON.stringify({ email, password })));
      if (status === 429) {
        await new Promise((done) => setTimeout(done, 3000));
      }
    }
    if (!(await this.session())) {
      throw new Error(`${email} could not sign in.`);
    }
  }
}

const head = new Person(["ines@saltworks.example", "first-bell-7"]);
const coach = new Person(["tomas@saltworks.example", "second-bell-7"]);
const anonymous = new Person(null);
const everyone = [head, coach, anonymous];
/** What a request may have changed of the accounts is put right, so that all three go on as who they are. */
async function putRight() {
  sql("UPDATE user SET active = 1, role = IF(id = 1, 'ROLE_HEAD_COACH', 'ROLE_COACH') WHERE id <= 3");
  for (const person of everyone) {
    await person.arrive();
  }
}

// Walls and a session that run, so that keys and events meet something.
const KEYS = [];
for (const name of ["Floor", "Bag room"]) {
  KEYS.push(JSON.parse((await everyone[0].send("POST", "/api/walls", { "Content-Type": "application/json" }, JSON.stringify({ name }))).text).key);
}
const started = JSON.parse((await everyone[0].send("POST", "/api/runs", { "Content-Type": "application/json" }, JSON.stringify({ id: "start-of-fuzz", timer: {} }))).text);
KEYS.push(started.followKey);
// A card and a link to a session, which open without an account.
for (const [path, body] of [["/api/cards", { name: "Home" }], ["/api/session-links", { name: "Home", endsOn: new Date(Date.now() + 864e5).toISOString().slice(0, 10) }]]) {
  KEYS.push(JSON.parse((await everyone[0].send("POST", path, { "Content-Type": "application/json" }, JSON.stringify({ ...body, combinations: [1, 2] }))).text).key);
}

/** What would put another gym in place of this one; the head coach does not press it here. */
const TAKES_ALL = new Set(["POST /api/gym/found", "POST /api/backups/copy/take"]);
const tally = {};
const routes = new Set();
const faults = [];
const began = Date.now();
let sent = 0;
await putRight();
while (sent < COUNT && Date.now() - began < MAX_DURATION_MS && faults.length < 20) {
  const batch = Array.from({ length: Math.min(2000, COUNT - sent) }, () => ({ one: request(), who: any([0, 0, 0, 1, 1, 2]) }));
  const work = async () => {
    for (let next = batch.pop(); next; next = batch.pop()) {
      const { one, who } = next;
      if ((one.route === "POST /api/session/end" && who < 2) || (who === 0 && TAKES_ALL.has(one.route))) {
        continue;
      }
      const answer = await everyone[who].send(one.method, one.path, one.headers, one.body).catch((error) => ({ status: 599, text: String(error.cause ?? error) }));
      sent += 1;
      routes.add(one.route);
      tally[answer.status] = (tally[answer.status] ?? 0) + 1;
      if (answer.status >= 500) {
        let type = "";
        try {
          type = JSON.parse(answer.text).type;
        } catch {}
        if (answer.status !== 503 || !MEANT.has(type)) {
          faults.push({ who: ["head", "coach", "anonymous"][who], ...one, body: typeof one.body === "string" ? one.body.slice(0, 1500) : one.body?.toString("base64"), status: answer.status, answer: answer.text.slice(0, 300) });
        }
      }
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  await putRight();
  if (process.stdout.isTTY || COUNT > 10_000) {
    console.error(`${sent} sent, ${Math.round((Date.now() - began) / 1000)} s`);
  }
}
console.log(`Seed ${SEED}: ${sent} requests against ${routes.size} of ${OPERATIONS.length} routes in ${Math.round((Date.now() - began) / 1000)} s.`);
console.log(Object.entries(tally).sort().map(([status, count]) => `  ${String(count).padStart(7)}  ${status}`).join("\n"));
for (const fault of faults) {
  console.log(`FAULT ${JSON.stringify(fault)}`);
}
console.log(faults.length === 0 ? "No answer that is not meant." : `${faults.length} answers that are not meant.`);
process.exit(faults.length === 0 ? 0 : 1);
