import { spawnSync } from "node:child_process";
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, request } from "@playwright/test";
import { HEAD_COACH, test } from "./gym";
import { held, OtherGym, ROOT } from "./other-gym";

const run = (command: string, env: Record<string, string>, ...args: string[]) =>
  spawnSync(join(ROOT, "bin", command), args, { encoding: "utf8", timeout: 300_000, env: { ...process.env, ...env } });

// Each has a gym of its own, so that whichever worker is free takes the next: the longest first.
test.describe.configure({ mode: "parallel" });

test("a checkout in a folder with blanks and a state given by a relative path work", async () => {
  test.setTimeout(720_000);
  const folder = mkdtempSync(join(tmpdir(), "a gym "));
  chmodSync(folder, 0o755);
  // What is installed is taken from here; everything else is a copy.
  for (const name of ["app", "bin", "core", "demo", "docs", "composer.json", "upstream"]) {
    cpSync(join(ROOT, name), join(folder, name), { recursive: true });
  }
  mkdirSync(join(folder, "web"));
  for (const name of [
    "src",
    "public",
    "index.html",
    "wall.html",
    "package.json",
    "package-lock.json",
    "tsconfig.json",
    "vite.config.ts",
    "messages.ts",
    "api.mjs",
    "lingui.config.ts",
    "locales",
    "dist",
  ]) {
    cpSync(join(ROOT, "web", name), join(folder, "web", name), { recursive: true });
  }
  symlinkSync(join(ROOT, "web/node_modules"), join(folder, "web/node_modules"));
  cpSync(join(ROOT, "vendor"), join(folder, "vendor"), { recursive: true });
  mkdirSync(join(folder, "var/stamps"), { recursive: true });
  for (const stamp of ["php", "npm", "web"]) {
    cpSync(join(ROOT, "var/stamps", stamp), join(folder, "var/stamps", stamp));
  }
  const gym = await OtherGym.make("the state", join(folder, "bin"));
  const env = {
    ...process.env,
    PERIPLUS_STATE: "the state",
    PERIPLUS_PORT: String(gym.port),
    PERIPLUS_DB_PORT: String(gym.dbPort),
  };
  const command = (name: string, ...args: string[]) =>
    spawnSync(join(folder, "bin", name), args, { cwd: folder, encoding: "utf8", timeout: 400_000, env });
  try {
    const start = command("start");
    expect(start.status, start.stderr).toBe(0);
    expect(existsSync(join(folder, "the state/db"))).toBe(true);
    expect(await gym.total()).toBeGreaterThan(0);
    const backup = command("periplus", "backup", "a backup.tar");
    expect(backup.status, backup.stderr).toBe(0);
    const restore = command("periplus", "restore", "a backup.tar");
    expect(restore.status, restore.stderr).toBe(0);
  } finally {
    command("stop");
    rmSync(folder, { recursive: true });
  }
});

test("a port that is taken is named, with what to do", async () => {
  const taken = await held();
  const free = await held();
  await free.letGo();
  const gym = (port: number, dbPort: number) => ({
    PERIPLUS_STATE: mkdtempSync(join(tmpdir(), "periplus-gym-")),
    PERIPLUS_PORT: String(port),
    PERIPLUS_DB_PORT: String(dbPort),
  });

  const pages = run("start", gym(taken.port, free.port));
  expect(pages.status).toBe(1);
  expect(pages.stderr).toContain(`Port ${taken.port} on this machine is taken by another program`);
  expect(pages.stderr).toContain(`PERIPLUS_PORT=${taken.port + 100} bin/start`);

  const database = run("start", gym(free.port, taken.port));
  expect(database.status).toBe(1);
  expect(database.stderr).toContain(`PERIPLUS_DB_PORT=${taken.port + 100} bin/start`);
  await taken.letGo();

  const wrong = run("start", gym(free.port, taken.port), "--frehs");
  expect(wrong.status).toBe(1);
  expect(wrong.stderr).toContain('bin/start does not know "--frehs".');
  expect(run("start", gym(free.port, taken.port), "--help").stdout).toContain('bin/start --gym "NAME"');
});

