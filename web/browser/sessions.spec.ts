import { execFileSync } from "node:child_process";
import { readFile } from "node:fs/promises";
import type { Locator, Page } from "@playwright/test";
import ICAL from "ical.js";
// The reader comes without types.
// @ts-expect-error
import vttParser from "webvtt-parser";
import { COACH, expect, HEAD_COACH, OTHER_COACH, signIn, test } from "./gym";

/** Counts what a hand does: each press of a button or a key, and each text as one. */
class Hand {
  presses = 0;
  async press(target: Locator): Promise<void> {
    this.presses++;
    await target.click();
  }
  async type(target: Locator, text: string): Promise<void> {
    this.presses += 2;
    await target.fill(text);
    await target.press("Enter");
  }
}

const round = (page: Page, number: number) => page.getByRole("article", { name: `Round ${number}` });
const rounds = (page: Page) => page.getByRole("region", { name: "Rounds" });
const handle = (page: Page, name: RegExp) => page.getByRole("region", { name: "Clock" }).getByRole("button", { name });
const saved = (page: Page) =>
  expect(page.getByRole("status").getByText("saved", { exact: true })).toBeVisible({ timeout: 15_000 });
const total = (page: Page) => page.locator(".totals .numbers");

async function newSession(page: Page): Promise<void> {
  await page.goto("/sessions");
  await page.getByRole("button", { name: "New session" }).click();
  await expect(page).toHaveURL(/\/sessions\/\d+$/);
  await expect(page.getByRole("region", { name: "Rounds" })).toBeVisible();
}

/** The text of a printed page, read by poppler; it has to be one page. */
async function printed(page: Page, link: string): Promise<string> {
  await page.getByText("Export ▾").click();
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: link }).click()]);
  await page.keyboard.press("Escape");
  const path = await download.path();
  expect(execFileSync("pdfinfo", [path], { encoding: "utf8" })).toMatch(/Pages:\s+1\n/);
  return execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" });
}

async function download(page: Page, path: string): Promise<string> {
  const answer = await page.request.get(path);
  expect(answer.status()).toBe(200);
  return answer.text();
}

test("sixty minutes for three levels and both stances are planned by hand in at most forty presses, and printed", async ({
  page,
}) => {
  await signIn(page, COACH);
  await page.goto("/sessions");
  const hand = new Hand();
  const course = page.getByRole("listitem").filter({ hasText: "Kickboxing, mixed levels" }).last();
  await hand.press(course.getByRole("button", { name: "Plan by hand" }));
  await hand.press(round(page, 1).nth(1).getByRole("button", { name: "by level" }));
  const lanes = rounds(page).getByRole("article").first().getByLabel("Type a combination");
  for (const [at, chain] of ["1 2 3", "1 2 3b", "1 2 step-out 14l"].entries()) {
    // Each field goes once it is filled.
    await hand.type(lanes.first(), chain);
    await expect(rounds(page).getByText(chain, { exact: true })).toBeVisible();
    await expect(lanes).toHaveCount(2 - at);
  }
  const first = rounds(page).getByRole("article").first();
  await hand.type(first.getByLabel("How many times"), "6");
  await hand.press(first.getByRole("button", { name: "Copy the round" }));
  const second = rounds(page).getByRole("article").nth(1);
  await hand.press(second.getByRole("button", { name: "other stance" }));
  await hand.type(second.getByLabel("How many times"), "5");
  await hand.press(second.getByRole("button", { name: "Copy the round" }));
  const third = rounds(page).getByRole("article").nth(2);
  await hand.press(third.getByRole("button", { name: "other stance" }));
  await hand.type(third.getByLabel("How many times"), "1");
  await saved(page);

  await expect(page.getByText(/left of 60 min/)).toBeVisible();
  const [minutes = 0] = ((await total(page).textContent()) ?? "").split(":").map(Number);
  expect(minutes).toBeGreaterThanOrEqual(55);
  expect(minutes).toBeLessThan(60);
  const load = page.getByRole("region", { name: "Load, orthodox" });
  await expect(load).toContainText(/[1-9]\d*:\d\d orthodox, [1-9]\d*:\d\d southpaw/);
  for (const level of ["Level 1", "Level 2", "Level 3"]) {
    await expect(page.getByRole("region", { name: "Clock" }).getByText(level)).toBeVisible();
  }
  expect(hand.presses).toBeLessThanOrEqual(40);

  const sheet = await printed(page, "Sheet for the coach, PDF");
  expect(sheet).toContain("Level 3");
  expect(sheet.replace(/ +/g, " ")).toContain("1 2 step-out 14l");
  expect((await printed(page, "Sheet for the door, PDF")).replace(/ +/g, " ")).toContain("1 2 3b");
});

