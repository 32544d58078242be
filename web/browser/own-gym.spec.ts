import { readdirSync } from "node:fs";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { expect, HEAD_COACH, signIn, test } from "./gym";
import { OtherGym } from "./other-gym";

const MAREN = { name: "Maren Holt", email: "maren@harbour.example", password: "four plain words here" };
/** Presses that a newcomer needs at most, typed text not counted. */
const MAX_PRESSES = 40;

/** Does what a newcomer does, and counts the presses. */
class Newcomer {
  presses = 0;

  constructor(readonly page: Page) {}

  async press(name: string | RegExp, role: "button" | "link" = "button"): Promise<void> {
    this.presses += 1;
    await this.page
      .getByRole(role, { name, exact: typeof name === "string" })
      .first()
      .click();
  }

  async choose(text: string): Promise<void> {
    this.presses += 1;
    await this.page.getByText(text, { exact: true }).first().click();
  }

  async type(label: string, text: string): Promise<void> {
    this.presses += 1;
    await this.page.getByLabel(label, { exact: true }).fill(text);
  }

  /** From the link that bin/start printed to the last step of the setup. */
  async takeUp(link: string): Promise<void> {
    await this.page.goto(link);
    await expect(this.page.getByRole("heading", { name: "Your gym: Harbour boxing" })).toBeVisible();
    await this.type("Your name, as the other coaches see it", MAREN.name);
    await this.type("E-mail", MAREN.email);
    await this.type("Password", MAREN.password);
    await this.press("Begin");
    await expect(this.page.getByRole("heading", { name: "Set up Harbour boxing" })).toBeVisible();
    await this.press("Save and continue");
    await expect(this.page.getByRole("heading", { name: "Which numbers do you call?" })).toBeVisible();
    await this.page.getByLabel("A combination in words").fill("jab cross body hook rear low kick");
    await expect(this.page.getByText("1 2 7 K4l", { exact: true })).toBeVisible();
    await this.press("Continue");
    await this.choose("Kickboxing");
    await this.press("Save and continue");
    await expect(this.page.getByRole("heading", { name: "How should your library begin?" })).toBeVisible();
  }
}

/** The link for the first head coach, as bin/start prints it. */
function founded(gym: OtherGym): string {
  const started = gym.run("start", "--gym", "Harbour boxing");
  expect(started.status, started.stderr).toBe(0);
  expect(started.stdout).not.toContain("saltworks");
  return /http:\S+\/join#\S+/.exec(started.stdout)?.[0] ?? "";
}

