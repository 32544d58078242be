import { gzipSync } from "node:zlib";
import type { Page } from "@playwright/test";
import { violations } from "./axe";
import { COACH, expect, HEAD_COACH, signIn, signOut, test } from "./gym";

/** What axe finds by all of its rules, on a screen as wide as a laptop and as a phone, and by those about colours in the other theme. */
async function faults(page: Page): Promise<string[]> {
  const found = new Set<string>();
  const size = page.viewportSize();
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 844 });
    // What does not fit any more is made to be reached by keys a moment later.
    await page.waitForTimeout(300);
    for (const colorScheme of ["light", "dark"] as const) {
      await page.emulateMedia({ colorScheme });
      for (const { id, where } of await violations(page, colorScheme === "light" ? "all" : "colours")) {
        found.add(`${id} (${colorScheme}, ${width}): ${where}`);
      }
    }
  }
  await page.emulateMedia({ colorScheme: null });
  await page.setViewportSize(size ?? { width: 1280, height: 800 });
  return [...found];
}

// In three parts, since each takes its time.
test.describe.configure({ timeout: 480_000 });

test("a fault is found where there is one", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByLabel("E-mail")).toBeVisible();
  await page.evaluate(() => document.querySelector("main, body")?.append(document.createElement("button")));
  expect((await violations(page)).map(({ id }) => id)).toContain("button-name");
  await page.locator("h1").evaluate((heading) => {
    heading.style.color = "#222";
  });
  expect(await violations(page, "colours"), "dark on light").toEqual([]);
  await page.emulateMedia({ colorScheme: "dark" });
  // The dark theme is drawn a moment after it is asked for.
  await expect.poll(async () => (await violations(page, "colours")).map(({ id }) => id)).toEqual(["color-contrast"]);
});

test("axe finds no fault where combinations are written, looked at and compared", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByLabel("E-mail")).toBeVisible();
  expect(await faults(page), "sign-in").toEqual([]);
  await signIn(page, HEAD_COACH);
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();
  expect(await faults(page), "library").toEqual([]);
  await page.goto(`/bench?${new URLSearchParams({ chain: "1 2 2 step-out 14l 31 exit", rules: "kickboxing" })}`);
  await expect(page.getByRole("group", { name: /^Combination line/ })).toBeVisible();
  expect(await faults(page), "bench").toEqual([]);
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByLabel("Name", { exact: true })).toBeVisible();
  expect(await faults(page), "saving").toEqual([]);
  await page.goto("/library?q=cellar+window");
  await page.getByRole("link", { name: "Cellar window" }).click();
  await expect(page.getByRole("group", { name: /^Combination line/ })).toBeVisible();
  expect(await faults(page), "combination").toEqual([]);
  await page.goto("/generate?rules=boxing&weapons=elbow");
  await expect(page.getByText("Nothing fits all of this")).toBeVisible();
  await page.getByRole("button", { name: "Ask for these" }).click();
  await expect(page.getByRole("button", { name: "Bench" }).first()).toBeVisible();
  expect(await faults(page), "generate").toEqual([]);
  await page.goto("/house-rules?set=kickboxing");
  await page.getByRole("button", { name: "Kick with nothing before it" }).click();
  await page.getByText("a lead hand").click();
  await page.getByRole("button", { name: "Preview" }).click();
  await expect(page.getByText(/combinations under these rules/)).toBeVisible();
  expect(await faults(page), "house rules").toEqual([]);
  await page.goto(`/compare?${new URLSearchParams({ first: "1 2 2", second: "1 2 slip-rear 2", rules: "boxing" })}`);
  await expect(page.getByRole("img", { name: /^Combination line, Second/ })).toBeVisible();
  expect(await faults(page), "compare").toEqual([]);
});

test("axe finds no fault on any other screen", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  for (const [path, sign] of [
    ["/review", "Rope ladder"],
    ["/sessions", "Liver, three levels"],
    ["/sessions/1", "Ready to run."],
    ["/run", "Round timer"],
    ["/voice", "What the sessions of these weeks say"],
    ["/advice", "Jogging"],
    ["/words", "verbs of throwing"],
    ["/settings", "The week begins on"],
    ["/status", "Back up now"],
    ["/setup", "Set up Saltworks"],
    ["/numbering", "How the library reads"],
    ["/translate", "Nothing is stored."],
    ["/exchange", "Preview"],
    ["/coaches", "Tomas Okafor"],
    ["/audit-log", "entries"],
    ["/family", "These stand alone"],
    ["/near-duplicates", "Front porch"],
    ["/themes", "change of height"],
    ["/guide/writing", "By keyboard"],
    ["/account", "The numbers you read"],
  ] as const) {
    await page.goto(path);
    await expect(page.getByText(sign).first()).toBeVisible();
    expect(await faults(page), path).toEqual([]);
  }
  await page.goto("/review");
  await page.getByText("Kick the tide").click();
  await expect(page.getByRole("img", { name: /^Combination line, Proposed/ })).toBeVisible();
  expect(await faults(page), "proposal").toEqual([]);
});