test("a class of laps, a menu and an exchange is planned by hand in at most forty presses", async ({ page }) => {
  await signIn(page, COACH);
  await newSession(page);
  const hand = new Hand();
  const at = (number: number) => rounds(page).getByRole("article").nth(number);
  const choose = async (number: number, drill: string) => {
    await hand.press(at(number).getByLabel("Drill"));
    await hand.press(page.locator(".ant-select-item-option:visible").getByText(drill, { exact: true }));
  };
  // Three laps of two stations with 15 s between them.
  await hand.type(at(0).getByLabel("Type a combination"), "1 2 3");
  await hand.press(at(0).getByRole("button", { name: "+ set" }));
  await hand.type(at(0).getByLabel("Type a combination"), "3 2");
  await hand.type(at(0).getByLabel("Laps"), "3");
  await hand.type(at(0).getByLabel("Breath between sets in seconds"), "15");
  // In, one of three, out.
  await hand.press(rounds(page).getByRole("button", { name: "+ round" }));
  await choose(1, "Menu");
  await hand.type(at(1).getByLabel("Type a combination"), "2 3; 3b 3; 2 3b");
  await hand.type(at(1).getByLabel("Way in"), "1");
  await hand.type(at(1).getByLabel("Way out"), "exit");
  // They cross, they hook.
  await hand.press(rounds(page).getByRole("button", { name: "+ round" }));
  await choose(2, "Exchange");
  await hand.type(at(2).getByLabel("Type a combination"), "slip-lead 3b; block-rear 6 3 2");
  await hand.press(at(2).getByText("the opponent; every combination is an answer"));
  await hand.type(at(2).getByLabel("They throw"), "2; 3");
  await saved(page);
  expect(hand.presses).toBeLessThanOrEqual(40);

  // 3 laps of 180 s and five breaths of 15 s.
  await expect(at(0).getByLabel("Work", { exact: true })).toHaveValue("10:15");
  await expect(at(1)).toContainText("1, then 2 3, 3b 3 or 2 3b, then exit");
  await expect(at(2)).toContainText("they 2, you slip-lead 3b, they 3, you block-rear 6 3 2");
  await expect(page.locator(".set-problem, .advisory.stops")).toHaveCount(0);
});

