import type { Page } from "@playwright/test";
import { COACH, entry, expect, HEAD_COACH, on, PHONE, signIn, TABLET, test, write } from "./gym";

const bench = (chain: string) => `/bench?${new URLSearchParams({ chain })}`;
const tile = (page: Page, at: number) => page.locator(`.line-full [data-at="${at}"]`);
const selected = (page: Page) => page.getByRole("region", { name: "Change the selected item" });
const pad = (page: Page) => page.getByRole("region", { name: "Touch pad" });

for (const [name, device] of [
  ["phone", PHONE],
  ["tablet", TABLET],
] as const) {
  test(`a combination is written, changed and saved by touch alone on a ${name}`, async ({ browser }) => {
    const page = await on(browser, device);
    await page.goto("/bench");
    await expect(entry(page), "no keyboard covers the pad").not.toBeFocused();
    const key = (of: RegExp) => pad(page).getByRole("button", { name: of });
    for (const number of [/^1\D/, /^2\D/, /^2\D/, /^3\D/]) {
      await key(number).tap();
    }
    await expect(entry(page)).toHaveValue("1 2 2 3");
    await key(/^feint/).tap();
    await expect(entry(page)).toHaveValue("1 2 2 (3)");
    await key(/^delete/).tap();
    await expect(entry(page)).toHaveValue("1 2 2");
    await key(/^hard/).tap();
    await expect(entry(page)).toHaveValue("1 2 2!");
    await key(/^undo/).tap();
    await expect(entry(page)).toHaveValue("1 2 2");
    await expect(page.locator(".entry-verdict")).toContainText("reload");
    await pad(page).scrollIntoViewIfNeeded();
    await expect(entry(page), "the line stays in sight above the pad").toBeInViewport();
    await expect(page.locator(".entry-verdict")).toBeInViewport();

    await tile(page, 2).tap();
    await selected(page)
      .getByRole("button", { name: /^to the body/ })
      .tap();
    await expect(entry(page)).toHaveValue("1 2 2b");
    await selected(page)
      .getByRole("button", { name: /^lead hook/ })
      .tap();
    await expect(entry(page), "it stays aimed as it was").toHaveValue("1 2 3b");
    await selected(page)
      .getByRole("button", { name: /^move earlier/ })
      .tap();
    await expect(entry(page)).toHaveValue("1 3b 2");
    await selected(page)
      .getByRole("button", { name: /^leave out/ })
      .tap();
    await expect(entry(page)).toHaveValue("1 2");
    await selected(page).getByRole("button", { name: "Done" }).tap();
    await expect(selected(page)).toHaveCount(0);

    for (const small of await page.locator(".pad .key, .next .chip, .bench-buttons button").all()) {
      const box = await small.boundingBox();
      expect(box?.height ?? 0, (await small.textContent()) ?? "").toBeGreaterThanOrEqual(44);
    }
    await page.context().close();
  });

  test(`no screen is wider than a ${name}`, async ({ browser }) => {
    const page = await on(browser, device);
    for (const path of [
      "/library",
      bench("1 2 2 3b exit"),
      "/combinations/1",
      "/near-duplicates",
      "/themes",
      "/guide/writing",
    ]) {
      await page.goto(path);
      await expect(page.locator("h1").first()).toBeAttached();
      await page.waitForLoadState("networkidle");
      const [inner, whole] = await page.evaluate(() => [window.innerWidth, document.documentElement.scrollWidth]);
      expect(whole, path).toBeLessThanOrEqual(inner ?? 0);
    }
    await page.context().close();
  });
}

