import { entry, expect, HEAD_COACH, signIn, test, write } from "./gym";

test("an answer to what is no longer there is dropped, and the picture does not flicker", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2");
  // The answer to the first text comes after the answer to the second.
  await page.route("**/api/check", async (route) => {
    if (route.request().postDataJSON().text === "1 2 3") {
      await new Promise((resolve) => setTimeout(resolve, 1500));
    }
    await route.continue().catch(() => undefined);
  });
  await page.evaluate(() => {
    const seen: string[] = [];
    Object.assign(window, { seen });
    const look = () => seen.push(document.querySelector(".line-full svg")?.getAttribute("aria-label") ?? "nothing");
    new MutationObserver(look).observe(document.body, { subtree: true, childList: true, attributes: true });
  });
  await entry(page).fill("1 2 3");
  await page.waitForTimeout(300);
  await write(page, "1 2 3 2");
  await page.waitForTimeout(1800);
  await expect(page.getByRole("group", { name: "Combination line: 1 2 3 2", exact: true })).toBeVisible();
  const seen = await page.evaluate(() => [...new Set((window as unknown as { seen: string[] }).seen)]);
  expect(seen).not.toContain("nothing");
  expect(seen).not.toContain("Combination line: 1 2 3");
});

test("a chain in the address is a link that can be shared", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2 4b exit");
  await page.getByLabel("Written for which stance").getByText("southpaw").click();
  await expect(page).toHaveURL(/chain=1\+2\+4b\+exit&stance=southpaw/);
  const address = page.url();
  await page.evaluate(() => localStorage.clear());
  await page.goto("/library");
  await page.goto(address);
  await expect(entry(page)).toHaveValue("1 2 4b exit");
  await expect(page.locator(".stance-shown")).toContainText("left hook to the liver");
});

test("tempo and opponent change what the check says", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto(`/bench?${new URLSearchParams({ chain: "1 2 18 step-out 14l exit", rules: "kickboxing" })}`);
  const findings = page.getByRole("region", { name: "What the check says" });
  await expect(findings.locator("header")).toContainText("reload");
  await page.getByRole("combobox", { name: "Tempo" }).click();
  await page.getByTitle("fast tempo").click();
  await expect(findings.locator("header")).toContainText("breaks");
  await page.getByRole("combobox", { name: "Tempo" }).click();
  await page.getByTitle("learning tempo").click();
  await expect(findings.locator("header")).toContainText("reload");
  await expect(page.locator(".stance-column").first()).toContainText("outside of the lead thigh");
  await page.getByLabel("Opponent's stance").getByText("southpaw").click();
  await expect(page.locator(".stance-column").first()).toContainText("inside of the lead thigh");
});

test("everything on the bench can be reached by keyboard", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2 2");
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+Shift+z");
  await expect(entry(page)).toHaveValue("1 2 2");
  const reached = new Set<string>();
  await entry(page).focus();
  for (let step = 0; step < 60; step += 1) {
    await page.keyboard.press("Tab");
    const name = await page.evaluate(() => {
      const held = document.activeElement;
      return held?.getAttribute("aria-label") ?? held?.textContent ?? "";
    });
    reached.add(name);
  }
  for (const part of ["Save", "orthodox", "beat", "2 → 2: reload, +210 ms"]) {
    expect(
      [...reached].some((name) => name.includes(part)),
      `${part} by Tab`,
    ).toBe(true);
  }
  await page.keyboard.press("Control+s");
  await expect(page.getByLabel("Name", { exact: true })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(page.getByLabel("Name", { exact: true })).toBeHidden();
});

test("a chain that is there already is named, and nothing typed is lost", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "jab cross left hook body exit", "1 2 3b exit");
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByLabel("Name", { exact: true }).fill("The same again");
  const drawer = page.getByRole("dialog");
  await expect(drawer).toContainText("This chain is in the library already: Cellar window");
  await expect(drawer.getByRole("button", { name: "Save", exact: true })).toBeDisabled();
  await drawer.getByRole("link", { name: "Cellar window" }).first().click();
  await expect(page.getByRole("heading", { name: "Cellar window" })).toBeVisible();
  await page.goto("/bench");
  await expect(entry(page)).toHaveValue("jab cross left hook body exit");
});

/** What shows that a screen is there, where it is not a combination line. */
const SIGNS: Record<string, string> = {
  "/house-rules": ".rule",
  "/numbering": ".numbering-table td",
  "/translate": "textarea",
  "/exchange": "textarea",
  "/coaches": ".plain-table td",
  "/audit-log": ".plain-table td",
  "/family": ".plain-table td",
  "/account": ".form-narrow",
  "/sessions": ".calendar",
  "/sessions/1": ".planner-blocks",
  "/advice": ".advice-rows",
  "/words": ".glue-word-group",
  "/recordings": ".recording-used",
  "/sharing": ".offer-pick",
  "/review?list=offers": ".offer-head",
  "/verdict-changes": ".panel",
  "/settings": ".form-narrow",
  "/status": ".status-facts",
  "/setup": ".setup",
  "/reports/links": ".trouble",
  "/reports/faults": ".report-table",
  "/reports/planned": ".report-table",
};

test("no screen is wider than a phone", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, HEAD_COACH);
  for (const address of [
    "/library",
    `/bench?${new URLSearchParams({ chain: "1 2 3b slip-lead 3 2 14l exit" })}`,
    "/combinations/1",
    "/generate",
    "/house-rules",
    `/compare?${new URLSearchParams({ first: "1 2 2", second: "1 2 slip-rear 2" })}`,
    "/review",
    "/review/1",
    "/numbering",
    "/translate",
    "/exchange",
    "/coaches",
    "/audit-log",
    "/family",
    "/account",
    "/sessions",
    "/sessions/1",
    "/advice",
    "/recordings",
    "/words",
    "/sharing",
    "/review?list=offers",
    "/verdict-changes",
    "/settings",
    "/status",
    "/setup",
    "/reports/links",
    "/reports/faults",
    "/reports/planned",
  ]) {
    await page.goto(address);
    await expect(page.locator(SIGNS[address] ?? ".combination-line").first()).toBeVisible();
    const [inner, whole] = await page.evaluate(() => [
      document.documentElement.clientWidth,
      document.documentElement.scrollWidth,
    ]);
    expect(whole, address).toBeLessThanOrEqual(inner ?? 0);
  }
});

test("while the server is away the page shows it and keeps what was typed", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2");
  await page.route("**/api/**", (route) => route.abort());
  await entry(page).fill("1 2 3b 2");
  await expect(page.locator("#entry-help")).toContainText("Not checked: no connection. What you typed is kept");
  await page.unroute("**/api/**");
  await entry(page).fill("1 2 3b 2 exit");
  await expect(page.getByRole("group", { name: "Combination line: 1 2 3b 2 exit", exact: true })).toBeVisible();
});
