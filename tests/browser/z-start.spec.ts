import { spawnSync } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { createServer, type Server } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, request } from "@playwright/test";
import { HEAD_COACH, test } from "./gym";

const bin = `${__dirname}/../../bin/`;

/** A port that is free now; held until it is let go. */
async function held(): Promise<{ port: number; letGo: () => Promise<void> }> {
  const server: Server = createServer();
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
  const address = server.address();
  const port = typeof address === "object" && address ? address.port : 0;
  return { port, letGo: () => new Promise((done) => server.close(() => done())) };
}

/** Runs a command for a gym beside the others. */
function run(command: string, gym: { state: string; port: number; dbPort: number }, ...args: string[]) {
  return spawnSync(`${bin}${command}`, args, {
    encoding: "utf8",
    timeout: 120_000,
    env: {
      ...process.env,
      PERIPLUS_STATE: gym.state,
      PERIPLUS_PORT: String(gym.port),
      PERIPLUS_DB_PORT: String(gym.dbPort),
    },
  });
}

test("a port that is taken is named, with what to do", async () => {
  const taken = await held();
  const free = await held();
  await free.letGo();
  const state = mkdtempSync(join(tmpdir(), "periplus-gym-"));

  const pages = run("start", { state, port: taken.port, dbPort: free.port });
  expect(pages.status).toBe(1);
  expect(pages.stderr).toContain(`Port ${taken.port} on this machine is taken by another program`);
  expect(pages.stderr).toContain(`PERIPLUS_PORT=${taken.port + 100} bin/start`);

  const database = run("start", { state, port: free.port, dbPort: taken.port });
  expect(database.status).toBe(1);
  expect(database.stderr).toContain(`PERIPLUS_DB_PORT=${taken.port + 100} bin/start`);
  await taken.letGo();

  const wrong = run("start", { state, port: free.port, dbPort: taken.port }, "--frehs");
  expect(wrong.status).toBe(1);
  expect(wrong.stderr).toContain('bin/start knows --fresh and --dev, not "--frehs".');
});

test("a gym is started, keeps its data when it is stopped and started, and starts over when it is told to", async () => {
  test.setTimeout(240_000);
  const [one, other] = [await held(), await held()];
  await Promise.all([one.letGo(), other.letGo()]);
  const gym = { state: mkdtempSync(join(tmpdir(), "periplus-gym-")), port: one.port, dbPort: other.port };
  const total = async () => {
    const api = await request.newContext({ baseURL: `http://127.0.0.1:${gym.port}` });
    const token = async () => (await (await api.get("/api/session")).json()).csrfToken as string;
    const { email, password } = HEAD_COACH;
    await api.post("/api/session", { headers: { "X-CSRF-Token": await token() }, data: { email, password } });
    const headers = { "X-CSRF-Token": await token() };
    const list = async () => (await (await api.get("/api/combinations?size=1")).json()).total as number;
    const add = (text: string) =>
      api.post("/api/combinations", { headers, data: { name: "Kept", text, rules: "boxing" } });
    return { list, add };
  };
  try {
    const first = run("start", gym);
    expect(first.status, first.stderr).toBe(0);
    expect(first.stdout).toContain(`Periplus is ready: http://127.0.0.1:${gym.port}`);
    expect(first.stdout).toContain(HEAD_COACH.email);
    const before = await total();
    const demo = await before.list();
    expect((await before.add("1 2 1 2 1 2 exit")).status()).toBe(201);

    expect(run("stop", gym).stdout).toContain("Periplus is stopped.");
    await expect(
      request.newContext().then((api) => api.get(`http://127.0.0.1:${gym.port}/api/ping`)),
    ).rejects.toThrow();
    expect(run("stop", gym).status, "once more is no mistake").toBe(0);

    expect(run("start", gym).status).toBe(0);
    expect(await (await total()).list()).toBe(demo + 1);
    expect(run("start", gym).status, "what runs is left alone").toBe(0);
    expect(run("start", gym, "--fresh").status).toBe(0);
    expect(await (await total()).list()).toBe(demo);
  } finally {
    run("stop", gym);
  }
});
