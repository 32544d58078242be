import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "@playwright/test";
import { HEAD_COACH, test } from "./gym";
import { OtherGym } from "./other-gym";

/** How often each kind of start is killed; PERIPLUS_KILLS=20 is the long run. */
const KILLS = Number(process.env.PERIPLUS_KILLS ?? 1);
/** A start takes about this long, ms: kills fall anywhere in it. */
const FRESH = 7000;
const AGAIN = 2500;
const DEMO = JSON.parse(readFileSync(join(import.meta.dirname, "../../demo/combinations.json"), "utf8"))
  .length as number;
const FIRST = readFileSync(join(import.meta.dirname, "first-gym.sql"), "utf8");

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** Kills a start and all it has begun at a random moment, now and then the database with it. */
async function killStart(gym: OtherGym, within: number): Promise<number> {
  const moment = Math.round(Math.random() * within);
  const start = gym.begin("start");
  const ended = new Promise((done) => start.on("exit", done));
  await pause(moment);
  if (start.exitCode === null && start.pid) {
    process.kill(-start.pid, "SIGKILL");
  }
  await ended;
  if (Math.random() < 0.5) {
    for (const pid of gym.processes("mariadbd")) {
      process.kill(pid, "SIGKILL");
    }
  }
  return moment;
}

/** Puts the database of the first version in place, as it would lie there before an upgrade. */
function becomeFirst(gym: OtherGym): void {
  gym.sql("DROP DATABASE periplus; DROP DATABASE IF EXISTS periplus_before; CREATE DATABASE periplus", "mysql");
  gym.sql(FIRST);
}

async function expectFirst(gym: OtherGym, said: string): Promise<void> {
  expect(gym.sql("SELECT COUNT(*) FROM combination"), said).toBe("27");
  expect(gym.sql("SELECT COUNT(*) FROM combination_version WHERE version = 1"), said).toBe("27");
  // Of what was in use twice the older is, and the other is kept with a version that says what became of it.
  expect(gym.sql("SELECT GROUP_CONCAT(id ORDER BY id) FROM combination WHERE archived_at IS NOT NULL"), said).toBe(
    "24,101,102,103",
  );
  expect(gym.sql("SELECT COUNT(*) FROM combination_version WHERE version = 2 AND change_kind = 'archived'"), said).toBe(
    "3",
  );
  // A level that the check does not give was chosen by somebody.
  expect(gym.sql("SELECT level, level_chosen FROM combination WHERE id = 1"), said).toBe("3\t1");
  expect(await gym.total(), said).toBe(23);
}

test("a start that is killed is begun again with all data: fresh, with data, and within an upgrade", async () => {
  test.setTimeout(300_000 + KILLS * 400_000);
  const moments: string[] = [];
  for (let kill = 0; kill < KILLS; kill += 1) {
    const gym = await OtherGym.make();
    try {
      moments.push(`fresh ${await killStart(gym, FRESH)}`);
      const fresh = gym.run("start");
      expect(fresh.status, `${moments.at(-1)}: ${fresh.stderr}`).toBe(0);
      expect(await gym.total()).toBe(DEMO);

      const { api, headers } = await gym.signIn();
      const data = { name: "Kept", text: `1 2 ${"1 2 ".repeat(3)}exit` };
      expect((await api.post("/api/combinations", { headers, data })).status()).toBe(201);
      gym.run("stop");
      moments.push(`with data ${await killStart(gym, AGAIN)}`);
      const again = gym.run("start");
      expect(again.status, `${moments.at(-1)}: ${again.stderr}`).toBe(0);
      expect(await gym.total()).toBe(DEMO + 1);

      becomeFirst(gym);
      gym.run("stop");
      moments.push(`upgrade ${await killStart(gym, FRESH)}`);
      const upgraded = gym.run("start");
      expect(upgraded.status, `${moments.at(-1)}: ${upgraded.stderr}`).toBe(0);
      await expectFirst(gym, moments.at(-1) ?? "");
    } finally {
      gym.end();
    }
  }
  console.log(`killed after ms: ${moments.join(", ")}`);
});

test("an upgrade that was cut off by an older version, and duplicates that an index refuses, are no obstacle", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    becomeFirst(gym);
    // Half of the second and of the third migration, as an older bin/start left them when it was killed.
    gym.sql(
      `CREATE TABLE house_rules (id VARCHAR(20) NOT NULL PRIMARY KEY);
       ALTER TABLE combination ADD sequence VARBINARY(320) DEFAULT '' NOT NULL, ADD in_use VARCHAR(32) DEFAULT NULL, DROP words;
       UPDATE combination SET in_use = fingerprint_with_effort`,
    );
    const upgraded = gym.run("start");
    expect(upgraded.status, upgraded.stderr).toBe(0);
    expect(upgraded.stderr).toContain("Writing a backup of the gym to");
    await expectFirst(gym, "half");

    // What cannot be brought over leaves the gym as it was, and says what to do.
    becomeFirst(gym);
    gym.sql(
      "ALTER TABLE user DROP INDEX UNIQ_8D93D649E7927C74; INSERT INTO user (email, name, password, role) VALUES ('liv@saltworks.example', 'Twice', '', 'ROLE_COACH')",
    );
    const failed = gym.run("start");
    expect(failed.status).toBe(1);
    expect(failed.stderr).toContain("The upgrade was not completed; the gym's data is as it was.");
    expect(failed.stderr).toContain("A backup from before is");
    expect(gym.sql("SELECT COUNT(*) FROM user; SELECT COUNT(*) FROM combination WHERE archived_at IS NULL")).toBe(
      "4\n26",
    );
    gym.sql("DELETE FROM user WHERE name = 'Twice'");
    expect(gym.run("start").status).toBe(0);
    await expectFirst(gym, "mended");

    // A newer one is left alone.
    gym.sql(
      "INSERT INTO doctrine_migration_versions (version) VALUES ('Periplus\\\\App\\\\Migrations\\\\Version20990101000000')",
    );
    const newer = gym.run("start");
    expect(newer.status).toBe(1);
    expect(newer.stderr).toContain("This gym was kept by a newer version of Periplus. Nothing was changed.");
  } finally {
    gym.end();
  }
});

test("a start that failed leaves what serves serving", async () => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    const { api } = await gym.signIn(HEAD_COACH);
    becomeFirst(gym);
    gym.sql(
      "ALTER TABLE user DROP INDEX UNIQ_8D93D649E7927C74; INSERT INTO user (email, name, password, role) VALUES ('liv@saltworks.example', 'Twice', '', 'ROLE_COACH')",
    );
    const before = gym.processes("nginx");
    expect(gym.run("start").status).toBe(1);
    expect(gym.processes("nginx")).toEqual(before);
    expect((await api.get("/api/ping")).status()).toBe(204);
    expect(gym.sql("SELECT @@read_only")).toBe("0");
  } finally {
    gym.end();
  }
});
