import { entry, expect, HEAD_COACH, OTHER_COACH, putAway, signIn, signOut, test, write } from "./gym";

test("a typed chain is checked, mended, saved, found by another coach and mirrored", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await putAway(page, "1 2 3b slip-rear 2 exit");
  await page.getByRole("link", { name: "Bench" }).click();

  // A chain with a reload, and the reason for it.
  await write(page, "1-2-3b slip left 2", "1 2 3b slip-lead 2");
  const findings = page.getByRole("region", { name: "What the check says" });
  await expect(findings).toContainText("reload");
  await expect(findings).toContainText("slip-lead → 2: reload, +161 ms");
  await expect(findings).toContainText(
    "The hips are still through and the weight is still over the front foot from the slip lead",
  );
  const line = page.getByRole("group", { name: "Combination line: 1 2 3b slip-lead 2" });
  await expect(line.getByText("▲ +161")).toBeVisible();
  await expect(page.locator(".stance-column", { hasText: "southpaw" })).toContainText("right hook to the spleen side");

  // The mend: the slip goes to the other side, by the pad, in place of the slip that was selected.
  await entry(page).fill("1 2 3b ");
  await page.getByText("Defence", { exact: true }).click();
  await page.getByRole("button", { name: "slip rear" }).click();
  await page.getByRole("region", { name: "Touch pad" }).getByText("Hands", { exact: true }).click();
  await page.getByRole("button", { name: "2 cross" }).click();
  await page.getByText("Footwork", { exact: true }).click();
  await page.getByRole("button", { name: "exit", exact: true }).click();
  await expect(entry(page)).toHaveValue("1 2 3b slip-rear 2 exit");
  await expect(findings).toContainText("Every link flows");

  // Undo and redo go step by step.
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(entry(page)).toHaveValue("1 2 3b slip-rear 2");
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(entry(page)).toHaveValue("1 2 3b slip-rear 2 exit");

  await page.getByRole("button", { name: "Save" }).click();
  const name = `Tide mill ${Date.now()}`;
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Note").fill("The slip goes to the side that is wanted next.");
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
  await signOut(page);

  await signIn(page, OTHER_COACH);
  await page.keyboard.press("/");
  await page.keyboard.type(name);
  await expect(page.getByText("1 combination found")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("row", { name: new RegExp(name) }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name })).toBeVisible();
  await expect(page.getByText(`by ${HEAD_COACH.name}`)).toBeVisible();

  // Its mirror: the feet turn, the liver is lost, the carry is offered.
  await page.locator(".combination-stance").getByText("southpaw", { exact: true }).first().click();
  await expect(page.getByText("mirrored", { exact: true })).toBeVisible();
  await expect(page).toHaveURL(/stance=southpaw/);
  const other = page.getByRole("region", { name: "In the other stance" });
  await expect(other).toContainText("so the liver is lost. The same hand instead: rear hook to the body.");
  await other.getByRole("button", { name: "Apply" }).click();
  await expect(entry(page)).toHaveValue("2 1 4b slip-lead 1 exit");
  await expect(page.locator(".stance-shown")).toContainText("left hook to the liver");
});

test("numbers, words and drawing agree in both stances", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  for (const chain of ["1 2 step-out 14l exit", "1 2 shift 1 2 exit", "1 (3) 6 3 step-back", "2 +13l exit"]) {
    await page.goto(`/bench?${new URLSearchParams({ chain, rules: "all-limbs" })}`);
    const line = page.getByRole("group", { name: `Combination line: ${chain}`, exact: true });
    await expect(line).toBeVisible();
    const items = chain.split(" ");
    await expect(line.getByRole("button")).toHaveCount(items.length);
    const stances = page.locator(".stance-column");
    const left = await stances.nth(0).locator(".word").allInnerTexts();
    const right = await stances.nth(1).locator(".word").allInnerTexts();
    expect(left).toHaveLength(items.length);
    const swapped = (text: string) =>
      text
        .replace(/\b(left|right)\b/g, (side) => (side === "left" ? "right" : "left"))
        .replace(/ (to the|inside|outside|away|toward).*/, "");
    expect(right.map((text) => text.replace(/ (to the|inside|outside|away|toward).*/, ""))).toEqual(left.map(swapped));
    const tiles = await line
      .getByRole("button")
      .evaluateAll((nodes) => nodes.map((node) => node.getAttribute("aria-label") ?? ""));
    const roleWords = ((await page.locator("#entry-help").textContent()) ?? "").split(", ");
    tiles.forEach((label, at) => {
      expect(label.toLowerCase()).toContain((roleWords[at] ?? "?").toLowerCase());
    });
  }
});