test("by keyboard alone a chain is written, mended, changed, named and saved", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await expect(entry(page), "one types at once").toBeFocused();
  const last = 1 + (Date.now() % 9);
  await page.keyboard.type("jab cross cross");
  await expect(page.getByRole("group", { name: "Combination line: 1 2 2", exact: true })).toBeVisible();
  await expect(page.locator(".mend").first()).toBeVisible();

  let steps = 0;
  do {
    await page.keyboard.press("Tab");
    steps += 1;
  } while (steps < 40 && !(await page.evaluate(() => document.activeElement?.classList.contains("mend"))));
  expect(steps, "Tab to the first mend").toBeLessThanOrEqual(8);

  await entry(page).focus();
  await page.keyboard.press("F8");
  await expect(page.locator(".mend").first()).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(entry(page), "in the words in which it was typed").toHaveValue("jab cross slip rear cross");
  await expect(entry(page)).toBeFocused();
  await page.keyboard.press("Control+z");
  await expect(entry(page)).toHaveValue("jab cross cross");
  await page.keyboard.press("Control+Shift+z");

  await expect(page.getByRole("group", { name: "Combination line: 1 2 slip-rear 2", exact: true })).toBeVisible();
  await tile(page, 0).focus();
  await page.keyboard.press("ArrowRight");
  await expect(tile(page, 1)).toBeFocused();
  await page.keyboard.press("Shift+ArrowDown");
  await expect(entry(page)).toHaveValue("jab cross to the body slip rear cross");
  await expect(page.getByRole("group", { name: "Combination line: 1 2b slip-rear 2", exact: true })).toBeVisible();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(entry(page)).toHaveValue(/^cross to the body,? jab slip rear cross$/);
  await expect(tile(page, 0), "whoever moves it goes along").toBeFocused();
  await expect(page.getByRole("group", { name: "Combination line: 2b 1 slip-rear 2", exact: true })).toBeVisible();
  await page.keyboard.press("Delete");
  await expect(entry(page)).toHaveValue("jab slip rear cross");

  await entry(page).focus();
  await page.keyboard.press("Control+a");
  await page.keyboard.type(`1 slip-rear 2 / *${last} 3`);
  await expect(page.getByRole("group", { name: /slip-rear 2 \/ \*/ })).toBeVisible();
  await page.keyboard.press("Control+s");
  await expect(page.getByLabel("Name", { exact: true })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert"), "Enter never looks like nothing happened").toContainText(
    "Give it a name first.",
  );
  const name = `By keys ${Date.now()}`;
  await page.keyboard.type(name);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name }).first()).toBeFocused();
  await expect(page).toHaveTitle(`${name} · Periplus`);
});

test("a new combination starts empty, and what stood there is one press away", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto("/bench");
  await write(page, "1 2 3b exit");
  await page.getByRole("link", { name: "Library", exact: true }).click();
  await page.getByRole("button", { name: "New combination" }).click();
  await expect(entry(page)).toHaveValue("");
  await page.reload();
  await expect(entry(page), "a reload does not begin anew").toHaveValue("");
  await write(page, "1 1 2");
  await page.reload();
  await expect(entry(page)).toHaveValue("1 1 2");
  await page.getByRole("button", { name: "Clear", exact: true }).click();
  await page.getByRole("button", { name: "Go on with 1 1 2" }).click();
  await expect(entry(page)).toHaveValue("1 1 2");
});

test("a line is played: the mark moves with the clock of the sound, at any tempo, and stops", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto(bench("1 2 3b step-out 14l exit"));
  const place = () =>
    page.evaluate(() => {
      const mark = document.querySelector<SVGGElement>(".line-full .now");
      return mark?.style.visibility === "visible" ? mark.querySelector("g")?.getAttribute("transform") : null;
    });
  await page.getByRole("button", { name: "Play", exact: true }).click();
  await expect.poll(place).not.toBeNull();
  const first = await place();
  await expect.poll(place, { message: "it moves" }).not.toBe(first);
  await page.getByRole("button", { name: "learning", exact: true }).click();
  await expect(page.locator(".play-percent")).toHaveText("63 %");
  await expect(page.getByRole("button", { name: "Stop", exact: true })).toBeVisible();
  await page.keyboard.press("Control+Enter");
  await expect(page.getByRole("button", { name: "Play", exact: true })).toBeVisible();
  await expect(page.locator(".line-full .now")).toHaveCount(0);
});

test("hands alone are checked and saved as boxing, which is shown, and found under boxing", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2 3");
  await expect(page.getByTitle("Automatic: boxing")).toBeVisible();
  await write(page, "1 2 14l");
  await expect(page.getByTitle("Automatic: kickboxing")).toBeVisible();
});

test("without a network the open bench works, and Back returns to the same place", async ({ page, context }) => {
  await signIn(page, COACH);
  await page.getByLabel("Search the library").fill("ends kick");
  await expect(page).toHaveURL(/q=ends\+kick/);
  await page.getByRole("link", { name: "Kick the tide" }).click();
  await expect(page.getByRole("heading", { name: "Kick the tide" })).toBeFocused();
  await expect(page.getByRole("navigation", { name: "Where this is" })).toContainText("Kick the tide");
  await page.goBack();
  await expect(page.getByLabel("Search the library")).toHaveValue("ends kick");
  await expect(page.getByRole("link", { name: "Kick the tide" })).toBeVisible();
  await page.getByRole("link", { name: "Bench", exact: true }).click();
  await write(page, "1 2");
  // Screens are fetched beforehand, one after the other, when nothing else is to be done.
  await page.waitForFunction(() =>
    performance.getEntriesByType("resource").some(({ name }) => /GuideScreen.*\.js/.test(name)),
  );
  await page.waitForLoadState("networkidle");
  await context.setOffline(true);
  await entry(page).fill("1 2 3b exit");
  await expect(page.getByText("Not checked: no connection.")).toBeVisible();
  await page.getByRole("button", { name: "Play", exact: true }).click();
  await expect(
    page.getByRole("button", { name: "Stop", exact: true }),
    "what is drawn can still be played",
  ).toBeVisible();
  await page.getByRole("button", { name: "Guide and keys" }).click();
  await page.getByRole("link", { name: "Mirroring" }).click();
  await expect(page.getByRole("heading", { name: "Mirroring" })).toBeVisible();
  await context.setOffline(false);
  await page.goBack();
  await expect(entry(page)).toHaveValue("1 2 3b exit");
  await expect(page.getByRole("group", { name: "Combination line: 1 2 3b exit", exact: true })).toBeVisible();
});

