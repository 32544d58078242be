import { expect, HEAD_COACH, on, PHONE, signIn, test } from "./gym";

const bench = (chain: string) => `/bench?${new URLSearchParams({ chain })}`;
const LIVER = "1 2 3b pivot-out 2 exit";

test("a chain is seen from above beside its line, and plays with it", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto(bench(LIVER));
  const figure = page.getByRole("figure", { name: "From above" });
  await expect(figure).toContainText("Closed guard, 95 cm apart");
  await expect(figure).toContainText("in reach of their rear hand");
  const head = figure.locator(".floor-us .floor-head");
  const placed = () => head.evaluate((one: SVGElement) => one.style.transform);
  const start = await placed();

  for (let step = 0; step < 4; step++) {
    await figure.getByRole("button", { name: "Next, from above" }).click();
  }
  await expect(figure).toContainText("pivot out to the left");
  expect(await placed()).not.toBe(start);
  await expect(page.getByRole("region", { name: "Change the selected item" })).toHaveCount(0);

  await page.locator('.line-full [data-at="2"]').click();
  await expect(figure).toContainText("left hook to the body");
  await expect(figure.getByText("liver", { exact: true })).toBeVisible();
  await page.keyboard.press("Escape");

  await page.getByRole("button", { name: "Play", exact: true }).click();
  const seen = new Set<string>();
  await expect
    .poll(async () => seen.add((await figure.locator("b").textContent()) ?? "").size, { intervals: [60] })
    .toBeGreaterThanOrEqual(4);
});

test("the mirror and both opponents are seen at once, and the way out with them", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto(bench(LIVER));
  const other = page.getByRole("region", { name: "In the other stance" });
  await expect(other.getByText("liver", { exact: true })).toBeVisible();
  await expect(other.getByText("no liver")).toBeVisible();
  await expect(other.getByText("southpaw, open guard")).toBeVisible();
  await other.getByRole("link", { name: "compare" }).first().click();
  const figures = page.getByRole("figure", { name: "From above" });
  await expect(figures).toHaveCount(4);
  await expect(figures.filter({ hasText: "Open guard" })).toHaveCount(2);

  // Where a step to the side of their rear hand stays in its reach, the other one leaves it.
  for (const [chain, reach] of [
    ["1 2 step-lead", "in reach of their rear hand"],
    ["1 2 step-rear", "out of its reach"],
  ] as const) {
    await page.goto(bench(chain));
    await page.locator('.line-full [data-at="2"]').click();
    await expect(page.getByRole("figure", { name: "From above" })).toContainText(reach);
  }
});

test("it fits a phone, below the line, and follows the opponent's stance", async ({ browser }) => {
  const page = await on(browser, PHONE);
  await page.goto(bench("1 2"));
  const figure = page.getByRole("figure", { name: "From above" });
  await figure.scrollIntoViewIfNeeded();
  await expect(figure).toContainText("Closed guard");
  await page.goto(`${bench("1 2")}&opponent=southpaw`);
  await expect(page.getByRole("figure", { name: "From above" })).toContainText("Open guard");
});
