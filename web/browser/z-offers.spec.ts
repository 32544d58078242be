import type { Page } from "@playwright/test";
import { expect, HEAD_COACH, signIn, test } from "./gym";
import { OtherGym } from "./other-gym";

/** An installation of its own, whose gym offers something to the one that the tests share. */
const other = await OtherGym.loaded();
const NAME = `Harbour steps ${Date.now()}`;

test.describe.configure({ timeout: 300_000 });
test.beforeAll(() => {
  const started = other.run("start");
  expect(started.status, started.stderr).toBe(0);
});
test.afterAll(() => other.end());

/** Changes the library of the other gym. */
async function theirs(page: Page, method: string, path: string, data: object, version?: number) {
  const { csrfToken } = await (await page.request.get(`${other.address}/api/session`)).json();
  const answer = await page.request.fetch(other.address + path, {
    method,
    headers: { "X-CSRF-Token": csrfToken, ...(version ? { "If-Match": `"${version}"` } : {}) },
    data,
  });
  expect(answer.status(), await answer.text()).toBeLessThan(300);
  return answer.json();
}

test("a gym takes over what another installation offers, and its later version, under its own house rules", async ({
  page,
  browser,
}) => {
  const context = await browser.newContext({ baseURL: other.address });
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  const there = await context.newPage();
  await signIn(there, HEAD_COACH);
  const written = { name: NAME, text: "1 2 1 1 2 3b exit", rules: "boxing", themes: ["harbour"], note: "Soft feet." };
  const { id } = await theirs(there, "POST", "/api/combinations", written);

  // Offered on its page, and under a link.
  await there.goto(`/combinations/${id}`);
  await there.getByRole("button", { name: "Offer it to other gyms" }).click();
  await expect(there.getByText("Offered to other gyms.", { exact: true })).toBeVisible();
  await there.goto("/sharing");
  await expect(there.getByRole("link", { name: NAME })).toBeVisible();
  await there.getByLabel("Who the link is for").fill("Saltworks");
  await there.getByRole("button", { name: "Make a link" }).click();
  await expect(there.getByText("The link is copied.", { exact: false })).toBeVisible();
  const link = await there.evaluate(() => navigator.clipboard.readText());
  expect(link).toMatch(/\/api\/shared-offers\/[0-9a-f]{32}$/);

  await signIn(page, HEAD_COACH);
  await page.goto("/sharing");
  const field = page.getByRole("textbox", { name: "The link that another gym gave you" });
  await field.fill("https://harbour.example/something");
  await page.getByRole("button", { name: "Read its offers" }).click();
  await expect(page.getByText("This is not a link to offers.", { exact: false })).toBeVisible();
  await field.fill(link);
  await page.getByRole("button", { name: "Read its offers" }).click();
  await page.getByRole("link", { name: "1 wait for an answer in the review." }).click();
  const row = page.locator(".offer-row", { hasText: NAME });
  await expect(row).toContainText("No combination here has the theme “harbour” yet.");
  await row.getByRole("button", { name: "Accept", exact: true }).click();
  await expect(page.getByText(`“${NAME}” is taken over.`)).toBeVisible();

  // Where it came from stays with it.
  const found = await (await page.request.get(`/api/combinations?q=${encodeURIComponent("theme harbour")}`)).json();
  const here = found.combinations[0];
  await page.goto(`/combinations/${here.id}`);
  await expect(page.getByText(/From Saltworks, taken over by Ines Varga/)).toBeVisible();

  // Here it gets another name; there another end. Each keeps what it changed.
  const { csrfToken } = await (await page.request.get("/api/session")).json();
  const renamed = await page.request.put(`/api/combinations/${here.id}`, {
    headers: { "X-CSRF-Token": csrfToken, "If-Match": '"1"' },
    data: { ...written, name: "Our steps", numbering: "parity" },
  });
  expect(renamed.status(), await renamed.text()).toBe(200);
  await theirs(there, "PUT", `/api/combinations/${id}`, { ...written, text: "1 2 1 1 2 3b 2 exit" }, 1);
  await page.goto("/sharing");
  await page.getByRole("button", { name: "Read again" }).click();
  await page.getByRole("link", { name: "1 wait for an answer in the review." }).click();
  await expect(row).toContainText("Saltworks changed chain since you took it over.");
  await expect(row).toContainText("You changed name yourselves; that stays.");
  await row.getByRole("button", { name: "Look closer, or change it first" }).click();
  await expect(page.getByText("Saltworks changed chain.").first()).toBeVisible();
  await page.getByRole("button", { name: "Approve", exact: true }).click();
  await expect(page.getByText("“Our steps” is approved.")).toBeVisible();
  const merged = await (await page.request.get(`/api/combinations/${here.id}`)).json();
  expect([merged.name, merged.notation]).toEqual(["Our steps", "1 2 1 1 2 3b 2 exit"]);

  // While the other installation is away, what was read says how old it is.
  other.run("stop");
  await page.goto("/sharing");
  await page.getByRole("button", { name: "Read again" }).click();
  await expect(page.getByText("The other gym cannot be reached right now.", { exact: false })).toBeVisible();
  await page.getByRole("button", { name: "Stop reading the offers of Saltworks" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Stop reading them" }).click();
  await expect(page.getByText("None yet.")).toBeVisible();
  await context.close();
});
