import { execFileSync, spawnSync } from "node:child_process";
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  statSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, HEAD_COACH, signIn, test } from "./gym";
import { OtherGym } from "./other-gym";

const FIRST = readFileSync(join(import.meta.dirname, "first-gym.sql"), "utf8");
const migrated = (version: string) =>
  `INSERT INTO \`doctrine_migration_versions\` VALUES ('Periplus\\\\App\\\\Migrations\\\\${version}',NULL,NULL);\n`;

/** A sound of a second, recorded in Chromium. */
const SOUND = readFileSync(join(import.meta.dirname, "../../tests/app/recordings/sound.webm"));

/** Writes a backup file as bin/periplus backup would, of a dump that is given. */
function backupOf(file: string, about: string[], dump: string): string {
  const folder = mkdtempSync(join(tmpdir(), "periplus-made-"));
  writeFileSync(join(folder, "about"), `${about.join("\n")}\n`);
  writeFileSync(join(folder, "library.sql"), `${dump}-- Dump completed\n`);
  execFileSync("gzip", [join(folder, "library.sql")]);
  execFileSync("sh", ["-c", "sha256sum about library.sql.gz > digests"], { cwd: folder });
  execFileSync("tar", ["-C", folder, "-cf", file, "about", "library.sql.gz", "digests"]);
  return file;
}

test("a backup is one file that restores the gym, and an interrupted restore changes nothing", async ({ page }) => {
  test.setTimeout(720_000);
  const gym = await OtherGym.loaded();
  const folder = mkdtempSync(join(tmpdir(), "periplus-"));
  const file = join(folder, "gym.tar");
  try {
    expect(gym.run("start").status).toBe(0);
    const made = gym.run("periplus", "backup", file);
    expect(made.stderr).toContain("combinations");
    expect(made.status).toBe(0);
    expect(gym.run("periplus", "backup", file).stderr).toContain("There is a file");
    expect(readdirSync(folder), "nothing else is left behind").toEqual(["gym.tar"]);
    // It says what it is of, and how many rows of each table; nobody's session is in it.
    const about = execFileSync("tar", ["-xOf", file, "about"], { encoding: "utf8" });
    expect(about).toMatch(/^format periplus-backup-3\nmade \S+\nschema Version\d+\ncore [0-9a-f]{32}\n/);
    expect(about).toContain(`rows combination ${gym.sql("SELECT COUNT(*) FROM combination")}\n`);
    const dump = execFileSync("sh", ["-c", 'tar -xOf "$0" library.sql.gz | gzip -dc', file], { encoding: "utf8" });
    expect(dump).not.toContain("INSERT INTO `session`");

    const names = async () => {
      const { api } = await gym.signIn();
      const list = await (await api.get("/api/combinations?size=100")).json();
      return list.combinations.map((row: { name: string }) => row.name) as string[];
    };
    const before = await names();
    const { api, headers } = await gym.signIn();
    const data = { name: "After the backup", text: "1 2 / *3 1 1" };
    expect((await api.post("/api/combinations", { headers, data })).status()).toBe(201);
    const after = await names();
    expect(after).toHaveLength(before.length + 1);

    // Killed in the middle: what is in use is what it was, or all of what comes.
    for (const wait of [60, 900, 1800, 2700]) {
      const restoring = gym.begin("periplus", "restore", file);
      const ended = new Promise((done) => restoring.on("exit", done));
      await page.waitForTimeout(wait);
      for (const pid of gym.processes("mariadbd")) {
        process.kill(pid, "SIGKILL");
      }
      await ended;
      expect(gym.run("start").status).toBe(0);
      expect([before, after], `killed after ${wait} ms`).toContainEqual(await names());
    }

    const revision = Number(gym.sql("SELECT revision FROM gym"));
    const restored = gym.run("periplus", "restore", file);
    expect(restored.stderr).toContain("The gym is back as it was");
    expect(await names()).toEqual(before);
    // What was found by revisions of before is not found again, and what is searched by is filled.
    expect(Number(gym.sql("SELECT revision FROM gym"))).toBeGreaterThan(revision);
    const found = await (await (await gym.signIn()).api.get("/api/combinations?q=ends+kick")).json();
    expect(found.total).toBeGreaterThan(3);
    expect((await api.get("/api/combinations")).status(), "who was signed in signs in again").toBe(401);

    truncateSync(file, Math.floor(statSync(file).size / 2));
    expect(gym.run("periplus", "restore", file).stderr).toContain("The gym is as it was.");
    expect(await names()).toEqual(before);
  } finally {
    gym.end();
  }
});

