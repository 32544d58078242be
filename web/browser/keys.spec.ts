import type { Locator, Page } from "@playwright/test";
import { COACH, entry, expect, HEAD_COACH, on, putAway, signIn, test, write } from "./gym";
import { signInAt } from "./other-gym";

/** Tabs that may lie between where one works and what one presses next; the head of a long page has about thirty. */
const MOST_TABS = 60;

/** A coach without a mouse: nothing is clicked, and only keys move the focus. */
class Keyboard {
  constructor(private readonly page: Page) {}

  /** Presses Tab until this has the focus; in a toolbar, which is one stop, the arrow keys go on. */
  async to(target: Locator, tab: "Tab" | "Shift+Tab" = "Tab"): Promise<void> {
    const what = target.first();
    // Ant Design lays its own drawing over the radio buttons of the browser.
    await expect(what).toBeAttached();
    await expect(what).toBeEnabled();
    for (let tabs = 0; tabs <= MOST_TABS; ) {
      const at = await what.evaluate((element) => {
        const now = document.activeElement;
        const toolbar = element.closest("[role=toolbar]");
        return element === now ? "there" : toolbar?.contains(now) ? "in its toolbar" : "elsewhere";
      });
      if (at === "there") {
        return;
      }
      await this.page.keyboard.press(at === "elsewhere" ? tab : "ArrowRight");
      tabs += at === "elsewhere" ? 1 : 0;
    }
    expect(false, `${target} is reached within ${MOST_TABS} Tabs`).toBe(true);
  }

  async press(target: Locator, tab?: "Shift+Tab"): Promise<void> {
    await this.to(target, tab);
    await this.page.keyboard.press("Enter");
  }

  /** Writes into a field, over what stands in it. */
  async fill(target: Locator, text: string): Promise<void> {
    await this.to(target);
    await this.page.keyboard.press("Control+a");
    await this.page.keyboard.type(text);
  }

  /** Chooses one of a group of which one is chosen, by the arrow keys. */
  async choose(group: Locator, name: string): Promise<void> {
    const wanted = group.getByRole("radio", { name, exact: true });
    const focused = group.locator(":focus");
    await this.to(group.getByRole("radio", { checked: true }));
    const count = await group.getByRole("radio").count();
    for (let press = 1; press < count && !(await wanted.isChecked()); press += 1) {
      await this.page.keyboard.press("ArrowRight");
      await expect(focused, "the arrow key chooses the next one").toBeChecked();
    }
    await expect(wanted).toBeChecked();
  }

  /** Chooses from a list that opens, by typing its name where it can be searched and by the arrow keys elsewhere. */
  async pick(list: Locator, name: string): Promise<void> {
    await this.to(list);
    await this.page.keyboard.press("ArrowDown");
    const marked = this.page.locator(".ant-select-item-option-active", { hasText: name });
    await expect(this.page.locator(".ant-select-item-option-active").first()).toBeVisible();
    for (let press = 0; press < 30 && (await marked.count()) === 0; press += 1) {
      await this.page.keyboard.press("ArrowDown");
    }
    await expect(marked).toBeVisible();
    await this.page.keyboard.press("Enter");
  }
}

const button = (within: Page | Locator, name: string | RegExp) =>
  within.getByRole("button", { name, exact: typeof name === "string" });
const dialogOf = (page: Page) => page.getByRole("dialog");
const unique = () => Date.now() % 1_000_000;

const rounds = (page: Page) => page.getByRole("region", { name: "Rounds" });

/** Presses the right arrow key in a toolbar until a button with this name has the focus. */
async function arrowTo(page: Page, name: RegExp): Promise<void> {
  await expect(async () => {
    await page.keyboard.press("ArrowRight");
    await expect(page.locator(":focus")).toHaveAttribute("aria-label", name, { timeout: 50 });
  }).toPass({ intervals: [0] });
}

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
  // The tiles are one stop as well, at the one that was written last.
  await new Keyboard(page).to(page.locator('.line-full [data-at="3"]'));
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowLeft");
  await expect(page.locator('.line-full [data-at="1"]')).toBeFocused();
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

