import { writeFileSync } from "node:fs";
import { test } from "@playwright/test";
import { HEAD_COACH, signIn } from "./gym";

const paths = (process.env.PATHS ?? "").split(" ");
test("aria", async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await signIn(page, HEAD_COACH);
  for (const path of paths) {
    await page.goto(path);
    await page.waitForLoadState("networkidle");
    await page.waitForTimeout(500);
    const name = path.replace(/[^a-z0-9]+/gi, "_");
    writeFileSync(`/tmp/aria/${name}.txt`, await page.locator("#content").ariaSnapshot());
  }
});
