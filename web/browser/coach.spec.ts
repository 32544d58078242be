import { COACH, entry, expect, HEAD_COACH, signIn, test, write } from "./gym";

const bench = (chain: string, rules = "kickboxing") => `/bench?${new URLSearchParams({ chain, rules })}`;

test("a mend is compared, made with one press, and undone", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto(bench("1 2 2 exit"));
  const mends = page.getByRole("list", { name: "Mends of the chain" });
  await expect(mends.getByRole("button", { name: /^slip rear before the second cross/ })).toContainText("→");
  await mends.getByRole("button", { name: "Compare: slip rear before the second cross" }).click();
  const dialog = page.getByRole("dialog", { name: "slip rear before the second cross" });
  await expect(dialog.getByRole("img", { name: /Mended: 1 2 slip-rear 2 exit/ })).toBeVisible();
  await expect(dialog).toContainText("0.14 s less waiting");
  await dialog.getByRole("button", { name: "Apply" }).click();
  await expect(entry(page)).toHaveValue("1 2 slip-rear 2 exit");
  await expect(page.getByText("Every link flows")).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(entry(page)).toHaveValue("1 2 2 exit");
  await mends.getByRole("button", { name: "3 other ways" }).click();
  await mends.getByRole("button", { name: /^lead hook instead of the second cross/ }).click();
  await expect(entry(page)).toHaveValue("1 2 3 exit");
});

test("what flows from here follows the cursor, says its cause and is written in", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto(bench("1 2", "boxing"));
  const strip = page.getByRole("region", { name: "What can follow" });
  await expect(strip.getByRole("button", { name: "lead hook, no wait" })).toHaveCount(0);
  await expect(strip.getByRole("button", { name: "cross, 210 ms wait" })).toBeVisible();
  await strip.getByRole("button", { name: "cross, 210 ms wait" }).hover();
  await expect(strip).toContainText("The hips are still through");
  await strip.getByRole("button", { name: "lead uppercut, 70 ms wait" }).click();
  await expect(entry(page)).toHaveValue("1 2 5");
  await page.mouse.move(5, 5);
  await page.getByRole("button", { name: "left jab", exact: true }).click();
  await expect(strip).toContainText("What fits after the cursor");
  await strip.getByText("Moves").click();
  await strip.getByRole("button", { name: "slip lead, no wait" }).click();
  await expect(entry(page)).toHaveValue("1 slip-lead 2 5");
});

test("build, group and medium change what the check says", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto(bench("1 6 14h exit"));
  await expect(page.getByText(/margin, tightest on the/)).toBeVisible();
  await page.getByLabel("For which group").click();
  await page.getByTitle("youth", { exact: true }).click();
  await expect(page.getByText(/from the right, is not for youth, unless the governing body/)).toBeVisible();
  await page.getByLabel("What it is thrown at").click();
  await page.getByTitle("hanging bag", { exact: true }).click();
  await expect(page.getByText(/can roll the right wrist/)).toBeVisible();
  await expect(page).toHaveURL(/medium=bag&group=youth/);
  await page.reload();
  await expect(page.getByText(/can roll the right wrist/)).toBeVisible();
});

test("the mirror and the carry are shown next to the chain, each with its left and right", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto(bench("1 2 3b exit", "boxing"));
  await page
    .getByRole("region", { name: "In the other stance" })
    .getByRole("link", { name: "compare" })
    .first()
    .click();
  await expect(page.getByText(/left jab · right cross · left hook to the liver/)).toBeVisible();
  await expect(page.getByText(/right jab · left cross · right hook to the spleen side/)).toBeVisible();
  await expect(page.getByText("As long as before; as much waiting.")).toBeVisible();
});