test("a hostile backup runs nothing and leaves nothing behind", async () => {
  test.setTimeout(720_000);
  const gym = await OtherGym.loaded();
  const mark = join(mkdtempSync(join(tmpdir(), "periplus-mark-")), "mark");
  const now = ["format periplus-backup-2", "made 2026-11-24T12:00:00Z"];
  const at = (name: string) => join(gym.state, name);
  try {
    expect(gym.run("start").status).toBe(0);
    const total = await gym.total();
    const users = gym.sql("SELECT COUNT(*) FROM mysql.user");
    const databases = gym.sql("SHOW DATABASES");
    const files = [
      backupOf(at("shell.tar"), now, `\\! touch ${mark}\n${FIRST}`),
      backupOf(at("system.tar"), now, `system touch ${mark}\n${FIRST}`),
      backupOf(at("source.tar"), now, `source /etc/passwd\n${FIRST}`),
      backupOf(at("tee.tar"), now, `tee ${mark}\n${FIRST}`),
      backupOf(at("use.tar"), now, `USE mysql;\nDELETE FROM global_priv;\n${FIRST}`),
      backupOf(at("grant.tar"), now, `GRANT ALL ON *.* TO 'eve'@'%' IDENTIFIED BY 'eve';\n${FIRST}`),
      backupOf(at("other.tar"), now, `CREATE DATABASE \`elsewhere\`;\nDROP TABLE periplus.user;\n${FIRST}`),
      backupOf(at("file.tar"), now, `SELECT 'x' INTO OUTFILE '${mark}';\n${FIRST}`),
      backupOf(at("local.tar"), now, `LOAD DATA LOCAL INFILE '/etc/passwd' INTO TABLE user;\n${FIRST}`),
      backupOf(at("number.tar"), [...now, `combinations x[$(touch ${mark})]`], FIRST),
      backupOf(at("table.tar"), [...now, "rows user`;DROP 1"], FIRST),
      backupOf(at("bomb.tar"), now, `${FIRST}${"-- nothing\n".repeat(40_000_000 / 11)}`),
    ];
    // Members that are no plain files, and a file that is none.
    const folder = mkdtempSync(join(tmpdir(), "periplus-made-"));
    execFileSync("sh", ["-c", "ln -s /etc/passwd about; : >digests; : >library.sql.gz"], { cwd: folder });
    execFileSync("tar", ["-C", folder, "-cf", at("link.tar"), "about", "library.sql.gz", "digests"]);
    execFileSync("mkfifo", [at("fifo.tar")]);
    for (const file of [...files, at("link.tar"), at("fifo.tar")]) {
      const refused = gym.run("periplus", "restore", file);
      expect(refused.status, file).toBe(1);
    }
    expect(existsSync(mark)).toBe(false);
    expect(gym.sql("SELECT COUNT(*) FROM mysql.user")).toBe(users);
    expect(gym.sql("SHOW DATABASES")).toBe(databases);
    expect(await gym.total()).toBe(total);
    // A link that leads nowhere is in the way of a backup, too.
    execFileSync("ln", ["-s", at("nowhere/gym.tar"), at("dangling.tar")]);
    const dangling = gym.run("periplus", "backup", at("dangling.tar"));
    expect([dangling.status, dangling.stderr]).toEqual([1, expect.stringContaining("Choose another name")]);
  } finally {
    gym.end();
  }
});

test("a backup of the first version is brought up to date; a newer, an empty and a short one are refused", async () => {
  test.setTimeout(720_000);
  const gym = await OtherGym.loaded();
  const at = (name: string) => join(gym.state, name);
  try {
    expect(gym.run("start").status).toBe(0);
    const total = await gym.total();
    const old = ["format periplus-backup-1", "made 2026-11-24T12:00:00Z", "combinations 27", "coaches 3"];
    const now = ["format periplus-backup-2", "made 2026-11-24T12:00:00Z"];
    for (const [name, about, dump, says] of [
      ["newer.tar", now, FIRST + migrated("Version20990101000000"), "is a backup of a newer version"],
      ["form.tar", ["format periplus-backup-9"], FIRST, "is a backup of a newer version"],
      ["empty.tar", now, FIRST.replace(/^INSERT INTO `user`.*\n/gm, ""), "is the backup of an empty gym"],
      ["nothing.tar", now, "", "is the backup of an empty gym"],
      ["short.tar", [...now, "rows combination 28"], FIRST, "says that it holds 28 rows of combination"],
      [
        "lost.tar",
        [...old.slice(0, 2), "combinations 60"],
        FIRST,
        "says that it holds 60 combinations, and fewer came in",
      ],
    ] as const) {
      const refused = gym.run("periplus", "restore", backupOf(at(name), [...about], dump));
      expect(refused.status, name).toBe(1);
      expect(refused.stderr, name).toContain(says);
      expect(refused.stderr, name).toContain("The gym is as it was.");
      expect(await gym.total(), name).toBe(total);
    }
    const restored = gym.run("periplus", "restore", backupOf(at("first.tar"), old, FIRST));
    expect(restored.status, restored.stderr).toBe(0);
    expect(restored.stderr).toContain("27 combinations");
    expect(await gym.total()).toBe(23);
    expect(gym.run("start").status).toBe(0);
  } finally {
    gym.end();
  }
});