test("a tile, a word and the entry line select the same thing", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto(`/bench?${new URLSearchParams({ chain: "1 2 3b slip left 2" })}`);
  const tile = page.locator('[data-at="2"]');
  await tile.click();
  await expect(tile).toHaveAttribute("aria-pressed", "true");
  await expect(page.locator(".stance-column").first().locator(".word-on")).toContainText("left hook");
  expect(
    await entry(page).evaluate((area: HTMLTextAreaElement) => area.value.slice(area.selectionStart, area.selectionEnd)),
  ).toBe("3b");
  await expect(page.locator(".sentence")).toContainText("Lead hook to the body, lands at 0.87 s.");
  await tile.press("ArrowRight");
  await expect(page.locator('[data-at="3"]')).toBeFocused();
  // The other way round: the cursor in the entry line, and a word of a stance.
  await entry(page).focus();
  await entry(page).press("Home");
  await expect(page.locator('[data-at="0"]')).toHaveAttribute("aria-pressed", "true");
  await page.locator(".stance-column").nth(1).getByRole("button", { name: "left cross" }).last().click();
  await expect(page.locator('[data-at="4"]')).toHaveAttribute("aria-pressed", "true");
  // By keys a wait is told with the strike that waits, and by the pointer where it stands.
  await expect(page.locator(".sentence")).toContainText("Reload of 161 ms.");
  await page.locator(".wait").hover();
  await expect(page.locator(".sentence")).toContainText("Slip lead to cross: reload, 161 ms.");
});

test("what cannot be read says where, offers what would do, and loses nothing", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2");
  await entry(page).fill("1 2 crss");
  await expect(page.locator("#entry-help")).toContainText('"crss" is not a strike or a move.');
  await expect(page.locator(".mark-problem")).toHaveText("crss");
  await expect(page.getByRole("group", { name: "Combination line: 1 2", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "cross", exact: true }).click();
  await expect(entry(page)).toHaveValue("1 2 cross");

  for (const hostile of ["1 2 3 ".repeat(1700), "[".repeat(380), "x999999", "джеб 拳"]) {
    await entry(page).fill(hostile);
    await expect(page.locator(".entry-problem")).toBeVisible();
    await expect(entry(page)).toHaveValue(hostile);
  }
  // What no key types is read as a blank, and stays where it was pasted.
  await entry(page).fill("1 \u0007 2");
  await expect(page.locator(".entry-problem")).toHaveCount(0);
  await expect(entry(page)).toHaveValue("1 \u0007 2");
  await entry(page).fill("1 2 unfinishd");
  await expect(page.locator(".entry-problem")).toBeVisible();
  await page.reload();
  await expect(entry(page)).toHaveValue("1 2 unfinishd");
});

test("a change of numbering writes the chain over", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2 3b 14l");
  await page.getByLabel("Numbering").click();
  await page.getByTitle("Body pairs numbers").click();
  await expect(entry(page)).toHaveValue("1 2 7 K4l");
  await expect(page.getByRole("button", { name: "7 hook body" })).toBeVisible();
});

test("two head coaches change the same combination and nothing is overwritten unseen", async ({ page, browser }) => {
  await signIn(page, HEAD_COACH);
  const own = "1 2 / *4 1 1 exit";
  for (const chain of [own, `${own} 1 exit`, `${own} 2 exit`]) {
    await putAway(page, chain);
  }
  await page.goto("/bench");
  await write(page, own);
  await page.keyboard.press("Control+s");
  const name = `Two hands ${Date.now()}`;
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
  const address = page.url();
  await page.getByRole("button", { name: "Open on the bench" }).click();
  await expect(entry(page)).toHaveValue(own);

  const second = await browser.newPage();
  await signIn(second, HEAD_COACH);
  await second.goto(address);
  await second.getByRole("button", { name: "Open on the bench" }).click();
  await write(second, `${own} 1 exit`);
  await second.getByRole("button", { name: "Save" }).click();
  await second.getByRole("button", { name: "Save the change" }).click();
  await expect(second.getByRole("heading", { name })).toBeVisible();
  await second.close();

  // A reload brings back what stood here, made from the version that it was made from.
  await page.reload();
  await expect(entry(page)).toHaveValue(own);
  await write(page, `${own} 2 exit`);
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByRole("button", { name: "Save the change" }).click();
  const dialog = page.getByRole("dialog", { name: "Someone else changed this" });
  await expect(dialog).toContainText(`${HEAD_COACH.name} changed this combination meanwhile (chain).`);
  await dialog.getByRole("button", { name: "Save mine as the newest" }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
  const history = page.getByRole("region", { name: "History" });
  await expect(history.getByText(`${HEAD_COACH.name} changed`)).toHaveCount(2);
});