test("folders and ports that cannot be are refused in one sentence", () => {
  for (const [env, says] of [
    [{ PERIPLUS_STATE: `/tmp/${"long-".repeat(30)}` }, "has too long a name for the sockets in it"],
    [{ PERIPLUS_STATE: "/tmp/gym;quit" }, "use a folder whose name has letters, digits, blanks"],
    [{ PERIPLUS_STATE: "/tmp/gym$HOME" }, "use a folder whose name has letters, digits, blanks"],
    [{ PERIPLUS_PORT: "eighty" }, 'PERIPLUS_PORT is a number from 1 to 65535, not "eighty".'],
    [{ PERIPLUS_DB_PORT: "70000" }, 'PERIPLUS_DB_PORT is a number from 1 to 65535, not "70000".'],
    [{ PERIPLUS_HOSTS: "gym.example;" }, "PERIPLUS_HOSTS is a list of host names"],
  ] as const) {
    const refused = run("stop", env);
    expect(refused.status, says).toBe(1);
    expect(refused.stderr.trim().split("\n")).toHaveLength(1);
    expect(refused.stderr).toContain(says);
  }
  // A folder of somebody else's is not made private.
  const folder = mkdtempSync(join(tmpdir(), "not-a-gym-"));
  writeFileSync(join(folder, "letters.txt"), "mine");
  chmodSync(folder, 0o755);
  const foreign = run("start", { PERIPLUS_STATE: folder });
  expect(foreign.stderr.trim()).toContain(`The folder ${folder} holds other things than a gym.`);
  expect([foreign.status, statSync(folder).mode & 0o777]).toEqual([1, 0o755]);
});

test("a gym is started, keeps its data when it is restarted, and starts over with --fresh", async () => {
  test.setTimeout(720_000);
  const gym = await OtherGym.make();
  try {
    const first = gym.run("start");
    expect(first.status, first.stderr).toBe(0);
    expect(first.stdout).toContain(`Periplus is ready: ${gym.address}`);
    expect(first.stdout).toContain(HEAD_COACH.email);
    expect(gym.sql("SELECT @@tmpdir"), "no other server clears it when it starts").toContain(gym.state);
    const demo = await gym.total();
    const { api, headers } = await gym.signIn();
    const data = { name: "Kept", text: "1 2 1 2 1 2 exit", rules: "boxing" };
    expect((await api.post("/api/combinations", { headers, data })).status()).toBe(201);

    expect(gym.run("stop").stdout).toContain("Periplus is stopped.");
    await expect(request.newContext().then((away) => away.get(`${gym.address}/api/ping`))).rejects.toThrow();
    expect(gym.run("stop").status, "once more is no mistake").toBe(0);

    expect(gym.run("start").status).toBe(0);
    expect(await gym.total()).toBe(demo + 1);
    const served = gym.processes("php-fpm8.2");
    expect(gym.run("start").status).toBe(0);
    expect(gym.processes("php-fpm8.2"), "what runs is left alone").toEqual(served);
    expect((await api.get("/api/combinations?size=1")).status(), "a session outlives a stop and a start").toBe(200);
    expect(gym.run("start", "--fresh").status).toBe(0);
    expect(await gym.total()).toBe(demo);
  } finally {
    gym.end();
  }
});

test("what belongs to a gym is for its own accounts alone, also where an older version left it open", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  const open = (file: string) => statSync(join(gym.state, file)).mode & 0o077;
  try {
    for (const folder of ["sessions", "log", "secrets", "run"]) {
      mkdirSync(join(gym.state, folder), { recursive: true });
      chmodSync(join(gym.state, folder), 0o755);
    }
    for (const file of ["sessions/sess_1", "log/php.log", "secrets/app", "run/fpm.conf"]) {
      writeFileSync(join(gym.state, file), "open to everyone");
      chmodSync(join(gym.state, file), 0o644);
    }
    expect(gym.run("start").status).toBe(0);
    for (const folder of ["db", "log", "secrets", "run/db", "tmp/php"]) {
      expect(open(folder), folder).toBe(0);
    }
    // Read by the web server's account as well, which gives them to the head coach, and written by root alone.
    for (const folder of ["backups", "told"]) {
      expect(open(folder) & 0o027, folder).toBe(0);
    }
    expect(existsSync(join(gym.state, "sessions"))).toBe(false);
    // Another account of the machine finds nothing that it can read or list.
    const found = spawnSync("runuser", ["-u", "nobody", "--", "find", gym.state, "-readable"], { encoding: "utf8" });
    expect(found.stdout.trim()).toBe("");
    const owner = (program: string) =>
      gym
        .processes(program)
        .map((pid) => spawnSync("ps", ["-o", "user:32=", "-p", String(pid)], { encoding: "utf8" }).stdout.trim());
    expect(new Set(owner("mariadbd"))).toEqual(new Set(["mysql"]));
    // The processes that lead open logs and the port as root; those that answer have no rights.
    const reads = spawnSync("runuser", [
      "-u",
      "www-data",
      "--",
      "test",
      "-r",
      join(ROOT, "app/public/index.php"),
    ]).status;
    const account = reads === 0 ? "www-data" : "root"; // a checkout in a private folder, of which the start says so
    expect(new Set(owner("php-fpm8.2").slice(1))).toEqual(new Set([account]));
    expect(new Set(owner("nginx").slice(1))).toEqual(new Set([account]));
    const backup = join(gym.state, "gym.tar");
    expect(gym.run("periplus", "backup", backup).status).toBe(0);
    expect(open("gym.tar")).toBe(0);
  } finally {
    gym.end();
  }
});