test("chains are made from criteria, come back by their address, and go to the bench or are proposed", async ({
  page,
}) => {
  await signIn(page, COACH);
  await page.goto("/bench");
  await write(page, "1 1 2 exit");
  await page.goto("/generate?rules=kickboxing&weapons=hand,leg&theme=kicks-off-hands&seed=3");
  const chains = page.getByRole("region", { name: "Generated chains" }).getByRole("listitem");
  await expect(chains).toHaveCount(8);
  const texts = () => chains.getByRole("link").allTextContents();
  const shown = await texts();
  await page.getByRole("button", { name: "Others" }).click();
  // The most usual one may come again.
  await expect.poll(texts).not.toEqual(shown);
  await page.goBack();
  await page.goto("/generate?rules=kickboxing&weapons=hand,leg&theme=kicks-off-hands&seed=3");
  await expect.poll(texts).toEqual(shown);
  await page.goto("/generate?rules=boxing&weapons=elbow");
  await expect(page.getByText("Nothing fits all of this")).toBeVisible();
  await expect(page.getByText("The nearest results, with any weapon")).toBeVisible();
  await page.getByRole("button", { name: "Ask for these" }).click();
  await expect(chains).toHaveCount(8);
  await chains.first().getByRole("button", { name: "Bench" }).click();
  await expect(page.getByText("Every link flows")).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(entry(page), "What was on the bench before is not lost.").toHaveValue("1 1 2 exit");

  await page.goto("/generate?rules=boxing");
  const made = (await chains.nth(1).getByRole("link").textContent()) ?? "";
  await chains.nth(1).getByRole("button", { name: "Propose" }).click();
  await page.locator(".save-form").getByLabel("Name").fill(`Made ${Date.now()}`);
  await page.locator(".save-foot").getByRole("button", { name: "Propose", exact: true }).click();
  await expect(page).toHaveURL(/\/review\/\d+$/);
  await expect(page.locator(".numbers", { hasText: made }).first()).toBeVisible();
});

test("a change of the house rules is seen before it is saved, and does just that", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/house-rules?set=kickboxing");
  await page.getByRole("button", { name: "Kick with nothing before it" }).click();
  await expect(
    page.getByRole("img", { name: /^rear round kick to the leg, cross, lead hook to the body$/ }),
  ).toBeVisible();
  await page.getByText("over the front foot").click();
  await page.getByRole("button", { name: "Preview" }).click();
  const effect = page.getByRole("region", { name: "Effect on the library" });
  await page.reload();
  await expect(page.getByRole("button", { name: "Undo the changes" })).toBeVisible();
  await page.getByRole("button", { name: "Preview" }).click();
  await expect(effect).toContainText("2 of the 23 combinations under these rules change their verdict.");
  await expect(effect.getByRole("link", { name: "Lighthouse", exact: true })).toBeVisible();
  await effect.getByRole("button", { name: "Save for the gym" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Save for the gym" }).click();
  await expect(page.getByText("changed by this gym")).toBeVisible();
  await page.goto("/library?q=lighthouse&verdict=flows");
  await expect(page.getByText("2 combinations found")).toBeVisible();
  await page.goto("/house-rules?set=kickboxing");
  await page.getByRole("button", { name: "Reset to the built-in rules" }).click();
  await page.getByRole("button", { name: "Preview" }).click();
  await effect.getByRole("button", { name: "Save for the gym" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Save for the gym" }).click();
  await expect(page.getByText("built-in")).toBeVisible();
  await page.goto("/library?q=lighthouse&verdict=reload");
  await expect(page.getByText("2 combinations found")).toBeVisible();
});

test("a number of the model is seen with what it changes, set by the gym and set back", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/house-rules?set=kickboxing&part=numbers");
  const row = page.getByRole("listitem").filter({ hasText: "bringing hips and shoulders round" });
  await expect(row).toContainText("house value");
  await expect(row).toContainText("labelled chain");
  await row.getByRole("spinbutton").fill("700");
  await row.getByRole("spinbutton").blur();
  await page.getByRole("button", { name: "Preview" }).click();
  const effect = page.getByRole("region", { name: "Effect on the library" });
  await expect(effect).toContainText("combinations under these rules");
  await effect.getByRole("button", { name: "Save for the gym" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Save for the gym" }).click();
  await expect(page.getByText("changed by this gym")).toBeVisible();
  await page.goto("/house-rules?set=kickboxing&part=numbers");
  await page.getByRole("button", { name: "Back to 560" }).click();
  await page.getByRole("button", { name: "Preview" }).click();
  await effect.getByRole("button", { name: "Save for the gym" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Save for the gym" }).click();
  await expect(page.getByText("built-in")).toBeVisible();
});

test("a coach reads the house rules and cannot change them", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto("/house-rules?set=boxing");
  await expect(page.getByText("Only the head coach changes the house rules.")).toBeVisible();
  await expect(page.getByRole("button", { name: "Preview" })).toHaveCount(0);
});
