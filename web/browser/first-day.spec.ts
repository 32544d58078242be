import { entry, expect, HEAD_COACH, on, PHONE, signIn, test, write } from "./gym";

test("a numbering for the whole gym is asked about first, and can be undone", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const ofGym = async () => (await (await page.request.get("/api/numberings")).json()).ofGym;
  const before = await ofGym();
  await page.goto("/numbering/body-pairs");
  await page.getByRole("button", { name: "Use for the gym" }).click();
  const question = page.getByRole("dialog", { name: "Read everything in Body pairs?" });
  await expect(question).toContainText("No combination changes.");
  expect(await ofGym()).toBe(before);
  await question.getByRole("button", { name: "Use for the gym" }).click();
  await expect(page.getByText("The gym reads in Body pairs.")).toBeVisible();
  expect(await ofGym()).toBe("body-pairs");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(ofGym).toBe(before);
});

test("a changed combination goes back to what is saved", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/library?q=cellar+window");
  await page.getByRole("link", { name: "Cellar window" }).click();
  await page.getByRole("button", { name: "Open on the bench" }).click();
  await expect(entry(page)).toHaveValue("1 2 3b exit");
  await write(page, "1 2 3b 2 exit");
  await page.getByRole("button", { name: "Discard my changes" }).click();
  await expect(entry(page)).toHaveValue("1 2 3b exit");
  await expect(page.getByRole("button", { name: "Discard my changes" })).toBeHidden();
});

test("a half-written entry of the logbook is still there later, and an empty one is not logged", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/logbook/new");
  await expect(page.getByRole("button", { name: "Log it" })).toBeDisabled();
  await page.getByLabel("Note").fill("Guests from the rowing club.");
  await page.getByRole("link", { name: "Library", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Library", exact: true })).toBeVisible();
  await page.goto("/logbook/new");
  await expect(page.getByLabel("Note")).toHaveValue("Guests from the rowing club.");
  await expect(page.getByRole("button", { name: "Log it" })).toBeEnabled();
  await page.getByRole("button", { name: "Cancel" }).click();
});

test("without a network the pick list says that, and not that nothing was found", async ({ page, context }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/logbook/new");
  await expect(page.getByRole("button", { name: "Log it" })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole("combobox", { name: "Add a combination" }).fill("cellar");
  await expect(page.getByText("No connection").first()).toBeVisible();
  await expect(page.getByText("Nothing found")).toBeHidden();
  await context.setOffline(false);
});

test("the page stays where it is when what can follow is pressed, and on another stance", async ({ browser }) => {
  const page = await on(browser, PHONE);
  await page.goto(`/bench?${new URLSearchParams({ chain: "1 2" })}`);
  await expect(page.locator(".combination-line").first()).toBeVisible();
  const scrolled = () => page.evaluate(() => window.scrollY);
  for (const press of [
    page.getByRole("region", { name: "What can follow" }).getByRole("button").last(),
    page.locator(".combination-stance, .bench-options").getByText("southpaw", { exact: true }).first(),
  ]) {
    await press.scrollIntoViewIfNeeded();
    await page.evaluate(() => window.scrollBy(0, 40));
    const before = await scrolled();
    await press.click();
    await page.waitForTimeout(1500);
    expect(await scrolled()).toBeGreaterThan(before - 200);
  }
  await page.context().close();
});

test("a link to a comparison without combinations shows a message", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/compare?what=else");
  await expect(page.getByText("This link does not name two combinations.")).toBeVisible();
});

test("a session that has ended is deleted from its page by the head coach", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const { csrfToken } = await (await page.request.get("/api/session")).json();
  const headers = { "X-CSRF-Token": csrfToken };
  const id = `delete-${Date.now()}`;
  const run = await (await page.request.post("/api/runs", { headers, data: { id, timer: { rounds: 1 } } })).json();
  const end = { id: `${id}-end`, kind: "end", seen: run.revision };
  expect((await page.request.post(`/api/runs/${run.id}/commands`, { headers, data: end })).status()).toBe(200);
  await page.goto(`/run/${run.id}`);
  await page.getByRole("button", { name: "Delete what was shown" }).click();
  await page.getByRole("button", { name: "Delete", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Run", exact: true })).toBeVisible();
  expect((await page.request.get(`/api/runs/${run.id}`)).status()).toBe(404);
});
