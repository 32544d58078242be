import { cpSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { type APIRequestContext, expect, request, test } from "@playwright/test";
import { HEAD_COACH } from "./coaches";
import { OtherGym, ROOT } from "./other-gym";

/** Two gyms of one installation: north has the data of the demo, south was founded just now. */
const NORTH = "north.test";
const SOUTH = "south.test";
/** Where the ids of south begin, so that it has none of north's. */
const SOUTHERN_IDS = 1_000_001;
const PASSWORD = "four plain words here";

const gym = await OtherGym.make();
/** Another server for databases, with the same account. */
const elsewhere = await OtherGym.make();
let backup = "";
const links = new Map<string, string>();

/** Calls the API of one of the gyms. */
async function client(host: string, cookie?: string): Promise<APIRequestContext> {
  return request.newContext({
    baseURL: gym.address,
    extraHTTPHeaders: { Host: host, ...(cookie ? { Cookie: cookie } : {}) },
  });
}

async function signedIn(host: string, email: string, password: string) {
  const api = await client(host);
  const token = async () => (await (await api.get("/api/session")).json()).csrfToken as string;
  const headers = { "X-CSRF-Token": await token() };
  const answer = await api.post("/api/session", { headers, data: { email, password } });
  expect(answer.status(), await answer.text()).toBe(200);
  return { api, headers: { "X-CSRF-Token": await token() } };
}

/** Every method and path that docs/openapi.yaml describes. */
function routes(): [string, string][] {
  const found: [string, string][] = [];
  let path = "";
  for (const line of readFileSync(join(ROOT, "docs/openapi.yaml"), "utf8").split("\n")) {
    path = /^ {2}(\/\S+):$/.exec(line)?.[1] ?? path;
    const method = /^ {4}(get|post|put|delete):$/.exec(line)?.[1];
    if (method) {
      found.push([method.toUpperCase(), path]);
    }
  }
  return found;
}

/** What south's coaches could have got hold of: ids, keys and names that are good in north. */
interface Northern {
  ids: Record<string, number>;
  keys: Record<string, string>;
  token: string;
}

function value(one: Northern, path: string, name: string): string {
  const prefix = path.replace("/api/", "").split("/")[0] ?? "";
  switch (name) {
    case "id":
      return prefix === "numberings" ? "northern" : String(one.ids[prefix] ?? one.ids.combinations);
    case "key":
      return one.keys[prefix] ?? "0".repeat(32);
    case "run":
      return String(one.ids.runs);
    default:
      return (
        { set: "boxing", version: "1", format: "json", month: "2026-11", entry: "1", digest: "0".repeat(32) }[name] ??
        "nightly-20200101.tar"
      );
  }
}
const filled = (one: Northern, path: string) => path.replace(/\{(\w+)\}/g, (_, name: string) => value(one, path, name));

/** Makes what the demo does not have, and finds what it has. */
async function northern(): Promise<Northern> {
  const { api, headers } = await signedIn(NORTH, HEAD_COACH.email, HEAD_COACH.password);
  const made = async (path: string, data: object, more: Record<string, string> = {}) => {
    const answer = await api.post(path, { headers: { ...headers, ...more }, data });
    expect(answer.status(), `${path} ${await answer.text()}`).toBeLessThan(300);
    return answer.status() === 204 ? null : answer.json();
  };
  const { combinations } = await (await api.get("/api/combinations")).json();
  const combination = combinations[0].id;
  const { plans } = await (await api.get("/api/plans?from=2000-01-01&to=2100-01-01")).json();
  const wall = await made("/api/walls", { name: "Northern floor" });
  const run = await made("/api/runs", { id: "northern-run", plan: plans[0].id, leadIn: 0 });
  const invitation = await made("/api/invitations", { role: "coach" });
  await made("/api/views", { name: "Northern view", address: "q=level:1" });
  const file = await made("/api/imports", { format: "text", content: "1 2 3 exit" });
  const { sets } = await (await api.get("/api/house-rules")).json();
  const { schools, severities, thresholds } = sets.find((set: { id: string }) => set.id === "boxing");
  const preview = await made("/api/house-rules/boxing/rule-previews", { schools, severities, thresholds });
  const proposal = await made("/api/proposals", { kind: "retire", combination, basedOn: combinations[0].version });
  const column = (sql: string) => gym.sql(sql, "periplus_north").split("\n")[0] ?? "";
  const id = (table: string) => Number(column(`SELECT MAX(id) FROM ${table}`)) || 1;
  return {
    ids: {
      combinations: combination,
      plans: plans[0].id,
      walls: wall.id,
      runs: run.id,
      imports: file.id,
      "rule-previews": preview.id,
      proposals: proposal.id,
      coaches: id("user"),
      invitations: id("invitation"),
      views: id("saved_view"),
      courses: id("course"),
      logbook: id("log_entry"),
      cards: id("athlete_card"),
      "session-links": id("session_link"),
      recordings: id("recording"),
      measurements: id("measurement"),
      "audit-log": id("audit_log"),
      "verdict-changes": preview.id,
    },
    keys: { screens: wall.key },
    token: invitation.token,
  };
}

test.beforeAll(async () => {
  const demo = await OtherGym.loaded();
  try {
    expect(demo.run("start").status).toBe(0);
    backup = `${demo.state}.tar`;
    expect(demo.run("periplus", "backup", backup).status).toBe(0);
  } finally {
    demo.end();
  }
  const started = gym.run("start", "--several");
  expect(started.status, started.stderr).toBe(0);
  for (const [name, host] of [
    ["north", NORTH],
    ["south", SOUTH],
  ] as const) {
    const created = gym.run("periplus", "gym", "create", name, host, "Coast");
    expect(created.status, created.stderr).toBe(0);
    links.set(name, created.stdout.trim());
  }
  expect(links.get("south")).toContain(`http://${SOUTH}:${gym.port}/join#`);
  expect(gym.run("periplus", "gym", "restore", "north", backup).status).toBe(0);
  for (const table of gym
    .sql(
      "SELECT table_name FROM tables WHERE table_schema = 'periplus_south' AND auto_increment IS NOT NULL",
      "information_schema",
    )
    .split("\n")) {
    gym.sql(`ALTER TABLE \`${table}\` AUTO_INCREMENT = ${SOUTHERN_IDS}`, "periplus_south");
  }
});
test.afterAll(() => {
  gym.end();
  elsewhere.end();
  rmSync(backup, { force: true });
});

test("of two gyms neither answers with anything of the other, on any route", async () => {
  const north = await northern();

  // The link of one gym is good in that one only.
  const token = links.get("south")?.split("#")[1] ?? "";
  const coach = { name: "Maren", email: "maren@harbour.example", password: PASSWORD, token };
  const join = async (host: string, data: object) => {
    const api = await client(host);
    const headers = { "X-CSRF-Token": (await (await api.get("/api/session")).json()).csrfToken };
    return (await api.post("/api/invitations/accept", { headers, data })).status();
  };
  expect(await join(NORTH, coach)).toBe(404);
  expect(await join(SOUTH, { ...coach, token: north.token })).toBe(404);
  expect(await join(SOUTH, coach)).toBe(204);
  const stranger = await client(SOUTH);
  const headersOfStranger = { "X-CSRF-Token": (await (await stranger.get("/api/session")).json()).csrfToken };
  const tried = await stranger.post("/api/session", { headers: headersOfStranger, data: HEAD_COACH });
  expect([401, 422]).toContain(tried.status());

  const { api, headers } = await signedIn(SOUTH, coach.email, PASSWORD);
  const own = await signedIn(NORTH, HEAD_COACH.email, HEAD_COACH.password);
  const all = routes();
  expect(all.length).toBeGreaterThan(150);
  const answered: string[] = [];
  let withParameters = 0;
  for (const [method, path] of all) {
    const address = filled(north, path);
    // Keys of screens need no session; the others are asked with that of south's head coach.
    const options = { method, headers: { ...headers, "If-Match": '"1"' }, ...(method === "GET" ? {} : { data: {} }) };
    const isOfNorth = /\{(id|key|run)\}/.test(path);
    if (["/api/session/end", "/api/me/password"].includes(path)) {
      continue;
    }
    const answer = await api.fetch(address, options);
    const text = await answer.text();
    if (/saltworks|northern/i.test(text.replaceAll(address, ""))) {
      answered.push(`${method} ${path} names the other gym`);
    }
    if (isOfNorth) {
      withParameters += 1;
      if (answer.status() < 400) {
        answered.push(`${method} ${path} ${answer.status()}`);
      }
    }
  }
  expect(answered).toEqual([]);
  expect(withParameters).toBeGreaterThan(60);

  // What was asked is there, in its own gym.
  const missing: string[] = [];
  for (const [method, path] of all.filter(([one, way]) => one === "GET" && /\{id\}/.test(way))) {
    const prefix = path.replace("/api/", "").split("/")[0] ?? "";
    if (["combinations", "plans", "runs", "proposals", "imports", "rule-previews", "courses"].includes(prefix)) {
      const goal = path.endsWith("/path") ? `?to=${north.ids.combinations}` : "";
      const status = (await own.api.get(filled(north, path) + goal)).status();
      if (status === 404) {
        missing.push(`${method} ${path}`);
      }
    }
  }
  expect(missing).toEqual([]);
  expect((await (await client(NORTH)).get(`/api/screens/${north.keys.screens}`)).status()).toBe(200);

  // A login session of one gym is none in the other.
  const { cookies } = await own.api.storageState();
  const cookie = cookies.map(({ name, value: held }) => `${name}=${held}`).join("; ");
  const carried = await client(SOUTH, cookie);
  for (const [, path] of all.filter(([method]) => method === "GET")) {
    const answer = await carried.get(filled(north, path));
    expect([200, 204, 401, 403, 404, 410, 421, 503], path).toContain(answer.status());
    expect(await answer.text(), path).not.toMatch(/saltworks|northern/i);
  }
  expect((await carried.get("/api/gym")).status()).toBe(401);

  const unknown = await client("elsewhere.test");
  expect((await unknown.get("/api/session")).status()).toBe(421);
});

/** Runs bin/periplus gym, which has to work. */
function onGym(...args: string[]): string {
  const run = gym.run("periplus", "gym", ...args);
  expect(run.status, run.stderr).toBe(0);
  return run.stdout.trim();
}

test("a gym is brought up to date, moved to another server and back, archived and restored, while the other serves", async () => {
  const { api } = await signedIn(NORTH, HEAD_COACH.email, HEAD_COACH.password);
  const combinations = async () => (await (await api.get("/api/combinations")).json()).total as number;
  const before = await combinations();
  expect(before).toBeGreaterThan(60);
  const south = async () => (await (await client(SOUTH)).get("/api/session")).status();

  // As an older version kept it.
  const newest = "DELETE FROM doctrine_migration_versions WHERE version LIKE '%Version20261201000022'";
  gym.sql(`${newest}; DROP TABLE answered_offer, followed_gym, offer_link, offering`, "periplus_north");
  expect(onGym("upgrade", "north")).toBe("");
  expect(gym.sql("SELECT COUNT(*) FROM offering", "periplus_north")).toContain("0");
  // As an upgrade leaves it that was killed.
  gym.sql("UPDATE hosted_gym SET state = 'read-only' WHERE name = 'north'", "periplus_directory");
  onGym("upgrade", "north");
  expect(onGym("list")).toMatch(/north +north.test +serves/);
  expect(await combinations()).toBe(before);

  // The sign-in moves with everything else.
  mkdirSync(join(elsewhere.state, "secrets"), { recursive: true });
  cpSync(join(gym.state, "secrets/database"), join(elsewhere.state, "secrets/database"));
  const started = elsewhere.run("start", "--several");
  expect(started.status, started.stderr).toBe(0);
  const server = `127.0.0.1:${elsewhere.dbPort}`;
  const taken = gym.run("periplus", "gym", "move", "north", "127.0.0.1:1");
  expect(taken.status).not.toBe(0);
  expect(await combinations()).toBe(before);
  onGym("move", "north", server);
  expect(onGym("list")).toContain(server);
  expect(gym.sql("SHOW DATABASES LIKE 'periplus_north'", "information_schema")).toBe("");
  expect(await combinations()).toBe(before);
  expect(onGym("upgrade", "north")).toBe("");
  const copy = `${gym.state}-moved.tar`;
  onGym("backup", "north", copy);
  expect(gym.run("periplus", "gym", "restore", "north", copy).stderr).toContain("on another server");
  onGym("move", "north", "-");
  expect(await combinations()).toBe(before);

  // What is archived is gone from here, and in the file.
  const archive = `${gym.state}-archive.tar`;
  onGym("archive", "north", archive);
  const gone = await api.get("/api/combinations");
  expect([gone.status(), (await gone.json()).type]).toEqual([410, "gym-archived"]);
  expect(await south()).toBe(200);
  onGym("restore", "north", archive);
  const again = await signedIn(NORTH, HEAD_COACH.email, HEAD_COACH.password);
  expect((await (await again.api.get("/api/combinations")).json()).total).toBe(before);
  expect(onGym("link", "north", HEAD_COACH.email)).toContain(`http://${NORTH}:${gym.port}/join#`);
  rmSync(copy);
  rmSync(archive);
});

test("gyms of a group see each other's offers as they are now, and others see nothing", async () => {
  const { api, headers } = await signedIn(NORTH, HEAD_COACH.email, HEAD_COACH.password);
  const { combinations } = await (await api.get("/api/combinations")).json();
  const [one] = combinations;
  const change = async (isOffered: boolean) => {
    const data = { kind: "combination", subject: String(one.id), isOffered };
    expect((await api.put("/api/offerings", { headers, data })).status()).toBe(200);
  };
  await change(true);
  const token = links.get("south")?.split("#")[1] ?? "";
  const coach = { name: "Maren", email: "maren@harbour.example", password: PASSWORD, token };
  const stranger = await client(SOUTH);
  const fresh = { "X-CSRF-Token": (await (await stranger.get("/api/session")).json()).csrfToken };
  await stranger.post("/api/invitations/accept", { headers: fresh, data: coach });
  const south = await signedIn(SOUTH, coach.email, PASSWORD);
  const seen = async () =>
    (await (await south.api.get("/api/offers")).json()).offers as { name: string; gym: string }[];
  await expect
    .poll(async () => (await seen()).map(({ name, gym: of }) => [name, of]))
    .toEqual([[one.name, "Saltworks"]]);

  // What is changed there is another version here.
  const renamed = await api.put(`/api/combinations/${one.id}`, {
    headers: { ...headers, "If-Match": `"${one.version}"` },
    data: { ...one, text: one.notation, name: "Northern lights" },
  });
  expect(renamed.status(), await renamed.text()).toBe(200);
  await expect.poll(async () => (await seen()).map(({ name }) => name)).toEqual(["Northern lights"]);

  onGym("group", "south", "Inland");
  expect(await seen()).toEqual([]);
  onGym("group", "south", "Coast");
  await change(false);
  await expect.poll(seen).toEqual([]);
});