test("a full disk is called a full disk, and leaves nothing behind", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  const disk = mkdtempSync(join(tmpdir(), "periplus-disk-"));
  try {
    expect(gym.run("start").status).toBe(0);
    execFileSync("mount", ["-t", "tmpfs", "-o", "size=16k", "tmpfs", disk]);
    const full = gym.run("periplus", "backup", join(disk, "gym.tar"));
    expect(full.status).toBe(1);
    expect(full.stderr).toContain("The disk is full. Nothing was written to");
    expect(readdirSync(disk)).toEqual([]);
  } finally {
    spawnSync("umount", [disk]);
    gym.run("stop");
  }
});

test("on a full disk a save is refused for that reason, and goes through once there is room", async () => {
  test.setTimeout(600_000);
  const disk = mkdtempSync(join(tmpdir(), "periplus-disk-"));
  execFileSync("mount", ["-t", "tmpfs", "-o", "size=260m,mode=0755", "tmpfs", disk]);
  const gym = await OtherGym.loaded(join(disk, "gym"));
  try {
    const start = gym.run("start");
    expect(start.status, start.stderr).toBe(0);
    const { api, headers } = await gym.signIn();
    const record = (technique: string, file: Buffer) =>
      api.post(`/api/recordings?technique=${technique}`, {
        headers: { ...headers, "Content-Type": "audio/webm" },
        data: file,
      });
    const { id } = await (await record("jab", SOUND)).json();
    spawnSync("dd", ["if=/dev/zero", `of=${disk}/fill`, "bs=1M"]);
    // A recording finds no room: neither where it is received, nor where it is kept.
    for (const file of [SOUND, Buffer.concat([SOUND, Buffer.alloc(10_000_000)])]) {
      const full = await record("cross", file);
      expect(full.status()).toBe(503);
      expect(await full.json()).toMatchObject({ type: "disk-full" });
    }
    expect((await (await api.get("/api/recordings")).json()).recordings).toHaveLength(1);
    expect(Buffer.compare(await (await api.get(`/api/recordings/${id}/file`)).body(), SOUND)).toBe(0);
    // What still fits into pages that are there is taken; no acknowledged save is lost.
    const saved: string[] = [];
    let refused: { type: string; title: string } | null = null;
    for (let at = 1; at <= 60 && refused === null; at += 1) {
      const data = { name: `Disk ${at}`, text: "1 ".repeat(at), note: "x".repeat(1900) };
      const answer = await api.post("/api/combinations", { headers, data });
      if (answer.status() === 201) {
        saved.push(data.name);
      } else {
        refused = await answer.json();
      }
    }
    expect(refused?.type).toBe("disk-full");
    expect(refused?.title).toContain("The disk of the gym's server is full");
    spawnSync("rm", [`${disk}/fill`]);
    expect((await record("cross", SOUND)).status()).toBe(201);
    expect(
      readdirSync(join(gym.state, "recordings")).filter((name) => name.startsWith("incoming")),
      "nothing half is left",
    ).toEqual([]);
    const data = { name: "Room again", text: "2 2 2 2 2 2 2" };
    expect((await api.post("/api/combinations", { headers, data })).status()).toBe(201);
    const found = await (await api.get("/api/combinations?size=100&q=disk")).json();
    expect(found.combinations.map((row: { name: string }) => row.name).sort()).toEqual(saved.sort());
  } finally {
    gym.end();
    await new Promise((done) => setTimeout(done, 1000));
    spawnSync("umount", [disk]);
  }
});