test("a coach is blocked by keys, and dialogs begin at what they ask", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/coaches");
  const keys = new Keyboard(page);
  const block = button(page.getByRole("row").filter({ hasText: "Liv" }), "Active · block");
  await keys.press(block);
  await expect(dialogOf(page)).toContainText("signed out everywhere");
  await expect(button(dialogOf(page), "Block")).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(block, "back where it was opened").toBeFocused();
  await page.goto("/sessions/1");
  await keys.press(button(page, "Generate"));
  await expect(dialogOf(page).getByRole("combobox", { name: "Course" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(button(page, "Generate")).toBeFocused();
});

test("ticked combinations are added to a session and shown on a wall by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/library?q=theme+rolls");
  const keys = new Keyboard(page);
  const box = page.getByRole("checkbox", { name: /^Choose (?!all)/ });
  for (const one of [box.nth(0), box.nth(1)]) {
    await keys.to(one);
    await page.keyboard.press("Space");
  }
  await expect(page.getByRole("link", { name: "Compare these two" })).toBeVisible();
  await keys.press(button(page, "Add to a session"));
  await expect(button(dialogOf(page), /Beginners, boxing/).first()).toBeVisible();
  await keys.press(button(dialogOf(page), "A new session"));
  await expect(page.getByText("2 combinations were added to this session.")).toBeVisible();
  await expect(rounds(page).getByRole("button", { name: /Barrel roll/ })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(rounds(page).getByRole("button", { name: /Barrel roll/ })).toHaveCount(0);

  await page.goto("/library?q=barrel+roll");
  await expect(page.getByText("1 combination found")).toBeVisible();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await keys.press(button(page, "Show on a wall"));
  await expect(dialogOf(page)).toContainText("Barrel roll");
  await keys.press(button(dialogOf(page), "Start"));
  await expect(page.getByRole("heading", { name: "Barrel roll" })).toBeVisible();
  await keys.press(button(page, "End"));
  await keys.press(button(dialogOf(page), "End it"));
});

test("a family is walked through by arrow keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/family");
  const tree = page.getByRole("tree").first();
  await expect(tree).toBeVisible();
  const rows = tree.getByRole("treeitem");
  const all = await rows.count();
  await new Keyboard(page).to(rows.first());
  await page.keyboard.press("ArrowLeft");
  await expect(rows).toHaveCount(1);
  await page.keyboard.press("ArrowRight");
  await expect(rows).toHaveCount(all);
  await page.keyboard.press("ArrowDown");
  await expect(rows.nth(1)).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/combinations\/\d+/);
});

test("a combination is mirrored, compared and kept for a southpaw with the same limbs, by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await putAway(page, "2 1 4b exit");
  const keys = new Keyboard(page);
  await page.goto("/library");
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();
  await page.keyboard.press("/");
  await page.keyboard.type("cellar window");
  await page.keyboard.press("ArrowDown");
  await expect(page.locator("tbody tr").first(), "also when the answer comes after the key").toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Cellar window", level: 1 })).toBeVisible();
  await keys.choose(page.getByRole("radiogroup", { name: "Show it for" }), "southpaw");
  await expect(page.getByText("right hook to the spleen side")).toBeVisible();
  const other = page.getByRole("region", { name: "In the other stance" });
  await keys.press(other.getByRole("link", { name: "compare" }));
  await expect(page).toHaveURL(/\/compare/);
  await page.goBack();
  await keys.press(button(other, "Same hand instead"));
  await expect(entry(page)).toHaveValue("2 1 4b exit");
  await page.keyboard.press("Control+s");
  await expect(page.getByLabel("Name", { exact: true })).toBeFocused();
  const name = `Same limbs ${unique()}`;
  // Over the name that the drawer proposes.
  await page.keyboard.type(name);
  await page.keyboard.press("Control+s");
  await expect(page.getByRole("heading", { name, exact: true })).toBeFocused();
  await expect(page.getByText(/written for southpaw/)).toBeVisible();
});

test("lines are imported, one is corrected in its row, and the import is undone, by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const keys = new Keyboard(page);
  await page.goto("/exchange");
  const name = `Typed ${unique()}`;
  const chain = `1 2 / *${2 + (unique() % 9)} ${"3 ".repeat(3 + (unique() % 20))}exit`;
  await keys.fill(page.getByLabel("Text to import"), `${chain} # ${name}\n1 zork ${chain} # ${name}, longer`);
  await keys.press(button(page, "Preview"));
  await expect(page.getByText('"zork" is not a strike or a move.')).toBeVisible();
  await keys.press(button(page.getByRole("row").filter({ hasText: "zork" }), /^Edit/));
  await expect(page.locator(":focus"), "the row's field has the focus").toHaveValue(/zork/);
  await page.keyboard.press("Control+a");
  await page.keyboard.type(`1 ${chain}`);
  await page.keyboard.press("Enter");
  await keys.press(button(page, "Import 2 combinations"));
  await expect(page.getByText("Done: 2 new, 0 changed.")).toBeVisible();
  await keys.press(button(page, /^Undo/));
  await expect(page.getByText(/import is undone/i)).toBeVisible();
});

