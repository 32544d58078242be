import type { Page } from "@playwright/test";
import { COACH, entry, expect, HEAD_COACH, on, PHONE, putAway, signIn, test, write } from "./gym";
import { signInAt } from "./other-gym";

/** Counts what a coach presses. */
class Presses {
  clicks = 0;
  keys = 0;

  constructor(private readonly page: Page) {}

  async click(what: ReturnType<Page["locator"]>): Promise<void> {
    this.clicks += 1;
    await what.first().click();
  }

  async type(text: string): Promise<void> {
    this.keys += text.length;
    await this.page.keyboard.type(text);
  }

  async key(name: string): Promise<void> {
    this.keys += 1;
    await this.page.keyboard.press(name);
  }
}

const rounds = (page: Page) => page.getByRole("region", { name: "Rounds" });

/** Presses the right arrow key in a toolbar until a button with this name has the focus. */
async function arrowTo(page: Page, name: RegExp): Promise<void> {
  await expect(async () => {
    await page.keyboard.press("ArrowRight");
    await expect(page.locator(":focus")).toHaveAttribute("aria-label", name, { timeout: 50 });
  }).toPass({ intervals: [0] });
}

test("a session of 60 minutes for three levels is planned by hand in at most 18 clicks and 60 keys", async ({
  page,
}) => {
  await signIn(page, HEAD_COACH);
  const press = new Presses(page);
  const place = async (name: string) => {
    await expect(page.locator(".set-field input:focus"), "the focus is in the next field").toHaveValue("");
    await press.type(name);
    await press.key("Enter");
  };
  await press.click(page.getByRole("link", { name: "Sessions", exact: true }));
  const course = page.locator("li.course").filter({ hasText: "Kickboxing, mixed levels" });
  await press.click(course.getByRole("button", { name: "Plan by hand" }));
  await press.click(page.getByRole("button", { name: /^Fill the rest/ }));
  for (const name of ["bot", "che", "cho", "col", "gat", "han", "ins", "kic", "lon"]) {
    await place(name);
  }
  const tenth = rounds(page).getByRole("article").nth(9);
  await press.click(tenth.getByRole("button", { name: "by level" }));
  await press.click(tenth.getByLabel("Type a combination"));
  for (const name of ["pos", "mil", "wal", "sou", "shi"]) {
    await place(name);
  }
  await expect(page.getByRole("region", { name: "Load", exact: true })).toContainText("60:00");
  await expect(page.getByText("This set is empty")).toHaveCount(0);
  await expect(tenth.getByRole("button", { name: /Walk through/ })).toBeVisible();
  await expect(
    page.getByRole("button", { name: "+ round" }).nth(1),
    "the button for the next round has the focus",
  ).toBeFocused();
  expect(press.clicks, `${press.clicks} clicks, ${press.keys} keys`).toBeLessThanOrEqual(18);
  expect(press.keys, `${press.clicks} clicks, ${press.keys} keys`).toBeLessThanOrEqual(60);
});

test("a class is logged as planned on a phone in at most 12 taps", async ({ browser, baseURL }) => {
  const { api, headers } = await signInAt(baseURL ?? "", HEAD_COACH);
  const template = await (await api.get("/api/plans/1")).json();
  const day = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  const name = `Yesterday ${Date.now() % 100_000}`;
  const course = template.course.id;
  const data = { name, course, startsAt: `${day}T06:00`, content: template.content };
  const made = await (await api.post("/api/plans", { headers, data })).json();
  const page = await on(browser, PHONE, COACH);
  let taps = 0;
  const tap = async (what: ReturnType<Page["locator"]>) => {
    taps += 1;
    await what.first().tap();
  };
  await tap(page.getByRole("link", { name: "Logbook" }));
  await tap(page.getByRole("listitem").filter({ hasText: name }).getByRole("link", { name: "Log as planned" }));
  await expect(page.getByText(`As planned in “${name}”`)).toBeVisible();
  await expect(page.getByText("As last time")).toBeVisible();
  await tap(page.getByRole("button", { name: "One orthodox more" }));
  await tap(page.getByRole("button", { name: "7", exact: true }));
  await tap(page.getByRole("button", { name: "Log it" }));
  await expect(page.getByRole("heading", { name })).toBeVisible();
  await expect(page.getByText("minutes of work")).toBeVisible();
  expect(taps).toBeLessThanOrEqual(12);
  const { entries } = await (await api.get("/api/logbook/entries")).json();
  const logged = entries.find((entry: { name: string }) => entry.name === name);
  expect([logged.plan, logged.effort]).toEqual([made.id, 7]);
  expect(logged.orthodox).toBeGreaterThan(1);
  await page.context().close();
});