test("a part that would never come is said with its place, and mended by one press", async ({ page }) => {
  await signIn(page, COACH);
  await newSession(page);
  const first = rounds(page).getByRole("article").first();
  await first.getByLabel("Drill").click();
  await page.locator(".ant-select-item-option:visible").getByText("Ladder", { exact: true }).click();
  await first.getByLabel("Type a combination").fill("1 2 3 2");
  await first.getByLabel("Type a combination").press("Enter");
  await first.getByLabel("A rung (0: own pace)").fill("60");
  await first.getByLabel("A rung (0: own pace)").press("Enter");
  await expect(first.getByText(/the whole is never reached/)).toBeVisible();
  await first.getByRole("button", { name: "Rungs of 45 s" }).click();
  await expect(first.getByText(/the whole is never reached/)).toBeHidden();
  await expect(page.getByText("Ready to run.")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(first.getByText(/the whole is never reached/)).toBeVisible();
});

test("a generated session has its reasons; locked parts are kept when the rest is generated again", async ({
  page,
}) => {
  await signIn(page, COACH);
  await page.goto("/sessions");
  const course = page.getByRole("listitem").filter({ hasText: "Kickboxing, mixed levels" }).last();
  await course.getByRole("button", { name: /^Plan .* for me$/ }).click();
  await expect(page).toHaveURL(/\/sessions\/\d+$/);
  await expect(page.getByText("A ladder comes first")).toBeVisible();
  await expect(page.getByText(/left of 60 min/)).toBeVisible();
  await expect(page.getByText("Ready to run.")).toBeVisible();
  const chains = async (number: number) =>
    (await rounds(page).getByRole("article").nth(number).locator(".set-chain .numbers").allTextContents()).join("; ");
  const [kept, other] = [await chains(2), await Promise.all([0, 1, 3, 4, 5, 6].map(chains))];
  await rounds(page).getByRole("article").nth(2).getByRole("button", { name: "Lock the round" }).click();
  await page.getByRole("banner").or(page.locator(".plan-head")).getByRole("button", { name: "Generate" }).click();
  await expect(page.getByText("One locked part stays")).toBeVisible();
  await page.getByLabel("Seed (change it for a different session)").fill("4711");
  await page.getByRole("button", { name: "Generate the rest again" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await expect.poll(async () => await Promise.all([0, 1, 3, 4, 5, 6].map(chains))).not.toEqual(other);
  expect(await chains(2)).toBe(kept);
  await saved(page);
  // Undo brings back what was there.
  await page.keyboard.press("Control+z");
  await expect.poll(async () => await Promise.all([0, 1, 3, 4, 5, 6].map(chains))).toEqual(other);
  await printed(page, "Sheet for the coach, PDF");
});

test("rounds are stretched, copied, moved and taken out by keys, and a reload has what was done", async ({ page }) => {
  await signIn(page, COACH);
  await newSession(page);
  await rounds(page).getByLabel("Type a combination").fill("1 2 3");
  await page.keyboard.press("Enter");
  await expect(rounds(page).getByText("flows")).toBeVisible();
  const first = handle(page, /^Rounds, round 1,/);
  await first.focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect(rounds(page).getByLabel("Work", { exact: true })).toHaveValue("3:15");
  await page.keyboard.press("Control+d");
  await expect(rounds(page).getByRole("article")).toHaveCount(2);
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(rounds(page).getByLabel("Work", { exact: true }).nth(1)).toHaveValue("3:00");
  await expect(handle(page, /^Rounds, round 2,/)).toBeFocused();
  await page.keyboard.press("Alt+ArrowLeft");
  await expect(rounds(page).getByLabel("Work", { exact: true }).first()).toHaveValue("3:00");
  await page.keyboard.press("Delete");
  await expect(rounds(page).getByRole("article")).toHaveCount(1);
  await page.keyboard.press("Control+z");
  await expect(rounds(page).getByRole("article")).toHaveCount(2);
  await saved(page);
  await page.reload();
  await expect(rounds(page).getByLabel("Work", { exact: true }).first()).toHaveValue("3:00");
  await expect(rounds(page).getByLabel("Work", { exact: true }).nth(1)).toHaveValue("3:15");
});

async function drag(page: Page, from: Locator, to: Locator): Promise<void> {
  // At the edge of the page a drag scrolls.
  await to.evaluate((target) => target.closest(".ruler") ?? target.scrollIntoView({ block: "center" }));
  const [a, b] = [await from.boundingBox(), await to.boundingBox()];
  if (!a || !b) {
    throw new Error("Nothing to drag.");
  }
  await page.mouse.move(a.x + Math.min(20, a.width / 3), a.y + Math.min(10, a.height / 2));
  await page.mouse.down();
  await page.mouse.move(a.x + 40, a.y + 20, { steps: 4 });
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 8 });
  // A hand stays until it sees where it would drop.
  await expect(page.locator(".is-over").first()).toBeAttached();
  await page.mouse.up();
}

test("a combination is dropped from the library, a round is moved on the clock and stretched at its edge", async ({
  page,
}) => {
  await signIn(page, COACH);
  await newSession(page);
  await page.getByLabel("Search the library").fill("cellar window");
  const row = page.getByRole("button", { name: "Drag Cellar window into a set" });
  // What was searched for is there when it alone is.
  await expect(page.getByRole("button", { name: /^Drag .* into a set$/ })).toHaveCount(1);
  await drag(page, row, rounds(page).locator(".set-card"));
  await expect(rounds(page).getByText("1 2 3b exit", { exact: true })).toBeVisible();
  // For a moment after a drop presses are taken for its end.
  await expect(page.getByRole("region", { name: "Clock" })).toHaveAttribute("aria-busy", "false");
  await rounds(page).getByRole("button", { name: "+ round" }).click();
  // Without a mouse: into the set that is chosen.
  await rounds(page).getByLabel("Type a combination").click();
  await page.getByRole("button", { name: "Add Cellar window to the selected set" }).click();
  await expect(rounds(page).getByText("1 2 3b exit", { exact: true })).toHaveCount(2);
  const second = rounds(page).getByRole("article").nth(1);
  await second.getByLabel("Work", { exact: true }).fill("1:00");
  await page.keyboard.press("Tab");
  await expect(handle(page, /^Rounds, round 2, 1:00/)).toBeVisible();
  // Until the answer is there the round is drawn at its old length.
  await expect(page.getByRole("region", { name: "Clock" })).toHaveAttribute("aria-busy", "false");
  await drag(page, handle(page, /^Rounds, round 2, 1:00/), handle(page, /^Rounds, round 1, 3:00/));
  await expect(handle(page, /^Rounds, round 1, 1:00/)).toBeVisible();
  await expect(page.getByRole("region", { name: "Clock" })).toHaveAttribute("aria-busy", "false");
  const edge = page
    .locator(".round-handle")
    .filter({ has: page.getByRole("button", { name: /^Rounds, round 2, 3:00/ }) })
    .locator(".round-edge");
  const box = await edge.boundingBox();
  const clock = await page.locator(".ruler-rounds").boundingBox();
  if (!box || !clock) {
    throw new Error("There is no clock.");
  }
  await page.mouse.move(box.x + 5, box.y + 5);
  await page.mouse.down();
  // A twentieth of the sixty minutes.
  await page.mouse.move(box.x + 5 + clock.width / 20, box.y + 5, { steps: 6 });
  await page.mouse.up();
  await expect(handle(page, /^Rounds, round 2, 6:00/)).toBeVisible();
  await saved(page);
});

test("an archived session is marked in its place and can be restored there", async ({ page }) => {
  await signIn(page, COACH);
  await newSession(page);
  await page.getByLabel("Name of the session").fill("Archived by mistake");
  await saved(page);
  await page.getByRole("button", { name: "More" }).click();
  await page.getByRole("menuitem", { name: "Archive the session" }).click();
  await expect(page.getByText("This session is archived")).toBeVisible();
  await page.getByRole("button", { name: "Restore it" }).click();
  await expect(page.getByText("This session is archived")).toHaveCount(0);
  // It can be changed and saved as before.
  await page.getByLabel("Name of the session").fill("Back again");
  await saved(page);
  await page.reload();
  await expect(page.getByLabel("Name of the session")).toHaveValue("Back again");
});

test("two coaches see each other, and neither overwrites the other unseen", async ({ page, browser }) => {
  test.setTimeout(120_000);
  await signIn(page, COACH);
  await newSession(page);
  const address = page.url();
  const liv = await (await browser.newContext()).newPage();
  await signIn(liv, OTHER_COACH);
  await liv.goto(address);
  await expect(liv.getByText(`${COACH.name} has this session open, too.`)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText(`${OTHER_COACH.name} has this session open, too.`)).toBeVisible({ timeout: 20_000 });
  // Both write at the same time: one is told.
  await Promise.all([
    page.getByLabel("Name of the session").fill("By Tomas"),
    liv.getByLabel("Name of the session").fill("By Liv"),
  ]);
  const both = [page, liv];
  await expect
    .poll(
      async () =>
        (
          await Promise.all(
            both.map((one) => one.getByRole("alert").filter({ hasText: "changed this session meanwhile" }).count()),
          )
        ).reduce((a, b) => a + b),
      { timeout: 30_000 },
    )
    .toBe(1);
  const late =
    (await page.getByRole("alert").filter({ hasText: "changed this session meanwhile" }).count()) === 1 ? page : liv;
  const mine = late === page ? "By Tomas" : "By Liv";
  const theirs = late === page ? "By Liv" : "By Tomas";
  await expect(late.getByLabel("Name of the session")).toHaveValue(mine);
  await late.getByRole("button", { name: /^Take theirs/ }).click();
  await expect(late.getByLabel("Name of the session")).toHaveValue(theirs);
  await late.getByRole("button", { name: "Undo" }).click();
  await expect(late.getByLabel("Name of the session")).toHaveValue(mine);
  await saved(late);
  // The other one, who has nothing unsaved, sees it.
  const early = late === page ? liv : page;
  await expect(early.getByLabel("Name of the session")).toHaveValue(mine, { timeout: 20_000 });
  await liv.context().close();
});

test("a problem is shown at its place, and nothing is lost", async ({ page }) => {
  await signIn(page, COACH);
  await newSession(page);
  await rounds(page).getByLabel("Type a combination").fill("1 99");
  await page.keyboard.press("Enter");
  const advisories = page.getByRole("region", { name: "Problems and warnings" });
  await expect(advisories).toContainText("There is no number 99");
  await expect(rounds(page).getByText("There is no number 99")).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(rounds(page).getByText("1 99", { exact: true })).toBeVisible();
  await rounds(page).getByRole("button", { name: "Remove 1 99" }).click();
  await expect(advisories).toContainText("This set is empty");
  await rounds(page).getByLabel("Type a combination").fill("jab cross; 1 step-back 31");
  await page.keyboard.press("Enter");
  await expect(advisories).toContainText("1 step-back 31 breaks");
});

test("a warning is mended by one press and undone by one", async ({ page }) => {
  await signIn(page, COACH);
  await newSession(page);
  const warmUp = page.getByRole("region", { name: "Warm-up" });
  await warmUp.getByRole("button", { name: "Remove", exact: true }).click();
  await rounds(page).getByLabel("Type a combination").fill("1 2");
  await page.keyboard.press("Enter");
  const times = rounds(page).getByLabel("How many times");
  await times.fill("8");
  await times.press("Enter");
  await page.getByRole("button", { name: "Put a warm-up before" }).click();
  await expect(warmUp).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(warmUp).toBeHidden();
});

test("a combination that the library changes after planning is shown as planned and as it is now", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const name = `Planned ${Date.now()}`;
  const session = await (await page.request.get("/api/session")).json();
  const headers = { "X-CSRF-Token": session.csrfToken };
  const text = `1 2 / *${2 + (Date.now() % 9)} ${"2 3 ".repeat(1 + (Date.now() % 7))}exit`;
  const data = { name, text, rules: "boxing" };
  const made = await (await page.request.post("/api/combinations", { data, headers })).json();
  await newSession(page);
  await page.getByLabel("Search the library").fill(name);
  await page.getByLabel("all rules").check();
  const put = page.getByRole("button", { name: `Add ${name} to the selected set` });
  await rounds(page).getByLabel("Type a combination").click();
  await put.click();
  await expect(rounds(page).getByText(made.text, { exact: true })).toBeVisible();
  await saved(page);
  await page.request.put(`/api/combinations/${made.id}`, {
    data: { ...data, text: `${text} 1` },
    headers: { ...headers, "If-Match": '"1"' },
  });
  await page.reload();
  const advisories = page.getByRole("region", { name: "Problems and warnings" });
  await expect(advisories).toContainText(`${name} was changed since it was planned.`);
  await advisories.getByRole("button", { name: "Take the new one" }).click();
  await expect(rounds(page).getByText(`${made.text} 1`, { exact: true })).toBeVisible();
  await expect(advisories).not.toContainText("was changed since it was planned");
});