test("when accounts without rights cannot reach the gym, one line says so with a remedy, and it starts", async () => {
  test.setTimeout(600_000);
  const home = mkdtempSync(join(tmpdir(), "periplus-home-"));
  chmodSync(home, 0o700);
  const gym = await OtherGym.loaded(join(home, "gym"));
  try {
    const start = gym.run("start");
    expect(start.status, start.stderr).toBe(0);
    expect(start.stderr).toContain("keep Periplus where every account may pass, such as /srv");
    expect(await gym.total()).toBeGreaterThan(0);
  } finally {
    gym.end();
  }
});

test("numbers of processes in files are not trusted", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  const other = spawnSync("sh", ["-c", "sleep 300 >/dev/null 2>&1 & echo $!"], { encoding: "utf8" });
  const pid = other.stdout.trim();
  const lives = () => spawnSync("kill", ["-0", pid]).status === 0;
  try {
    mkdirSync(join(gym.state, "run/db"), { recursive: true });
    for (const file of ["run/db/db.pid", "run/db.pid", "run/fpm.pid", "run/nginx.pid"]) {
      writeFileSync(join(gym.state, file), `${pid}\n`);
    }
    const start = gym.run("start");
    expect(start.status, start.stderr).toBe(0);
    expect(lives()).toBe(true);
    gym.run("stop");
    for (const file of ["run/nginx.pid", "run/fpm.pid"]) {
      writeFileSync(join(gym.state, file), `${pid}\n`);
    }
    expect(gym.run("stop").status).toBe(0);
    expect(lives(), "another process with that number lives on").toBe(true);
  } finally {
    gym.end();
    spawnSync("kill", [pid]);
  }
});

test("with the process gone that leads PHP or the web server, a start mends it while the gym serves", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    const { api } = await gym.signIn();
    for (const program of ["php-fpm8.2", "nginx"]) {
      const [leader] = gym.processes(program);
      process.kill(leader ?? 0, "SIGKILL");
      const start = gym.run("start");
      expect(start.status, `${program}: ${start.stderr}`).toBe(0);
      expect((await api.get("/api/combinations?size=1")).status(), "a session outlives its process").toBe(200);
      // The leader forks the last of them when it serves already.
      const count = () => gym.processes(program).length;
      await expect.poll(count, "no orphans are left").toBe(program === "nginx" ? 3 : 7);
      expect(gym.processes(program)).not.toContain(leader);
    }
    // Another configuration is started beside the one that serves: not one request is lost.
    const failures: string[] = [];
    let done = false;
    const asking = (async () => {
      while (!done) {
        // Each on a connection of its own: one that is kept may end between two requests at any time.
        const answer = await api
          .get("/api/ping", { headers: { Connection: "close" } })
          .catch((error: Error) => error.message);
        if (typeof answer === "string" || answer.status() !== 204) {
          failures.push(typeof answer === "string" ? answer : String(answer.status()));
        }
      }
    })();
    gym.hosts = "gym.example";
    const start = gym.begin("start");
    expect(await new Promise((ended) => start.on("exit", ended))).toBe(0);
    done = true;
    await asking;
    expect(failures).toEqual([]);
    const named = await api.get("/api/ping", { headers: { Host: "gym.example" } });
    expect(named.status()).toBe(204);
  } finally {
    gym.end();
  }
});

test("of two starts at once one waits, and both end well", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.make();
  try {
    const starts = [gym.begin("start"), gym.begin("start")];
    const codes = await Promise.all(starts.map((start) => new Promise((ended) => start.on("exit", ended))));
    expect(codes).toEqual([0, 0]);
    expect(gym.processes("mariadbd")).toHaveLength(1);
    expect(gym.processes("nginx")).toHaveLength(3);
    expect(await gym.total()).toBeGreaterThan(0);
  } finally {
    gym.end();
  }
});