test("from an empty gym to the first combination of one's own, in at most forty presses", async ({ page, browser }) => {
  test.setTimeout(600_000);
  const gym = await OtherGym.make();
  try {
    const link = founded(gym);
    expect(gym.sql("SELECT COUNT(*) FROM user")).toBe("0");
    const maren = new Newcomer(page);
    await maren.takeUp(link);
    await maren.press(/^Add \d+ combinations$/);
    await expect(page.getByRole("heading", { name: "Library", exact: true })).toBeVisible();
    const total = Number(gym.sql("SELECT COUNT(*) FROM combination WHERE verdict = 'flows'"));
    expect(total).toBeGreaterThan(60);

    await maren.press("New combination");
    await page.getByLabel("The combination, in numbers or words").fill("1 2 3 2 roll-rear 2 3 exit");
    await maren.press("Save");
    await maren.type("Name", "First of our own");
    await page.getByRole("dialog").getByRole("button", { name: "Save", exact: true }).click();
    await expect(page.getByRole("heading", { name: "First of our own" })).toBeVisible();
    expect(maren.presses + 1).toBeLessThanOrEqual(MAX_PRESSES);

    // The link is used up, the course of the group is there, and the week goes on from what was said.
    const other = await (await browser.newContext()).newPage();
    await other.goto(link);
    await expect(other.getByText("This link was used already")).toBeVisible();
    expect(gym.sql("SELECT name FROM course")).toBe("Open class");

    // A gym of its own is not started over, not renamed by a start, and says nothing of demo accounts.
    expect(gym.run("start", "--fresh").stderr).toContain("nothing was deleted");
    expect(gym.run("start", "--gym", "Another").stderr).toContain('holds the gym "Harbour boxing" already');
    expect(gym.run("start").stdout).not.toMatch(/saltworks|join#/);

    // The only head coach has lost the password.
    expect(gym.run("periplus", "coach", "list").stdout).toContain(MAREN.email);
    const rescue = gym.run("periplus", "coach", "link", MAREN.email);
    await page.context().clearCookies();
    await page.goto(/http:\S+\/join#\S+/.exec(rescue.stdout)?.[0] ?? "");
    await page.getByLabel("Password", { exact: true }).fill("four other plain words");
    await page.getByRole("button", { name: "Set the password" }).click();
    await expect(page.getByText(MAREN.name)).toBeVisible();
  } finally {
    gym.end();
  }
});

/** As a coach keeps it: numbers, words, names before and after, remarks, and one line that cannot be read. */
const LIST = `# Tuesday and Thursday
1 2 exit # Open the door
1-1-2 exit # Knock twice
jab cross lead hook exit # Three in a row
Body first: 1b 2 exit
Down and up: 1b 1 2 exit
1 2 3b exit # Cellar
1, 2, 3, 2, circle-lead
jab, cross, hook, cross, exit # Four
slip lead 3 2 exit # After the slip
slip-rear 2 3 2 exit
1 2 slip-lead 3 2 exit # Slip and pay
1 pull 2 3 2 exit # Lean back
(1) 2 3 exit # Show and go
1 6 3 exit # Inside
double jab, cross, exit # Same as the second
1 2 5 2 exit
1 2 3 roll-rear 4 3 exit # Under
1 2 roll-lead 3b 2 exit
step-out 1 2 exit # Off the line
1~ 2~ 3b 2! exit # Hard last
1 2 step-out 14l exit # Low
1 2 3 step-out 14l exit # Three and low
11 1 2 exit # Long first
1 12 step-back
1 2 11 step-back # Keep away
1 2 15 exit # Switch
check-lead 2 3 exit # Check and answer
1 15 exit
jab cros hook rear uppercut exit # A slip of the pen
1 2 15l 2 exit # Low switch
3 step-out 14l exit`;

test("from an empty gym to a list of thirty lines in mixed styles, in at most forty presses", async ({ page }) => {
  test.setTimeout(600_000);
  const gym = await OtherGym.make();
  try {
    const maren = new Newcomer(page);
    await maren.takeUp(founded(gym));
    await maren.choose("Your own list");
    await maren.type("Text to import", LIST);
    await maren.press("Preview");
    await expect(page.getByText("unreadable 1")).toBeVisible();
    await expect(page.getByText("The same chain is entry 2 of this file.")).toBeVisible();
    await maren.choose("unreadable 1");
    await expect(page.locator(".import-lines tr")).toHaveCount(1);
    await maren.press("Edit");
    // The nearest word is offered, and the name after "#" stays.
    maren.presses += 1;
    await page.locator(".import-lines .chip", { hasText: "cross" }).first().click();
    await page.locator(".edit-line").getByRole("button", { name: "Save" }).click();
    maren.presses += 1;
    await expect(page.getByText("unreadable 1")).toBeHidden();
    await maren.press(/^Import \d+ combinations$/);
    await expect(page.getByText(/^Done: 30 new/)).toBeVisible();
    await maren.press("Go to the library");
    await expect(page.getByText("30 combinations")).toBeVisible();
    expect(gym.sql("SELECT COUNT(*) FROM combination WHERE name = 'A slip of the pen'")).toBe("1");
    expect(maren.presses).toBeLessThanOrEqual(MAX_PRESSES);
  } finally {
    gym.end();
  }
});

test("the head coach of the demo starts a gym of their own from the page, with a backup of the demo", async ({
  page,
}) => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    const asked = gym.run("start", "--gym", "Harbour boxing");
    expect([asked.status, asked.stderr]).toEqual([1, expect.stringContaining("Run it again with --yes")]);
    await page.goto(gym.address);
    await page.getByLabel("E-mail").fill(HEAD_COACH.email);
    await page.getByLabel("Password", { exact: true }).fill(HEAD_COACH.password);
    await page.getByRole("button", { name: "Sign in" }).click();
    await page.getByRole("button", { name: "Start your own gym" }).click();
    await page.getByLabel("Name of your gym").fill("Harbour boxing");
    await page.getByRole("button", { name: "Start my gym" }).click();
    await expect(page.getByRole("heading", { name: "Your gym: Harbour boxing" })).toBeVisible({ timeout: 120_000 });
    await page.getByLabel("Your name").fill(MAREN.name);
    await page.getByLabel("E-mail").fill(MAREN.email);
    await page.getByLabel("Password", { exact: true }).fill(MAREN.password);
    await page.getByRole("button", { name: "Begin" }).click();
    await expect(page.getByRole("heading", { name: "Set up Harbour boxing" })).toBeVisible();
    expect(gym.sql("SELECT COUNT(*) FROM user")).toBe("1");
    expect(gym.sql("SELECT COUNT(*) FROM combination")).toBe("0");

    // The demo can be had back.
    const [demo = ""] = readdirSync(join(gym.state, "backups")).filter((name) => name.startsWith("demo-"));
    expect(gym.run("periplus", "restore", join(gym.state, "backups", demo)).status).toBe(0);
    await signIn(page, HEAD_COACH).catch(() => undefined);
    expect(await gym.total()).toBeGreaterThan(20);
  } finally {
    gym.end();
  }
});