test("cues and calendar are read by independent readers, and a plan comes out and goes in again", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto("/sessions");
  const mine = page.getByRole("region", { name: "Calendar" }).getByRole("link").first();
  await mine.click();
  await expect(page).toHaveURL(/\/sessions\/\d+$/);
  const id = /\d+$/.exec(page.url())?.[0] ?? "";
  const vtt = new vttParser.WebVTTParser().parse(await download(page, `/api/plans/${id}/cues.vtt`), "metadata");
  expect(vtt.errors).toEqual([]);
  const content = await download(page, `/api/plans/${id}/plan.json`);
  const token = (await (await page.request.get("/api/session")).json()).csrfToken;
  const document = await (
    await page.request.post("/api/plans/check", {
      data: { content: JSON.parse(content) },
      headers: { "X-CSRF-Token": token },
    })
  ).json();
  expect(vtt.cues.map((cue: { startTime: number }) => Math.round(1000 * cue.startTime))).toEqual(
    document.cues.map((cue: { atMs: number }) => cue.atMs),
  );

  const calendar = async () => {
    const events = new ICAL.Component(ICAL.parse(await download(page, "/api/calendar.ics"))).getAllSubcomponents(
      "vevent",
    );
    const found = events.map((event) => new ICAL.Event(event)).find((event) => event.uid.startsWith(`plan-${id}@`));
    expect(found).toBeDefined();
    return {
      uid: found?.uid,
      start: found?.startDate.toJSDate().toISOString(),
      sequence: found?.sequence ?? 0,
      summary: found?.summary,
    };
  };
  const before = await calendar();
  const plan = await (await page.request.get(`/api/plans/${id}`)).json();
  // The gym is in Lisbon, which is on UTC in winter.
  expect(before.start).toBe(`${plan.startsAt}:00.000Z`);
  const name = page.getByLabel("Name of the session");
  await name.fill(`${await name.inputValue()}; later`);
  await saved(page);
  const after = await calendar();
  expect(after).toMatchObject({ uid: before.uid, start: before.start, summary: `${before.summary}; later` });
  expect(after.sequence).toBeGreaterThan(before.sequence);

  await page.goto("/sessions");
  const path = `/tmp/plan-${Date.now()}.json`;
  await (await import("node:fs/promises")).writeFile(path, content);
  await page.getByLabel("Import a plan (JSON)").setInputFiles(path);
  await expect(page).toHaveURL(/\/sessions\/\d+$/);
  const again = /\d+$/.exec(page.url())?.[0] ?? "";
  expect(again).not.toBe(id);
  const [one, other] = [
    JSON.parse(await readFile(path, "utf8")),
    JSON.parse(await download(page, `/api/plans/${again}/plan.json`)),
  ];
  expect(other.blocks).toEqual(one.blocks);
});

