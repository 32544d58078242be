import { execFileSync, spawn } from "node:child_process";
import { once } from "node:events";
import { readdirSync, readFileSync, readlinkSync } from "node:fs";
import { join } from "node:path";
import { request } from "@playwright/test";
import { COACH, expect, HEAD_COACH, OTHER_COACH, test } from "./gym";
import { type OtherGym, signInAt } from "./other-gym";

/** A coach's session without a browser, against the real nginx, PHP and MariaDB. */
const session = (baseURL: string, coach: { email: string; password: string }) => signInAt(baseURL, coach);

let started: OtherGym;

test.beforeEach(({ gym }) => {
  started = gym;
});

const sql = (statement: string): string => started.sql(statement);

const unique = () =>
  `${"1 ".repeat(1 + (Date.now() % 20))}/ ${"2 ".repeat(1 + (Math.floor(Date.now() / 20) % 20))}*${1 + (Math.floor(Date.now() / 400) % 12)}`;

test("of twenty writes based on one version exactly one wins, and the others are refused with a message", async ({
  baseURL,
}) => {
  const first = await session(baseURL ?? "", HEAD_COACH);
  const second = await session(baseURL ?? "", HEAD_COACH);
  const text = unique();
  const made = await first.api.post("/api/combinations", {
    headers: first.headers,
    data: { name: "Many hands", text },
  });
  expect(made.status(), await made.text()).toBe(201);
  const { id } = await made.json();
  const writes = Array.from({ length: 20 }, (_, at) => {
    const { api, headers } = at % 2 === 0 ? first : second;
    return api.put(`/api/combinations/${id}`, {
      headers: { ...headers, "If-Match": made.headers().etag ?? "" },
      data: { name: `Hand ${at}`, text },
    });
  });
  const answers = await Promise.all(writes);
  const statuses = answers.map((answer) => answer.status()).sort();
  expect(statuses).toEqual([200, ...Array(19).fill(412)]);
  const winner = answers.find((answer) => answer.status() === 200);
  const now = await (await first.api.get(`/api/combinations/${id}`)).json();
  expect(now).toEqual(await winner?.json());
  const { versions } = await (await first.api.get(`/api/combinations/${id}/versions`)).json();
  expect(versions).toHaveLength(2);
});