test("a combination is proposed, sent back, revised and approved by keys", async ({ page, browser }) => {
  const name = `Offered by keys ${unique()}`;
  const chain = `1 1 / *${2 + (unique() % 9)} ${"2 3 ".repeat(2 + (unique() % 12))}exit`;
  await signIn(page, COACH);
  const keys = new Keyboard(page);
  await page.keyboard.press("n");
  await expect(entry(page)).toBeFocused();
  await page.keyboard.type(chain);
  await expect(page.getByRole("group", { name: `Combination line: ${chain}`, exact: true })).toBeVisible();
  await page.keyboard.press("Control+s");
  await expect(page.getByLabel("Name", { exact: true })).toBeFocused();
  await page.keyboard.type(name);
  await page.keyboard.press("Control+s");
  await expect(page.getByText("waits for the head coach")).toBeVisible();
  const address = page.url();

  const head = await on(browser, {}, HEAD_COACH);
  const decide = new Keyboard(head);
  await head.goto("/review");
  await decide.press(head.getByRole("link", { name: new RegExp(name) }));
  await decide.fill(head.getByLabel("Remark"), "End on the rear hand.");
  await decide.press(button(head, "Send back"));
  await expect(head.getByText("Sent back to Tomas Okafor.")).toBeVisible();

  await page.goto("/review?list=returned");
  await keys.press(page.getByRole("link", { name: new RegExp(name) }));
  await keys.press(button(page, "Revise on the bench"));
  await expect(entry(page)).toHaveValue(chain);
  await keys.fill(entry(page), chain.replace("exit", "2 exit"));
  await expect(page.getByRole("group", { name: /2 exit$/ })).toBeVisible();
  await page.keyboard.press("Control+s");
  await expect(button(page, "Send the revision")).toBeVisible();
  await page.keyboard.press("Control+s");
  await expect(page.getByText("· waits for the head coach")).toBeVisible();

  await head.goto(address);
  await decide.press(button(head, "Approve"));
  await expect(head.getByText(`“${name}” is approved.`)).toBeVisible();
  await expect(head.locator("body:focus"), "the focus stays on the page").toHaveCount(0);
});

test("a session runs, is led and is ended by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const keys = new Keyboard(page);
  await page.goto("/sessions/1");
  await keys.press(button(page, "Run"));
  await keys.fill(page.getByLabel("Starts in (s)"), "0");
  await keys.press(button(dialogOf(page), "Start"));
  await expect(page).toHaveURL(/\/run\/\d+$/);
  await keys.press(button(page, /^Jump to 8:00/));
  await keys.press(button(page, "Pause"));
  await expect(button(page, "Resume")).toBeVisible();
  await keys.press(button(page, "+ 1 minute"));
  await keys.press(button(page, "Swap …"));
  await keys.fill(page.getByLabel(/^In place of/), "1 2 3 2");
  await keys.press(button(page, "Use the text"));
  await expect(page.getByText("1 2 3 2").first()).toBeVisible();
  await keys.press(button(page, "End"));
  await keys.press(button(dialogOf(page), "End it"));
  await expect(page.getByText(/cues were shown/)).toBeVisible();
});