test("sessions are found by week, by month and by course, and the address says which", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto("/sessions");
  const calendar = page.getByRole("region", { name: "Calendar" });
  await expect(calendar.getByText("Liver, three levels")).toBeVisible();
  await page.getByText("Month", { exact: true }).click();
  await expect(page).toHaveURL(/view=month/);
  await expect(calendar.getByText(/Beginners, boxing/).first()).toBeVisible();
  await page.getByRole("button", { name: "Next month" }).click();
  await page.getByRole("button", { name: "Next month" }).click();
  await page.getByRole("button", { name: "Next month" }).click();
  await expect(page.getByText("Nothing is planned on these days.")).toBeVisible();
  await page.getByRole("button", { name: "Today" }).click();
  await page.getByLabel("Which course").click();
  await page.getByTitle("All limbs, competition").click();
  await expect(page).toHaveURL(/course=\d+/);
  await expect(calendar.getByText("Liver, three levels")).toBeHidden();
  await page.reload();
  await expect(calendar.getByText(/All limbs, competition/).first()).toBeVisible();
});

test("the head coach makes a course and edits the reminders; a coach sees them and cannot", async ({
  page,
  browser,
}) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/sessions");
  await page.getByRole("button", { name: "New course" }).click();
  const name = `Early birds ${Date.now()}`;
  await page.getByRole("button", { name: "Make the course" }).click();
  await expect(page.getByText("Give the course a name.")).toBeVisible();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("button", { name: "Make the course" }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
  await page.goto("/advice");
  const reminders = page.getByRole("region", { name: "Reminders" });
  await reminders.getByRole("button", { name: "Add one" }).click();
  await reminders.getByLabel("Reminder", { exact: true }).last().fill("smile at the end");
  await reminders.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("The reminders are saved.")).toBeVisible();
  const tomas = await (await browser.newContext()).newPage();
  await signIn(tomas, COACH);
  await tomas.goto("/advice");
  await expect(
    tomas.getByRole("region", { name: "Reminders" }).getByLabel("Reminder", { exact: true }).last(),
  ).toHaveValue("smile at the end");
  await expect(tomas.getByRole("button", { name: "Add one" })).toHaveCount(0);
  await tomas.context().close();
  await reminders.getByRole("button", { name: "Reset to the built-in list" }).click();
  await expect(page.getByText("The reminders are built-in.")).toBeVisible();
});
