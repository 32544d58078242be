import { execFileSync, spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, truncateSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, HEAD_COACH, signIn, test } from "./gym";

const root = `${__dirname}/../../`;
const state = process.env.PERIPLUS_STATE ?? `${root}var/gym`;
const console_ = (...args: string[]) => spawnSync(`${root}bin/periplus`, args, { encoding: "utf8", timeout: 60_000 });

test("a backup is one file that puts the gym back, and a restore that is cut off leaves it as it was", async ({
  page,
}) => {
  test.setTimeout(180_000);
  const file = join(mkdtempSync(join(tmpdir(), "periplus-")), "gym.tar");
  const made = console_("backup", file);
  expect(made.stderr).toContain("combinations");
  expect(made.status).toBe(0);
  expect(console_("backup", file).stderr).toContain("There is a file");

  await signIn(page, HEAD_COACH);
  const names = async () => {
    const list = await (await page.request.get("/api/combinations?size=100")).json();
    return list.combinations.map((row: { name: string }) => row.name) as string[];
  };
  const before = await names();
  const token = (await (await page.request.get("/api/session")).json()).csrfToken;
  const saved = await page.request.post("/api/combinations", {
    headers: { "X-CSRF-Token": token },
    data: {
      name: `After the backup ${Date.now()}`,
      text: `1 ${"2 ".repeat(1 + (Date.now() % 20))}/ *${1 + (Date.now() % 9)} 1 1`,
    },
  });
  expect(saved.status(), await saved.text()).toBe(201);
  const after = await names();
  expect(after).toHaveLength(before.length + 1);

  // Killed in the middle: what is in use is what it was.
  for (const wait of [60, 250]) {
    const restoring = spawn(`${root}bin/periplus`, ["restore", file], { stdio: "ignore" });
    const ended = new Promise((done) => restoring.on("exit", done));
    await page.waitForTimeout(wait);
    process.kill(Number(readFileSync(`${state}/run/db/db.pid`, "utf8")), "SIGKILL");
    await ended;
    execFileSync(`${root}bin/start`, { stdio: "ignore", timeout: 60_000 });
    expect([before, after]).toContainEqual(await names());
  }

  const restored = console_("restore", file);
  expect(restored.stderr).toContain("The gym is back as it was");
  expect(await names()).toEqual(before);
  await page.goto("/library");
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();

  truncateSync(file, 15_000);
  expect(console_("restore", file).stderr).toContain("The gym is as it was.");
  expect(await names()).toEqual(before);
});