test("a backup is made, downloaded, opened next to the gym and put in its place, from the page", async ({ page }) => {
  test.setTimeout(600_000);
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    await page.goto(gym.address);
    await page.getByLabel("E-mail").fill(HEAD_COACH.email);
    await page.getByLabel("Password", { exact: true }).fill(HEAD_COACH.password);
    await page.getByRole("button", { name: "Sign in" }).click();
    await expect(page.getByRole("button", { name: "Sign out" })).toBeVisible();
    const { api, headers } = await gym.signIn();
    const endsOn = new Date(Date.now() + 7 * 86_400_000).toISOString().slice(0, 10);
    const link = await api.post("/api/session-links", { headers, data: { name: "Alone", endsOn, combinations: [1] } });
    expect(link.ok()).toBe(true);
    await page.goto(`${gym.address}/status`);
    await page.getByRole("button", { name: "Back up now" }).click();
    await expect(page.getByText("The backup is made.")).toBeVisible();
    const made = page.getByRole("row", { name: /by hand/ });
    const download = page.waitForEvent("download");
    await made.getByRole("link", { name: "Download" }).click();
    const file = await (await download).path();

    // Since then: a combination more, a wall and a link that are revoked, and a coach who is blocked.
    await api.post("/api/combinations", { headers, data: { name: "After the backup", text: "1 2 / *3 1 1" } });
    const { walls } = await (await api.get("/api/walls")).json();
    await api.post(`/api/walls/${walls[0].id}/revoke`, { headers });
    await api.post(`/api/session-links/${(await link.json()).id}/revoke`, { headers });
    const blocked = await api.put("/api/coaches/3", { headers, data: { active: false } });
    expect(blocked.ok()).toBe(true);

    await made.getByRole("button", { name: "Restore to a copy" }).click();
    const copy = page.getByRole("region", { name: "Restored copy" });
    await expect(copy).toContainText("Combinations that would be lost: After the backup", { timeout: 120_000 });
    expect(await gym.total(), "the gym itself has not changed").toBe(
      Number(gym.sql("SELECT COUNT(*) FROM combination WHERE archived_at IS NULL")),
    );
    await copy.getByRole("button", { name: "Replace the gym with it" }).click();
    await page.getByRole("button", { name: "Replace the gym", exact: true }).click();
    await expect(page.getByLabel("E-mail")).toBeVisible({ timeout: 120_000 });
    expect(gym.sql("SELECT COUNT(*) FROM combination WHERE name = 'After the backup'")).toBe("0");
    expect(gym.sql(`SELECT revoked_at IS NOT NULL FROM wall WHERE wall_key = '${walls[0].key}'`)).toBe("1");
    expect(gym.sql("SELECT revoked_at IS NOT NULL FROM session_link")).toBe("1");
    expect(gym.sql("SELECT active FROM user ORDER BY id")).toBe("1\n1\n0");
    expect(readdirSync(join(gym.state, "backups")).filter((name) => name.startsWith("before-restore-"))).toHaveLength(
      1,
    );
    // What was downloaded is a whole backup, read by the console.
    expect(gym.run("periplus", "restore", String(file)).status).toBe(0);
  } finally {
    gym.end();
  }
});