test("axe finds no fault while a session runs", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/sessions/1");
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByLabel("Starts in (s)").fill("0");
  expect(await faults(page), "start").toEqual([]);
  await page.getByRole("button", { name: "Start", exact: true }).click();
  await expect(page.getByRole("button", { name: "Pause" })).toBeVisible();
  expect(await faults(page), "remote").toEqual([]);
  const { walls } = await (await page.request.get("/api/walls")).json();
  await page.goto(`/wall/${walls[0].key}`);
  await expect(page.locator(".wall-clock")).toBeVisible();
  await page.keyboard.press("i");
  expect(await faults(page), "wall").toEqual([]);
  const { run } = await (await page.request.get(`/api/screens/${walls[0].key}`)).json();
  await page.goto(`/follow/${run.followKey}`);
  await expect(page.getByLabel("Stance")).toBeVisible();
  expect(await faults(page), "athlete").toEqual([]);
});

test("the first page needs at most 300 kB of script, gzipped, and nothing from elsewhere", async ({
  page,
  baseURL,
}) => {
  // What is fetched beforehand, when nothing else is to be done, is not needed by it.
  await page.addInitScript(() => {
    window.requestIdleCallback = () => 0;
  });
  const scripts: Promise<number>[] = [];
  const elsewhere: string[] = [];
  page.on("response", (response) => {
    if (!response.url().startsWith(baseURL ?? "")) {
      elsewhere.push(response.url());
    }
    if (response.url().endsWith(".js")) {
      scripts.push(response.body().then((body) => gzipSync(body).length));
    }
  });
  await signIn(page, COACH);
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();
  expect(elsewhere).toEqual([]);
  const bytes = (await Promise.all(scripts)).reduce((sum, size) => sum + size, 0);
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThan(300_000);
});

test("the library is filtered, shared by its address, and says why it is empty", async ({ page }) => {
  await signIn(page, COACH);
  await page.getByLabel("Weapon").click();
  await page.getByTitle("Elbows").click();
  await expect(page).toHaveURL(/weapon=elbow/);
  await page.getByLabel("Verdict").click();
  await page.getByTitle("✕ breaks").click();
  await expect(page).toHaveURL(/verdict=breaks/);
  await page.keyboard.press("Escape");
  await page.getByLabel("Search the library").fill("reach");
  await expect(page.getByText("1 combination found")).toBeVisible();
  await expect(page.getByRole("link", { name: "Reach too far" })).toBeVisible();
  await page.reload();
  await expect(page.getByText("1 combination found")).toBeVisible();
  await page.getByLabel("Search the library").fill("nobody wrote this");
  await expect(page.getByText("Nothing fits all of these")).toBeVisible();
  await page.getByRole("button", { name: "Clear the filters" }).click();
  await expect(page.getByRole("link", { name: "Barrel roll" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.locator("h1").click();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Guide and keys" })).toBeVisible();
});

test("without a session the sign-in is shown, and a wrong password is reported", async ({ page }) => {
  await page.goto("/combinations/1");
  await page.getByLabel("E-mail").fill(COACH.email);
  await page.getByLabel("Password", { exact: true }).fill("not-it");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("alert")).toContainText("The e-mail address or the password is not right.");
  await page.getByLabel("Password", { exact: true }).fill(COACH.password);
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("heading", { name: "Open the door" })).toBeVisible();
  await page.goto("/combinations/999999");
  await expect(page.getByRole("heading", { name: "Not found" })).toBeVisible();
});

test("a head coach archives and restores a combination", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/library?q=over+the+fence");
  await page.getByRole("link", { name: "Over the fence" }).click();
  await page.getByRole("button", { name: "Archive", exact: true }).click();
  await expect(page.getByText("Archived on")).toBeVisible();
  await page.goto("/library?q=over+the+fence");
  await expect(page.getByText("Nothing fits all of these")).toBeVisible();
  await page.getByRole("button", { name: "Archived" }).click();
  await page.getByRole("link", { name: "Over the fence" }).click();
  await page.getByRole("button", { name: "Restore", exact: true }).click();
  await expect(page.getByText("Archived on")).toBeHidden();
  await signOut(page);
  await signIn(page, COACH);
  await page.goto("/library?q=cellar+window");
  await page.getByRole("link", { name: "Cellar window" }).click();
  await expect(page.getByRole("button", { name: "Propose to retire" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Archive", exact: true })).toHaveCount(0);
});
