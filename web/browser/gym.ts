import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  test as base,
  expect,
  type Page,
} from "@playwright/test";
import { HEAD_COACH } from "./coaches";
import { OtherGym } from "./other-gym";

export { COACH, HEAD_COACH, OTHER_COACH } from "./coaches";

/**
 * Every test fails on an error in the console, which also catches what the content security policy refuses. Each worker
 * has a gym of its own, which its tests share: the first the one that was started, the others a copy of it.
 */
export const test = base.extend<{ quietConsole: undefined }, { gym: OtherGym }>({
  gym: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from the pattern what a fixture needs
    async ({}, use, worker) => {
      if (worker.parallelIndex === 0) {
        await use(OtherGym.started());
        return;
      }
      const gym = await OtherGym.loaded();
      const start = gym.run("start");
      expect(start.status, start.stderr).toBe(0);
      await use(gym);
      gym.end();
    },
    { scope: "worker", timeout: 300_000 },
  ],
  baseURL: ({ gym }, use) => use(gym.address),
  quietConsole: [
    async ({ page, browser }, use) => {
      const errors: string[] = [];
      page.on("console", (message) => {
        // The browser itself reports refused requests, and the router what a screen in its place shows; some tests provoke both.
        const provoked = ["Failed to load resource", "A screen could not be fetched"];
        if (message.type() === "error" && !provoked.some((text) => message.text().includes(text))) {
          errors.push(message.text());
        }
      });
      page.on("pageerror", (error) => errors.push(error.message));
      await use(undefined);
      // Whatever else was opened would go on drawing beside the tests that follow.
      await Promise.all(
        browser
          .contexts()
          .filter((context) => context !== page.context())
          .map((context) => context.close()),
      );
      expect(errors, "nothing in the console").toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** Sessions of this worker by account: a password costs half a second of a processor each time. */
const sessions = new Map<string, Awaited<ReturnType<BrowserContext["cookies"]>>>();

/** Signs in, or goes on with the session of an earlier test as long as it is good; what is about signing in fills in the form itself. */
export async function signIn(page: Page, coach: { email: string; password: string; name: string }): Promise<void> {
  const known = sessions.get(coach.email);
  const signedIn = page.getByText(coach.name);
  await page.context().addCookies(known ?? []);
  await page.goto("/");
  if (known) {
    await expect(signedIn.or(page.getByLabel("E-mail")).first()).toBeVisible();
    if (await signedIn.isVisible()) {
      await firstScreen(page);
      return;
    }
  }
  await page.getByLabel("E-mail").fill(coach.email);
  await page.getByLabel("Password", { exact: true }).fill(coach.password);
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(signedIn).toBeVisible();
  sessions.set(coach.email, await page.context().cookies());
  await firstScreen(page);
}

/** Keys are heard once the first screen stands there. */
const firstScreen = (page: Page) => expect(page.locator("h1").first()).toBeVisible();

export async function signOut(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Sign out" }).click();
  await expect(page.getByLabel("E-mail")).toBeVisible();
}

export const entry = (page: Page) => page.getByLabel("The combination, in numbers or words");

/** Types a combination on the bench and waits until the check has answered to it. */
export async function write(page: Page, text: string, canonical = text): Promise<void> {
  await entry(page).fill(text);
  await expect(page.getByRole("group", { name: `Combination line: ${canonical}`, exact: true })).toBeVisible();
}

/**
 * Archives what an earlier try left under this very chain, so that a test can save it again; by the signed-in head coach.
 */
export async function putAway(page: Page, text: string): Promise<void> {
  const { csrfToken } = await (await page.request.get("/api/session")).json();
  const headers = { "X-CSRF-Token": csrfToken };
  const answer = await page.request.post("/api/check", { headers, data: { text, with: ["similar"] } });
  expect(answer.status()).toBe(200);
  const { similar } = await answer.json();
  for (const { id, relation } of similar.matches) {
    if (relation === "same") {
      const etag = (await page.request.get(`/api/combinations/${id}`)).headers().etag ?? "";
      const archive = `/api/combinations/${id}/archive`;
      expect((await page.request.post(archive, { headers: { ...headers, "If-Match": etag } })).status()).toBe(200);
    }
  }
}

/** Opens a gym of its own on another device, signed in; errors in its console are not looked at. */
export async function on(browser: Browser, device: BrowserContextOptions, coach = HEAD_COACH): Promise<Page> {
  const page = await (await browser.newContext(device)).newPage();
  await signIn(page, coach);
  return page;
}

export const PHONE: BrowserContextOptions = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
export const TABLET: BrowserContextOptions = { viewport: { width: 1024, height: 768 }, hasTouch: true, isMobile: true };