test("several combinations are tagged, archived and restored at once, and a click outside a menu only closes it", async ({
  page,
}) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/library?q=theme+rolls");
  const boxes = page.getByRole("checkbox", { name: /^Choose (?!all)/ });
  await expect(boxes.first()).toBeVisible();
  const many = await boxes.count();
  await page.getByRole("checkbox", { name: "Choose all on this page" }).check();
  const theme = `tag ${Date.now() % 100000}`;
  await page.getByRole("button", { name: "Tag…" }).click();
  await page.getByLabel("Theme for all of them").fill(theme);
  await page.getByRole("button", { name: "Tag", exact: true }).click();
  await expect(page.getByText(`${many} combinations tagged.`)).toBeVisible();
  await page.goto(`/library?q=${encodeURIComponent(`theme ${theme}`)}`);
  await expect(page.getByText(`${many} combinations found`)).toBeVisible();
  await page.getByRole("checkbox", { name: "Choose all on this page" }).check();
  await page.getByRole("button", { name: "Archive", exact: true }).click();
  await expect(page.getByText("Nothing fits all of these")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(`${many} combinations found`)).toBeVisible();

  await page.goto("/themes");
  await page.getByRole("row", { name: theme }).getByRole("button", { name: "Rename" }).click();
  await page.getByLabel(`New name of ${theme}`).fill("rolls");
  await page.getByRole("button", { name: "Merge with “rolls”" }).click();
  await expect(page.getByRole("link", { name: theme, exact: true })).toHaveCount(0);

  await page.goto("/library");
  await page.getByText("Export ▾").click();
  await page.mouse.click(200, 500);
  await expect(page.getByRole("link", { name: "Wall sheet (PDF)" })).toBeHidden();
  await expect(page).toHaveURL(/\/library$/);
  await page.getByRole("button", { name: "Level", exact: true }).click();
  await expect(page.getByRole("columnheader", { name: "Level" })).toHaveAttribute("aria-sort", "ascending");
  await expect(page).toHaveURL(/sort=level/);
});

test("generated chains are kept several at once, and those that are kept are marked", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto(`/generate?rules=boxing&length=5&seed=${1 + (Date.now() % 90_000)}`);
  const rows = page.locator(".generation-row");
  await expect(rows.first()).toBeVisible();
  await rows.nth(0).getByRole("checkbox").check();
  await rows.nth(1).getByRole("checkbox").check();
  await page.getByRole("button", { name: "Save them, named by their numbers" }).click();
  await expect(page.getByRole("link", { name: "✓ in the library" })).toHaveCount(2);
  await page.goto("/generate?rules=boxing&length=8&level=1");
  await expect(page.getByText(/^The nearest results, with \d strikes/)).toBeVisible();
});

test("a coach lands on what was sent back, with its remark in the list and on the bench", async ({ page, browser }) => {
  await signIn(page, COACH);
  const { csrfToken } = await (await page.request.get("/api/session")).json();
  const headers = { "X-CSRF-Token": csrfToken };
  const name = `Sent back ${Date.now()}`;
  const text = `1 ${"2 1 ".repeat(1 + (Date.now() % 5))}/ *${1 + (Math.floor(Date.now() / 7) % 11)} 4 exit`;
  const made = await page.request.post("/api/proposals", { headers, data: { kind: "new", content: { name, text } } });
  const { id } = await made.json();
  const head = await on(browser, {});
  await head.goto(`/review/${id}`);
  await head.getByLabel("Remark").fill("End on the lead hand.");
  await head.getByRole("button", { name: "Send back" }).click();
  // The next proposal that waits is shown, if there is one.
  await expect(head.getByText(/^Sent back (to|by)/).first()).toBeVisible();
  await head.context().close();

  await page.goto("/review");
  await expect(page.getByText("End on the lead hand.").first()).toBeVisible();
  await page.getByText(name).click();
  await page.getByRole("button", { name: "Revise on the bench" }).click();
  await expect(page.getByRole("note").filter({ hasText: "End on the lead hand." })).toBeVisible();
});
