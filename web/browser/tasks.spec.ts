import type { Page } from "@playwright/test";
import { COACH, expect, HEAD_COACH, on, PHONE, signIn, test } from "./gym";
import { signInAt } from "./other-gym";

/** Counts what a coach presses. */
class Presses {
  clicks = 0;
  keys = 0;

  constructor(private readonly page: Page) {}

  async click(what: ReturnType<Page["locator"]>): Promise<void> {
    this.clicks += 1;
    await what.first().click();
  }

  async type(text: string): Promise<void> {
    this.keys += text.length;
    await this.page.keyboard.type(text);
  }

  async key(name: string): Promise<void> {
    this.keys += 1;
    await this.page.keyboard.press(name);
  }
}

const rounds = (page: Page) => page.getByRole("region", { name: "Rounds" });

test("a session of 60 minutes for three levels is planned by hand in at most 18 clicks and 60 keys", async ({
  page,
}) => {
  await signIn(page, HEAD_COACH);
  const press = new Presses(page);
  const place = async (name: string) => {
    await expect(page.locator(".set-field input:focus"), "the focus is in the next field").toHaveValue("");
    await press.type(name);
    await press.key("Enter");
  };
  await press.click(page.getByRole("link", { name: "Sessions", exact: true }));
  const course = page.locator("li.course").filter({ hasText: "Kickboxing, mixed levels" });
  await press.click(course.getByRole("button", { name: "Plan by hand" }));
  await press.click(page.getByRole("button", { name: /^Fill the rest/ }));
  for (const name of ["bot", "che", "cho", "col", "gat", "han", "ins", "kic", "lon"]) {
    await place(name);
  }
  const tenth = rounds(page).getByRole("article").nth(9);
  await press.click(tenth.getByRole("button", { name: "by level" }));
  await press.click(tenth.getByLabel("Type a combination"));
  for (const name of ["pos", "mil", "wal", "sou", "shi"]) {
    await place(name);
  }
  await expect(page.getByRole("region", { name: "Load", exact: true })).toContainText("60:00");
  await expect(page.getByText("This set is empty")).toHaveCount(0);
  await expect(tenth.getByRole("button", { name: /Walk through/ })).toBeVisible();
  await expect(
    page.getByRole("button", { name: "+ round" }).nth(1),
    "the button for the next round has the focus",
  ).toBeFocused();
  expect(press.clicks, `${press.clicks} clicks, ${press.keys} keys`).toBeLessThanOrEqual(18);
  expect(press.keys, `${press.clicks} clicks, ${press.keys} keys`).toBeLessThanOrEqual(60);
});

test("a class is logged as planned on a phone in at most 12 taps", async ({ browser, baseURL }) => {
  const { api, headers } = await signInAt(baseURL ?? "", HEAD_COACH);
  const template = await (await api.get("/api/plans/1")).json();
  const day = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  const name = `Yesterday ${Date.now() % 100_000}`;
  const course = template.course.id;
  const data = { name, course, startsAt: `${day}T06:00`, content: template.content };
  const made = await (await api.post("/api/plans", { headers, data })).json();
  const page = await on(browser, PHONE, COACH);
  let taps = 0;
  const tap = async (what: ReturnType<Page["locator"]>) => {
    taps += 1;
    await what.first().tap();
  };
  await tap(page.getByRole("link", { name: "Logbook" }));
  await tap(page.getByRole("listitem").filter({ hasText: name }).getByRole("link", { name: "Log as planned" }));
  await expect(page.getByText(`As planned in “${name}”`)).toBeVisible();
  await expect(page.getByText("As last time")).toBeVisible();
  await tap(page.getByRole("button", { name: "One orthodox more" }));
  await tap(page.getByRole("button", { name: "7", exact: true }));
  await tap(page.getByRole("button", { name: "Log it" }));
  await expect(page.getByRole("heading", { name })).toBeVisible();
  await expect(page.getByText("minutes of work")).toBeVisible();
  expect(taps).toBeLessThanOrEqual(12);
  const { entries } = await (await api.get("/api/logbook/entries")).json();
  const logged = entries.find((entry: { name: string }) => entry.name === name);
  expect([logged.plan, logged.effort]).toEqual([made.id, 7]);
  expect(logged.orthodox).toBeGreaterThan(1);
  await page.context().close();
});
