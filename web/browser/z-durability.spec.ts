import { entry, expect, HEAD_COACH, signIn, test, write } from "./gym";

test("what was saved survives a killed database, and what could not be saved stays on the bench", async ({
  page,
  gym,
}) => {
  test.setTimeout(600_000);
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  const chain = `1 2 / *${2 + (Date.now() % 9)} / ${"3 ".repeat(1 + (Math.floor(Date.now() / 1000) % 20))}exit`;
  const name = `Kept ${Date.now()}`;
  await write(page, chain);
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();

  for (const pid of gym.processes("mariadbd")) {
    process.kill(pid, "SIGKILL");
  }
  await page.goto("/bench");
  await write(page, `${chain} 1 exit`);
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByLabel("Name", { exact: true }).fill(`${name}, later`);
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("Nothing was saved; try again shortly.");

  expect(gym.run("start").status).toBe(0);
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("heading", { name: `${name}, later` })).toBeVisible();
  await page.goto(`/library?q=${encodeURIComponent(name)}`);
  await expect(page.getByText("2 combinations found")).toBeVisible();
  await page.goto("/bench");
  await expect(entry(page)).toHaveValue("");
});
