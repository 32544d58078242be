import { entry, expect, HEAD_COACH, signIn, test, write } from "./gym";

/** Another one each time, so that none is in the library already. */
const chain = () =>
  `1 2 ${Array.from({ length: 12 }, () => (Math.random() < 0.5 ? "1" : "2")).join(" ")} / *${2 + Math.floor(11 * Math.random())} 3`;

test("without a network no result of another chain is shown, and a save waits and is sent once", async ({
  page,
  context,
}) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, "1 2");
  await expect(page.locator(".findings")).toContainText("flows");

  await context.setOffline(true);
  const text = chain();
  await entry(page).fill(text);
  await expect(page.getByText("Not checked: no connection.")).toBeVisible();
  await expect(page.getByText("No connection to the gym’s server.")).toBeVisible();
  await expect(page.locator(".check-line-old")).toBeVisible();
  await expect(page.locator(".check-side-old")).toBeVisible();

  const sent: string[] = [];
  page.on("request", (request) => {
    if (request.method() === "POST" && request.url().endsWith("/api/combinations")) {
      sent.push(request.url());
    }
  });
  const name = `Kept for later ${Date.now()}`;
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("There is no connection. It is saved once")).toBeVisible();
  // What is drawn beside the form is not about another chain, either.
  await expect(page.locator(".save-form .combination-line")).toHaveCount(0);
  expect(sent).toEqual([]);

  await context.setOffline(false);
  await expect(page.getByRole("heading", { name })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText("No connection to the gym’s server.")).toBeHidden();
  expect(sent).toHaveLength(1);
  await page.goto(`/library?q=${encodeURIComponent(`"${name}"`)}`);
  await expect(page.getByText("1 combination found")).toBeVisible();
});

test("a save whose answer is lost is not made twice", async ({ page, context }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  await write(page, chain());
  const name = `Answer lost ${Date.now()}`;
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  let cut = false;
  await page.route("**/api/combinations", async (route) => {
    if (route.request().method() === "POST" && !cut) {
      cut = true;
      await route.fetch();
      await context.setOffline(true);
      await route.abort();
      setTimeout(() => void context.setOffline(false), 1500);
    } else {
      await route.continue();
    }
  });
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible({ timeout: 60_000 });
  await page.goto(`/library?q=${encodeURIComponent(`"${name}"`)}`);
  await expect(page.getByText("1 combination found")).toBeVisible();
});

test("a screen that cannot be loaded shows a message, keeps the rest of the page, and can be tried again", async ({
  page,
}) => {
  await page.route("**/assets/GenerateScreen*", (route) => route.abort());
  await signIn(page, HEAD_COACH);
  await page.getByRole("link", { name: "Generate" }).click();
  await expect(page.getByRole("heading", { name: "This screen could not be loaded" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Library", exact: true })).toBeVisible();
  await page.getByRole("link", { name: "Bench" }).click();
  await expect(entry(page)).toBeVisible();

  await page.getByRole("link", { name: "Generate" }).click();
  await page.unroute("**/assets/GenerateScreen*");
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByRole("heading", { name: "Generate" })).toBeVisible();
});

test("screens are fetched when nothing else is to be done, and open without a network", async ({ page, context }) => {
  await signIn(page, HEAD_COACH);
  await page.waitForResponse(/assets\/AuditScreen/, { timeout: 30_000 }).catch(() => undefined);
  await page.waitForLoadState("networkidle");
  await context.setOffline(true);
  await page.getByRole("link", { name: "Generate" }).click();
  await expect(page.getByRole("heading", { name: "Generate" })).toBeVisible();
  await expect(
    page.getByText("There is no connection to the gym’s server; this continues when it is back."),
  ).toBeVisible();
  await context.setOffline(false);
});

test("a new version of the screens is offered, and a screen of the old one that is gone says what it is", async ({
  page,
}) => {
  await page.route("**/assets/GenerateScreen*", (route) => route.fulfill({ status: 404 }));
  await signIn(page, HEAD_COACH);
  await page.route("**/", async (route) => {
    if (route.request().resourceType() === "fetch") {
      const body = await (await route.fetch()).text();
      await route.fulfill({ body: body.replace(/index-[^"]+\.js/, "index-OfTomorrow.js"), contentType: "text/html" });
    } else {
      await route.continue();
    }
  });
  await page.evaluate(() => document.dispatchEvent(new Event("visibilitychange")));
  await expect(page.getByText("A new version of Periplus is here.")).toBeVisible();
  await page.getByRole("link", { name: "Generate" }).click();
  await expect(page.getByRole("heading", { name: "A new version of Periplus is here" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Reload", exact: true })).toBeVisible();
});

test("an endless wait shows a message", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.route("**/api/audit-log*", () => undefined);
  await page.goto("/audit-log");
  await expect(page.getByText("This takes longer than it should.")).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("button", { name: "Try again" })).toBeVisible();
});

test("the level of a changed chain is that of its check and is not shown as chosen", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench");
  const text = chain();
  await write(page, text);
  const name = `Level follows ${Date.now()}`;
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.locator(".save-foot").getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
  await page
    .getByRole("button", { name: "Open on the bench" })
    .or(page.getByRole("link", { name: "Open on the bench" }))
    .first()
    .click();
  const harder = `(1) 3 38 switch 14h / 6b slip-lead 3b shift 2 *${2 + (Date.now() % 11)} exit`;
  await write(page, harder);
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.locator(".save-level")).toContainText("The check says 3");
  await expect(page.getByText("Set by you.")).toBeHidden();
  await page.locator(".save-foot").getByRole("button", { name: "Save the change" }).click();
  await expect(page.getByText(/level 3/)).toBeVisible();
  await expect(page.getByText("given by a coach")).toBeHidden();
});

test("a kick under boxing rules does not flow without a word", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/bench?chain=1+2+step-out+14l+exit&rules=boxing");
  await expect(page.getByText("The rear round kick is not allowed under boxing rules.")).toBeVisible();
  await expect(page.locator(".findings header")).toContainText("breaks");
  await page.goto("/bench?chain=1+2+step-out+14l+exit&rules=kickboxing");
  await expect(page.locator(".findings header")).toContainText("flows");
});

test("a search is read as a coach types it, and what is not understood finds nothing", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  const search = page.getByLabel("Search the library");
  await search.fill("starts with jab and ends with a kick or a knee");
  await expect(page.getByText("starts with a jab", { exact: true })).toBeVisible();
  await expect(page.getByText("ends with a kick, or ends with a knee")).toBeVisible();
  await page.getByRole("button", { name: "What can I search for?" }).click();
  await page.getByRole("button", { name: "kickboxing level 2" }).click();
  await expect(search).toHaveValue("starts with jab and ends with a kick or a knee, kickboxing level 2");
  await search.fill("nobody has this");
  await page.getByRole("button", { name: "“nobody has this”" }).click();
  await expect(search).toHaveValue('"nobody has this"');
  await expect(page.getByText("Nothing fits all of these")).toBeVisible();
  await search.fill("starts with jib");
  await expect(page.getByRole("heading", { name: "The search was not understood" })).toBeVisible();
  await expect(page.locator(".library-table")).toHaveCount(0);
  await page.getByRole("button", { name: "jab", exact: true }).click();
  await expect(search).toHaveValue("starts with jab");
  await expect(page.locator(".library-table")).toBeVisible();
});