test("pages and answers carry their policies, and the session cookie is kept from scripts", async ({
  baseURL,
  page,
}) => {
  const front = await page.goto("/");
  const policy = front?.headers()["content-security-policy"] ?? "";
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toContain("unsafe");
  const again = await page.request.get("/");
  expect(again.headers()["content-security-policy"]).not.toBe(policy);
  expect(again.headers()["x-content-type-options"]).toBe("nosniff");
  expect(await again.text()).not.toContain("%NONCE%");

  const { api } = await session(baseURL ?? "", HEAD_COACH);
  const answer = await api.get("/api/combinations");
  expect(answer.headers()["content-security-policy"]).toContain("default-src 'none'");
  expect(answer.headers()["cache-control"]).toBe("no-store");
  const cookie = (await api.storageState()).cookies.find((one) => one.name === "periplus");
  expect(cookie?.httpOnly).toBe(true);
  expect(cookie?.sameSite).toBe("Strict");

  const script = (await again.text()).match(/\/assets\/[^"]+\.js/)?.[0] ?? "";
  const asset = await page.request.get(script, { headers: { "Accept-Encoding": "gzip" } });
  expect(asset.headers()["cache-control"]).toContain("immutable");
  expect(asset.headers()["content-encoding"]).toBe("gzip");
  const missing = await page.request.get("/assets/index-of-yesterday.js");
  expect([missing.status(), missing.headers()["cache-control"]]).toEqual([404, "no-store"]);
});

test("only names that the gym knows are answered, and no header changes the method", async ({ baseURL }) => {
  const anonymous = await request.newContext({ baseURL: baseURL ?? "" });
  for (const path of ["/", "/api/session", "/assets/x.js"]) {
    expect((await anonymous.get(path, { headers: { Host: "elsewhere.example" } })).status(), path).toBe(421);
  }
  expect((await anonymous.get("/api/ping", { headers: { Host: "localhost" } })).status()).toBe(204);

  const { api, headers } = await session(baseURL ?? "", HEAD_COACH);
  for (const method of ["PUT", "DELETE", "GET"]) {
    const answer = await api.post("/api/combinations", {
      headers: { ...headers, "X-HTTP-Method-Override": method },
      data: { name: "", text: "1 2" },
    });
    expect(answer.status(), method).toBe(422);
  }
  const crossing = await api.post("/api/check", {
    headers: { ...headers, Origin: "http://elsewhere.example" },
    data: { text: "1 2" },
  });
  expect(crossing.status()).toBe(403);
});

test("nothing is kept for who is not signed in: no cookie and no row", async ({ baseURL }) => {
  const before = sql("SELECT COUNT(*) FROM session");
  const anonymous = await request.newContext({ baseURL: baseURL ?? "" });
  const answers = [
    await anonymous.get("/api/combinations"),
    await anonymous.get("/api/session"),
    await anonymous.get("/api/ping"),
  ];
  const { csrfToken } = await (await anonymous.get("/api/session")).json();
  answers.push(
    await anonymous.post("/api/session", {
      headers: { "X-CSRF-Token": csrfToken },
      data: { email: `nobody-${Date.now()}@gym.example`, password: "no" },
    }),
  );
  expect(answers.map((answer) => answer.status())).toEqual([401, 200, 204, 401]);
  expect((await anonymous.storageState()).cookies).toEqual([]);
  expect(sql("SELECT COUNT(*) FROM session")).toBe(before);
});

test("a session is kept by a digest, ends unused after a week and in use after thirty days", async ({ baseURL }) => {
  const { api } = await session(baseURL ?? "", OTHER_COACH);
  const signedIn = async () => (await api.get("/api/combinations?size=1")).status();
  const cookie = (await api.storageState()).cookies.find((one) => one.name === "periplus")?.value ?? "";
  const digest = execFileSync("sha256sum", { input: cookie, encoding: "utf8" }).split(" ")[0];
  expect(sql(`SELECT sess_lifetime - sess_time FROM session WHERE sess_id = '${digest}'`)).toBe("604800");
  expect(sql(`SELECT COUNT(*) FROM session WHERE sess_id = '${cookie}'`)).toBe("0");

  expect(await signedIn()).toBe(200);
  const data = sql(`SELECT HEX(sess_data) FROM session WHERE sess_id = '${digest}'`);
  // The time at which it was made, in the form in which PHP keeps it; the length of the number stays.
  const text = Buffer.from(data, "hex").toString("latin1");
  const made = /s:1:"c";i:(\d{10})/.exec(text)?.[1] ?? "";
  expect(made).not.toBe("");
  const older = (days: number) => text.replaceAll(`i:${made}`, `i:${Number(made) - days * 86_400}`);
  const put = (was: string) =>
    sql(
      `UPDATE session SET sess_data = UNHEX('${Buffer.from(was, "latin1").toString("hex")}') WHERE sess_id = '${digest}'`,
    );
  put(older(29));
  expect(await signedIn()).toBe(200);
  put(older(31));
  expect(await signedIn()).toBe(401);

  const second = await session(baseURL ?? "", OTHER_COACH);
  sql("UPDATE session SET sess_lifetime = UNIX_TIMESTAMP() - 1");
  expect((await second.api.get("/api/combinations?size=1")).status(), "unused for a week").toBe(401);
});

test("the death of every process that answers loses no session", async ({ baseURL }) => {
  const { api } = await session(baseURL ?? "", COACH);
  const workers = () =>
    readdirSync("/proc").filter((pid) => {
      try {
        const isWorker = readFileSync(`/proc/${pid}/cmdline`, "utf8").includes("pool periplus");
        return isWorker && readlinkSync(`/proc/${pid}/cwd`) === join(started.state, "run");
      } catch {
        return false;
      }
    });
  // One that has answered its share of requests is exchanged for another.
  await expect.poll(() => workers().length).toBe(6);
  for (const pid of workers()) {
    process.kill(Number(pid), "SIGKILL");
  }
  await expect.poll(async () => (await api.get("/api/combinations?size=1")).status()).toBe(200);
});

test("who is blocked is signed out for good, also after they are let in again", async ({ baseURL }) => {
  const head = await session(baseURL ?? "", HEAD_COACH);
  const blocked = await session(baseURL ?? "", OTHER_COACH);
  const { coaches } = await (await head.api.get("/api/coaches")).json();
  const { id } = coaches.find((coach: { email: string }) => coach.email === OTHER_COACH.email);
  const put = (active: boolean) => head.api.put(`/api/coaches/${id}`, { headers: head.headers, data: { active } });
  expect((await put(false)).status()).toBe(200);
  expect((await blocked.api.get("/api/combinations?size=1")).status()).toBe(401);
  expect((await put(true)).status()).toBe(200);
  expect((await blocked.api.get("/api/combinations?size=1")).status()).toBe(401);
  expect((await (await session(baseURL ?? "", OTHER_COACH)).api.get("/api/combinations?size=1")).status()).toBe(200);
});

test("long tasks of one coach do not delay checks, and more than two are refused", async ({ baseURL }) => {
  const busy = await session(baseURL ?? "", COACH);
  const other = await session(baseURL ?? "", OTHER_COACH);
  const plan = sql("SELECT MIN(id) FROM plan");
  // As long as the plans are locked no task ends, whatever the speed of the machine.
  const lock = spawn("mariadb", [...started.client(), "--unbuffered"], { stdio: ["pipe", "pipe", "inherit"] });
  lock.stdin.write("LOCK TABLES plan WRITE;\nSELECT 'locked';\n");
  await once(lock.stdout, "data");

  const statuses: number[] = [];
  const tasks = Promise.all(
    Array.from({ length: 24 }, async () => statuses.push((await busy.api.get(`/api/plans/${plan}/door.pdf`)).status())),
  );
  await expect.poll(() => statuses).toEqual(Array(22).fill(429));
  for (const text of ["1 2", "1 2 3b", "1 2 3 4"]) {
    const check = await other.api.post("/api/check", { headers: other.headers, data: { text } });
    expect(check.status()).toBe(200);
  }
  expect(statuses, "the two still wait").toHaveLength(22);

  lock.stdin.end();
  await tasks;
  expect(statuses.slice(22)).toEqual([200, 200]);
});

test("simultaneous attempts do not get around the limit, and attempts with invented names lock nobody out", async ({
  baseURL,
}) => {
  const anonymous = await request.newContext({ baseURL: baseURL ?? "" });
  const { csrfToken } = await (await anonymous.get("/api/session")).json();
  const attempt = (email: string) =>
    anonymous.post("/api/session", { headers: { "X-CSRF-Token": csrfToken }, data: { email, password: "wrong" } });
  // The same account however it is written, and thirty tries in the same moment.
  const name = `racing-${Date.now()}@gym.example`;
  const spellings = [name, name.toUpperCase(), `${name} `, ` ${name}`];
  const answers = await Promise.all(Array.from({ length: 30 }, (_, at) => attempt(spellings[at % 4] ?? name)));
  expect(answers.filter((answer) => answer.status() === 401)).toHaveLength(6);
  await Promise.all(Array.from({ length: 20 }, (_, at) => attempt(`invented-${Date.now()}-${at}@gym.example`)));
  expect((await session(baseURL ?? "", OTHER_COACH)).api).toBeTruthy();
  expect((await attempt("tomás@saltworks.example")).status(), "another name").toBe(401);
});

test("a body beyond every bound is refused by the outer wall in the same form", async ({ baseURL }) => {
  const { api, headers } = await session(baseURL ?? "", HEAD_COACH);
  for (const size of [70_000, 2_000_000]) {
    const answer = await api.post("/api/check", { headers, data: { text: "1".repeat(size) } });
    expect(answer.status()).toBe(413);
    expect(answer.headers()["content-type"]).toContain("application/problem+json");
    expect((await answer.json()).type).toBe("too-large");
  }
});

test("an account that is signed in twice keeps both sessions, and signing out ends one", async ({ baseURL }) => {
  const one = await session(baseURL ?? "", HEAD_COACH);
  const two = await session(baseURL ?? "", HEAD_COACH);
  expect((await one.api.post("/api/session/end", { headers: one.headers })).status()).toBe(204);
  expect((await one.api.get("/api/combinations")).status()).toBe(401);
  expect((await two.api.get("/api/combinations")).status()).toBe(200);
});

test("one address that uses six links at once joins once, and the others are refused with a message", async ({
  baseURL,
}) => {
  const head = await session(baseURL ?? "", HEAD_COACH);
  const tokens: string[] = [];
  for (let at = 0; at < 6; at += 1) {
    const made = await head.api.post("/api/invitations", { headers: head.headers, data: { role: "coach" } });
    tokens.push((await made.json()).token);
  }
  const anonymous = await request.newContext({ baseURL: baseURL ?? "" });
  const { csrfToken } = await (await anonymous.get("/api/session")).json();
  const email = `six-${Date.now()}@saltworks.example`;
  const answers = await Promise.all(
    tokens.map((token) =>
      anonymous.post("/api/invitations/accept", {
        headers: { "X-CSRF-Token": csrfToken },
        data: { token, name: "Six Times", email, password: "fourth-bell-7" },
      }),
    ),
  );
  expect(answers.map((answer) => answer.status()).sort()).toEqual([204, 409, 409, 409, 409, 409]);
  const logs = execFileSync("sh", ["-c", `cat "$0"/*`, join(started.state, "log")], { encoding: "utf8" });
  for (const token of tokens) {
    expect(logs, "no log keeps the word of a link").not.toContain(token);
  }
});
