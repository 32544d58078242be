import { expect, HEAD_COACH, PHONE, signIn, test } from "./gym";

test("a session is done at home on a phone, without an account and without the network, to its end", async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(180_000);
  await signIn(page, HEAD_COACH);
  const name = `At home ${Date.now()}`;
  const { csrfToken } = await (await page.request.get("/api/session")).json();
  const headers = { "X-CSRF-Token": csrfToken };
  const round = (chain: string) => ({
    seconds: 15,
    rest: 5,
    sets: [{ drill: "repeat", combinations: [{ chain }] }],
  });
  const content = { blocks: [{ kind: "rounds", name: "Rounds", rounds: [round("1 2"), round("1 2 3b")] }] };
  const plan = await (
    await page.request.post("/api/plans", { headers, data: { name, startsAt: null, content } })
  ).json();

  await page.goto(`/sessions/${plan.id}`);
  await page.getByRole("button", { name: "More" }).click();
  await page.getByRole("menuitem", { name: "Link for athletes" }).click();
  await page.getByRole("button", { name: "Make the link" }).click();
  const row = page.locator(".card-row", { hasText: name });
  await expect(row).toContainText("nobody finished it yet");
  await expect(row.getByRole("img", { name: `Address of ${name}` })).toBeVisible();
  const address = await row.getByRole("link", { name: "Open it" }).getAttribute("href");

  const context = await browser.newContext({ ...PHONE, baseURL });
  const phone = await context.newPage();
  const asked: string[] = [];
  phone.on("request", (request) => asked.push(new URL(request.url()).pathname));
  await phone.goto(address ?? "");
  await expect(phone.getByRole("heading", { name })).toBeVisible();
  await expect(phone.getByText(/Phones are silent until something is pressed/)).toBeVisible();
  await expect(phone.locator('link[rel="manifest"]')).toHaveCount(1);
  await phone.getByLabel("Stance").selectOption("southpaw");
  // The page and its worker are there, then the network goes and the page is opened again.
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await expect.poll(() => asked.some((path) => path.includes("/clips/")), { timeout: 30_000 }).toBe(true);
  await phone.waitForLoadState("networkidle");
  expect(asked.filter((path) => path.startsWith("/api/") && !path.startsWith("/api/athlete-sessions/"))).toEqual([]);
  await context.setOffline(true);
  await phone.reload();

  await phone.getByRole("button", { name: "Start" }).tap();
  await expect(phone.getByText("starts soon")).toBeVisible();
  await phone.getByRole("button", { name: "Skip" }).tap();
  await expect(phone.getByText("right jab, left cross", { exact: true })).toBeVisible({ timeout: 20_000 });
  await phone.getByRole("button", { name: "Pause" }).tap();
  await expect(phone.getByText("paused")).toBeVisible();
  const stands = await phone.locator(".athlete-clock").textContent();
  await phone.waitForTimeout(1500);
  expect(await phone.locator(".athlete-clock").textContent()).toBe(stands);
  await phone.getByRole("button", { name: "Resume" }).tap();
  await phone.getByRole("button", { name: "Skip" }).tap();
  await phone.getByRole("button", { name: "Skip" }).tap();
  await expect(phone.getByText(/^right jab, left cross, right hook to the body/)).toBeVisible();
  await expect(phone.getByText("Well done.")).toBeVisible({ timeout: 40_000 });
  await expect(phone.getByRole("button", { name: "Again" })).toBeVisible();

  // The end is counted when the phone has a network again.
  await context.setOffline(false);
  await phone.reload();
  await expect(phone.getByRole("button", { name: "Start" })).toBeVisible();
  await expect
    .poll(async () => {
      await page.reload();
      return row.textContent();
    })
    .toContain("finished once");

  await row.getByRole("button", { name: "Revoke" }).click();
  await page.getByRole("button", { name: "Revoke it" }).click();
  await expect(row).toContainText("revoked");
  await phone.reload();
  await expect(phone.getByText("This session is no longer available. Ask your coach for a new link.")).toBeVisible();
  await context.close();
});