test("a combination is found, opened, written, saved and found again by keys alone", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await putAway(page, "1 1 6 3 step-back");
  await page.goto("/library");
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();
  await page.keyboard.press("/");
  await page.keyboard.type("kickboxing level 3");
  await expect(page.getByText("is for kickboxing")).toBeVisible();
  await expect(page.getByText(/combinations found/)).toBeVisible();
  await page.keyboard.press("ArrowDown");
  await expect(page.locator("tbody tr").first()).toBeFocused();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("ArrowUp");
  await expect(page.getByLabel("Search the library"), "up from the first row").toBeFocused();
  await page.keyboard.press("Enter");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/combinations\/\d+/);
  await page.keyboard.press("n");
  await expect(entry(page)).toBeFocused();
  const name = `By keys ${Date.now() % 100_000}`;
  await page.keyboard.type("1 1 6 3 step-back");
  await expect(page.getByRole("group", { name: "Combination line: 1 1 6 3 step-back", exact: true })).toBeVisible();
  await page.keyboard.press("Control+s");
  await expect(page.getByLabel("Name", { exact: true })).toBeFocused();
  await page.keyboard.type(name);
  await page.keyboard.press("Control+s");
  await expect(page.getByRole("heading", { name })).toBeFocused();
  await page.goto("/library");
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();
  await page.keyboard.press("/");
  await page.keyboard.type(`"${name}"`);
  await expect(page.getByText("1 combination found")).toBeVisible();
});

test("a tile is opened, changed and undone by keys, and the focus stays where one works", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2 3 2");
  await page.locator('[data-at="0"]').focus();
  await page.keyboard.press("ArrowRight");
  const panel = page.getByRole("region", { name: "Change the selected item" });
  await expect(panel.getByRole("button", { name: /^lead hook: then it/ })).toBeEnabled();
  await page.keyboard.press("Enter");
  await expect(panel.locator(":focus")).toHaveCount(1);
  // Each row of edits is one stop for Tab, with arrow keys inside.
  await page.keyboard.press("Tab");
  await arrowTo(page, /^lead hook: then it/);
  await page.keyboard.press("Enter");
  await expect(entry(page)).toHaveValue("1 3 3 2");
  await expect(panel.locator(":focus"), "after an edit the panel keeps the focus").toHaveCount(1);
  await page.keyboard.press("Control+z");
  await expect(entry(page), "undo works from a button").toHaveValue("1 2 3 2");
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect(page.locator("body:focus")).toHaveCount(0);
  await page.keyboard.press("Control+Shift+z");
  await expect(entry(page)).toHaveValue("1 2 3 2");
});

test("a coach is blocked by keys alone, and dialogs begin at what they ask", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/coaches");
  const row = page.getByRole("row").filter({ hasText: "Liv" });
  await row.getByRole("button", { name: "Active · block" }).focus();
  await page.keyboard.press("Enter");
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("signed out everywhere");
  await expect(dialog.getByRole("button", { name: "Block" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(row.getByRole("button", { name: "Active · block" }), "back where it was opened").toBeFocused();
  await page.goto("/sessions/1");
  await page.getByRole("button", { name: "Generate", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(dialog.getByRole("combobox", { name: "Course" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Generate", exact: true })).toBeFocused();
});

test("ticked combinations are added to a session and shown on a wall by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/library?q=theme+rolls");
  const box = page.getByRole("checkbox", { name: /^Choose (?!all)/ });
  await box.nth(0).focus();
  await page.keyboard.press("Space");
  await box.nth(1).focus();
  await page.keyboard.press("Space");
  await expect(page.getByRole("link", { name: "Compare these two" })).toBeVisible();
  await page.getByRole("button", { name: "Add to a session" }).focus();
  await page.keyboard.press("Enter");
  await expect(
    page
      .getByRole("dialog")
      .getByRole("button", { name: /Beginners, boxing/ })
      .first(),
  ).toBeVisible();
  await page.getByRole("dialog").getByRole("button", { name: "A new session" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("2 combinations were added to this session.")).toBeVisible();
  await expect(rounds(page).getByRole("button", { name: /Barrel roll/ })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(rounds(page).getByRole("button", { name: /Barrel roll/ })).toHaveCount(0);

  await page.goto("/library?q=barrel+roll");
  await page.getByRole("link", { name: "Barrel roll" }).click();
  await page.getByRole("button", { name: "Show on a wall" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog")).toContainText("Barrel roll");
  await page.getByRole("dialog").getByRole("button", { name: "Start" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Barrel roll" })).toBeVisible();
  await page.getByRole("button", { name: "End", exact: true }).click();
  await page.getByRole("dialog").getByRole("button", { name: "End it" }).click();
});

test("a family is walked through by arrow keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/family");
  const tree = page.getByRole("tree").first();
  await expect(tree).toBeVisible();
  const rows = tree.getByRole("treeitem");
  const all = await rows.count();
  await rows.first().focus();
  await page.keyboard.press("ArrowLeft");
  await expect(rows).toHaveCount(1);
  await page.keyboard.press("ArrowRight");
  await expect(rows).toHaveCount(all);
  await page.keyboard.press("ArrowDown");
  await expect(rows.nth(1)).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/combinations\/\d+/);
});

test("the numbering of the gym goes back from the audit log", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/numbering/body-pairs");
  await page.getByRole("button", { name: "Use for the gym" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Use for the gym" }).click();
  await expect(page.getByText(/The gym reads in/).first()).toBeVisible();
  await page.goto("/audit-log?what=numbering");
  await page.getByRole("button", { name: "undo…" }).first().click();
  await page.getByRole("dialog").getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Undone.")).toBeVisible();
  const { ofGym } = await (await page.request.get("/api/numberings")).json();
  expect(ofGym).toBe("parity");
});
