import { entry, expect, HEAD_COACH, signIn, test } from "./gym";

test("a word of the gym is passed over from the bench, listed with its own, and read again", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await entry(page).fill("jab, zamba, cross");
  await expect(page.getByText('"zamba" is not a strike or a move.')).toBeVisible();
  await page.getByRole("button", { name: "Always pass over “zamba”" }).click();
  await expect(page.getByText("Passed over: zamba.")).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "Verdict: flows" })).toBeAttached();

  await page.goto("/words");
  await page.getByRole("button", { name: "Read “zamba” again" }).click();
  await expect(page.getByText("None yet.")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: "Read “zamba” again" })).toBeVisible();

  // A word that carries something is refused, and stays in its field.
  await page.getByLabel("A word or phrase to pass over").fill("left");
  await page.keyboard.press("Enter");
  await expect(page.getByText('"left" cannot be passed over')).toBeVisible();
  await expect(page.getByLabel("A word or phrase to pass over")).toHaveValue("left");

  await page.goto("/audit-log");
  const row = page.getByRole("row").filter({ hasText: "passes over: zamba" }).first();
  await row.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("row").filter({ hasText: "no longer passes over: zamba" }).first()).toBeVisible();
});