test("recordings are in a backup where the head coach chose so, and come back as they were", async () => {
  test.setTimeout(720_000);
  const gym = await OtherGym.loaded();
  const folder = mkdtempSync(join(tmpdir(), "periplus-"));
  const at = (name: string) => join(folder, name);
  const kept = () => readdirSync(join(gym.state, "recordings")).sort();
  const members = (file: string) => execFileSync("tar", ["-tf", file], { encoding: "utf8" }).trim().split("\n");
  try {
    expect(gym.run("start").status).toBe(0);
    const { api, headers } = await gym.signIn();
    const sent = await api.post("/api/recordings?technique=jab", {
      headers: { ...headers, "Content-Type": "audio/webm" },
      data: SOUND,
    });
    const { id } = await sent.json();
    const names = kept();
    expect(names).toHaveLength(1);
    expect(gym.run("periplus", "backup", at("without.tar")).stderr).toContain("0 recordings");
    expect(members(at("without.tar"))).toEqual(["about", "library.sql.gz", "digests"]);
    await api.put("/api/backups/content", { headers, data: { recordings: true } });
    expect(gym.run("periplus", "backup", at("with.tar")).stderr).toContain("1 recordings");
    expect(members(at("with.tar"))).toEqual(["about", "library.sql.gz", "digests", `recordings/${names[0]}`]);

    // Deleted, and put back by the backup that has it; the one that has not says so.
    expect((await api.post(`/api/recordings/${id}/delete`, { headers })).status()).toBe(204);
    expect(kept()).toEqual([]);
    const restored = gym.run("periplus", "restore", at("without.tar"));
    expect(restored.status, restored.stderr).toBe(0);
    const missing = await gym.signIn();
    const listed = await (await missing.api.get("/api/recordings")).json();
    expect(listed.recordings).toMatchObject([{ id, isThere: false }]);
    expect((await missing.api.get(`/api/recordings/${id}/file`)).status()).toBe(404);
    expect(gym.run("periplus", "restore", at("with.tar")).status).toBe(0);
    const back = await (await gym.signIn()).api.get(`/api/recordings/${id}/file`);
    expect(Buffer.compare(await back.body(), SOUND)).toBe(0);

    // What is not what its name says, or more or less than is said, is refused.
    const work = at("work");
    mkdirSync(work);
    execFileSync("tar", ["-C", work, "-xf", at("with.tar")]);
    writeFileSync(join(work, `recordings/${names[0]}`), "other");
    execFileSync("tar", ["-C", work, "-cf", at("other.tar"), ...members(at("with.tar"))]);
    execFileSync("tar", ["-C", work, "-cf", at("fewer.tar"), "about", "library.sql.gz", "digests"]);
    execFileSync("sh", ["-c", 'ln -sf /etc/passwd "$1"', "sh", join(work, `recordings/${names[0]}`)]);
    execFileSync("tar", ["-C", work, "-cf", at("link.tar"), ...members(at("with.tar"))]);
    for (const [file, says] of [
      ["other.tar", "a recording is not what was written"],
      ["fewer.tar", "says that it holds 1 recordings, and others are in it"],
      ["link.tar", "is no backup of Periplus"],
    ] as const) {
      const refused = gym.run("periplus", "restore", at(file));
      expect([refused.status, refused.stderr], file).toEqual([1, expect.stringContaining(says)]);
      expect(kept(), file).toEqual(names);
    }
  } finally {
    gym.end();
  }
});

test("an interrupted backup clears up after itself", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  const folder = mkdtempSync(join(tmpdir(), "periplus-"));
  try {
    expect(gym.run("start").status).toBe(0);
    const backing = gym.begin("periplus", "backup", join(folder, "gym.tar"));
    await expect.poll(() => readdirSync(folder).length, { intervals: [5] }).toBe(1);
    process.kill(-(backing.pid ?? 0), "SIGTERM");
    await new Promise((done) => backing.on("exit", done));
    await expect.poll(() => readdirSync(folder)).toEqual([]);
    // One that was killed outright is cleared up by the next.
    mkdirSync(join(folder, ".periplus-backup.killed"));
    execFileSync("touch", ["-d", "2 hours ago", join(folder, ".periplus-backup.killed")]);
    expect(gym.run("periplus", "backup", join(folder, "gym.tar")).status).toBe(0);
    expect(readdirSync(folder)).toEqual(["gym.tar"]);
    expect(existsSync(join(folder, "gym.tar"))).toBe(true);
  } finally {
    gym.end();
  }
});

test("the gym that is open in a browser is the one that was put back", async ({ page, gym }) => {
  test.setTimeout(600_000);
  const folder = mkdtempSync(join(tmpdir(), "periplus-"));
  expect(gym.run("periplus", "backup", join(folder, "gym.tar")).status).toBe(0);
  await signIn(page, HEAD_COACH);
  expect(gym.run("periplus", "restore", join(folder, "gym.tar")).status).toBe(0);
  await page.goto("/library");
  await signIn(page, HEAD_COACH);
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();
});