test("a class is logged by keys, and what it drilled is in the report", async ({ page, baseURL }) => {
  await signIn(page, COACH);
  const keys = new Keyboard(page);
  await page.goto("/logbook/new");
  await keys.pick(page.getByRole("combobox", { name: "Course" }), "Beginners, boxing");
  await keys.fill(page.getByRole("textbox", { name: "southpaw" }), "2");
  await keys.press(page.getByRole("toolbar", { name: "Effort, 0 to 10" }).getByRole("button", { name: "0" }));
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Enter");
  const note = `By keys ${unique()}`;
  await keys.fill(page.getByLabel("Note", { exact: true }), note);
  await keys.to(page.getByRole("combobox", { name: "Add a combination" }));
  await page.keyboard.type("Two doors");
  await expect(page.getByTitle(/^Two doors/)).toBeVisible();
  await page.keyboard.press("Enter");
  await keys.fill(page.getByLabel("Minutes of Two doors"), "9");
  await keys.press(button(page, "Log it"));
  await expect(page.getByText(note).first()).toBeVisible();
  const { api } = await signInAt(baseURL ?? "", HEAD_COACH);
  const { entries } = await (await api.get("/api/logbook/entries")).json();
  const logged = entries.find((one: { note: string }) => one.note === note);
  expect([logged.combinations, logged.workMs, logged.southpaw, logged.effort]).toEqual([["Two doors"], 540_000, 2, 1]);

  await page.goto("/reports/due");
  await keys.pick(page.getByRole("combobox", { name: "Course" }), "Beginners, boxing");
  await keys.press(button(page, "Plan a session from it"));
  await expect(page).toHaveURL(/\/sessions\/\d+/);
  await page.goto("/reports/path");
  await keys.to(page.getByRole("combobox", { name: "Goal" }));
  await page.keyboard.type("Walk through");
  await expect(page.getByTitle(/^Walk through/)).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/to=\d+/);
});

test("a combination is measured by the space bar and saved by keys", async ({ page }) => {
  await signIn(page, COACH);
  const keys = new Keyboard(page);
  await page.goto("/combinations/3/measure");
  await expect(button(page, "Tap once for each strike")).toBeVisible();
  for (let tap = 0; tap < 6; tap += 1) {
    await page.keyboard.press(" ");
    await page.waitForTimeout(tap % 3 === 2 ? 1800 : 320);
  }
  await expect(page.getByText(/^6 taps: 2 repetitions/)).toBeVisible();
  await keys.press(button(page, "Save"));
  await expect(page.getByText("Saved, without a name.")).toBeVisible();
});

test("the numbering of the gym is changed and set back by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const keys = new Keyboard(page);
  await page.goto("/numbering/body-pairs");
  await keys.press(button(page, "Use for the gym"));
  await keys.press(button(dialogOf(page), "Use for the gym"));
  await expect(page.getByText(/The gym reads in/).first()).toBeVisible();
  await page.goto("/audit-log?what=numbering");
  await keys.press(button(page, "undo…"));
  await keys.press(button(dialogOf(page), "Undo"));
  await expect(page.getByText("Undone.")).toBeVisible();
  const { ofGym } = await (await page.request.get("/api/numberings")).json();
  expect(ofGym).toBe("parity");
});

test("a house rule is changed, looked at, saved and set back by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const keys = new Keyboard(page);
  const effect = page.getByRole("region", { name: "Effect on the library" });
  /** Once for the preview, once more for the question, which begins at its answer. */
  const save = async () => {
    await page.keyboard.press("Control+s");
    await expect(button(effect, "Save for the gym")).toBeEnabled();
    await page.keyboard.press("Control+s");
    await expect(button(dialogOf(page), "Save for the gym")).toBeFocused();
    await page.keyboard.press("Enter");
  };
  await page.goto("/house-rules?set=kickboxing");
  await keys.choose(page.getByRole("radiogroup", { name: "A jab" }), "is thrown in place");
  await save();
  await expect(page.getByText("changed by this gym")).toBeVisible();
  await expect(page.getByRole("region", { name: "Schools" }), "the focus stays where one worked").toBeFocused();
  await keys.press(button(page, "Reset to the built-in rules"), "Shift+Tab");
  await save();
  await expect(page.getByText("built-in", { exact: true })).toBeVisible();
});

test("a card is made and revoked by keys", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const keys = new Keyboard(page);
  const name = `Card by keys ${unique()}`;
  await page.goto("/library?q=lantern");
  await keys.to(page.getByLabel("Choose Lantern", { exact: true }));
  await page.keyboard.press(" ");
  await keys.press(button(page, "Card for athletes"));
  await keys.fill(page.getByLabel("Name", { exact: true }), name);
  await keys.choose(page.getByRole("radiogroup", { name: "Stance" }), "southpaw");
  await keys.press(button(page, "Make it"));
  const card = page.locator(".card-row", { hasText: name });
  await keys.press(button(card, "Revoke"));
  await keys.press(button(dialogOf(page), "Revoke it"));
  await expect(page.getByText("Revoked. The link no longer works.")).toBeVisible();
});
