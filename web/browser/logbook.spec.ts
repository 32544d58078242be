import { readFileSync } from "node:fs";
import type { APIRequestContext, Browser, Page } from "@playwright/test";
import Papa from "papaparse";
import { violations } from "./axe";
import { COACH, expect, HEAD_COACH, on, PHONE, signIn, test } from "./gym";
import { OtherGym, signInAt } from "./other-gym";

const newPage = async (browser: Browser, baseURL: string): Promise<Page> =>
  (await browser.newContext({ baseURL })).newPage();

/** The combination of that name in the library. */
async function combination(api: APIRequestContext, name: string) {
  const found = await (await api.get(`/api/combinations?q=${encodeURIComponent(`"${name}"`)}`)).json();
  return found.combinations[0] as { id: number; version: number; notation: string; stance: string; name: string };
}

async function course(api: APIRequestContext, name: string): Promise<number> {
  const { courses } = await (await api.get("/api/courses")).json();
  return courses.find((one: { name: string }) => one.name.startsWith(name)).id;
}

test("from plan to run to log to next plan, with the server away in between, and exactly one entry", async ({
  browser,
}) => {
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    const { api, headers } = await gym.signIn();
    const beginners = await course(api, "Beginners");
    const row = await combination(api, "Double knock");
    const entriesBefore = (await (await api.get("/api/logbook/entries")).json()).total;
    const plan = await (
      await api.post("/api/plans", {
        headers,
        data: {
          name: "Short class",
          course: beginners,
          content: {
            name: "Short class",
            rules: "boxing",
            numbering: "parity",
            blocks: [
              {
                kind: "rounds",
                rounds: [
                  {
                    seconds: 30,
                    sets: [
                      {
                        drill: "repeat",
                        combinations: [
                          { chain: row.notation, stance: row.stance, name: row.name, id: row.id, version: row.version },
                        ],
                      },
                    ],
                  },
                ],
              },
            ],
          },
        },
      })
    ).json();
    const { key } = await (await api.post("/api/walls", { headers, data: { name: "Test wall" } })).json();
    const wall = await newPage(browser, gym.address);
    await wall.goto(`/wall/${key}`);
    await expect(wall.getByText("No session runs on this wall")).toBeVisible();
    await wall.waitForFunction(() => navigator.serviceWorker.controller !== null);

    // Planned, and run.
    const coach = await newPage(browser, gym.address);
    await signIn(coach, COACH);
    await coach.goto(`/sessions/${plan.id}`);
    await coach.getByRole("button", { name: "Run", exact: true }).click();
    await coach.getByLabel("Starts in (s)").fill("4");
    await coach.getByRole("button", { name: "Start", exact: true }).click();
    await expect(coach).toHaveURL(/\/run\/\d+$/);
    await expect(wall.locator(".wall-numbers")).toBeVisible();

    // The server is gone in the middle of it; the wall goes on to the end.
    for (const program of ["nginx", "php-fpm8.2", "mariadbd"]) {
      for (const pid of gym.processes(program)) {
        process.kill(pid, "SIGKILL");
      }
    }
    await expect(wall.getByText("Well done.")).toBeVisible({ timeout: 90_000 });
    const again = gym.begin("start");
    await new Promise((done) => again.on("exit", done));
    await expect(wall.getByText("no server · continues")).toBeHidden();
    await coach.reload();
    await coach.getByRole("button", { name: "End", exact: true }).click();
    await coach.getByRole("button", { name: "End it" }).click();

    // It is in the logbook by itself, once.
    await coach.goto("/logbook");
    const entry = coach.locator(".log-row", { hasText: "Short class" });
    await expect(entry).toHaveCount(1);
    await expect(entry).toContainText("came in by itself");
    await expect(entry).toContainText("Double knock");
    await expect
      .poll(async () => {
        const { entries } = await (await api.get("/api/logbook/entries")).json();
        return entries.find((one: { name: string }) => one.name === "Short class").workMs;
      })
      .toBe(30_000);

    // Corrected in a few presses, the server away once more.
    await entry.getByRole("link", { name: "Short class" }).click();
    await coach.getByRole("button", { name: "1 → 2" }).click();
    for (let press = 0; press < 3; press += 1) {
      await coach.getByRole("button", { name: "One orthodox more" }).click();
    }
    await coach.getByRole("toolbar", { name: "Effort" }).getByRole("button", { name: "6" }).click();
    await coach.context().setOffline(true);
    await coach.getByRole("button", { name: "Save", exact: true }).click();
    await expect(coach.getByText("Saved on this device.")).toBeVisible();
    await coach.context().setOffline(false);
    const corrected = async () => {
      const { entries, total } = await (await api.get("/api/logbook/entries")).json();
      const one = entries.find((it: { name: string }) => it.name === "Short class");
      return [total - entriesBefore, one.orthodox, one.effort, one.fallen, one.isChecked];
    };
    await expect.poll(corrected).toEqual([1, 3, 6, 1, true]);

    // What fell apart comes due sooner, and the next plan draws on what is due.
    await coach.goto(`/reports/due?course=${beginners}`);
    await expect(coach.locator("tr", { hasText: "Double knock" })).toContainText("fell apart");
    await coach.getByRole("button", { name: "Plan a session from it" }).click();
    await expect(coach).toHaveURL(/\/sessions\/\d+$/);
    const made = await (await api.get(`/api/plans/${coach.url().split("/").at(-1)}`)).json();
    expect(JSON.stringify(made.content)).toContain("Catch and answer");
    expect(await corrected()).toEqual([1, 3, 6, 1, true]);
  } finally {
    gym.end();
  }
});

test("a session is logged on a phone without the network, sent once when it is back, and taken out and put back", async ({
  browser,
  baseURL,
}) => {
  const { api } = await signInAt(baseURL ?? "", HEAD_COACH);
  const page = await on(browser, PHONE, COACH);
  await page.goto("/logbook/new");
  await page.getByRole("combobox", { name: "Course" }).click();
  await page.getByTitle("Beginners, boxing").click();
  // The count begins with last time's.
  await expect(page.getByText("As last time")).toBeVisible();
  await page.getByRole("textbox", { name: "southpaw" }).fill("0");
  await page.getByRole("button", { name: "One southpaw more" }).tap();
  await page.getByRole("combobox", { name: "Add a combination" }).fill("Two doors");
  await page.getByTitle(/^Two doors/).click();
  await page.getByLabel("Minutes of Two doors").fill("9");
  await page.getByLabel("Note", { exact: true }).fill("Logged in the cellar.");
  await page.context().setOffline(true);
  await page.getByRole("button", { name: "Log it" }).tap();
  await expect(page.getByRole("region", { name: "Waiting on this device" })).toContainText(
    "is sent when the server is back",
  );
  await page.context().setOffline(false);
  const logged = async () =>
    (await (await api.get("/api/logbook/entries")).json()).entries.filter(
      (one: { note: string }) => one.note === "Logged in the cellar.",
    );
  await expect.poll(async () => (await logged()).length).toBe(1);
  await expect(page.getByRole("region", { name: "Waiting on this device" })).toBeHidden();
  const [entry] = await logged();
  expect([entry.combinations, entry.workMs, entry.southpaw, entry.coach.name]).toEqual([
    ["Two doors"],
    540_000,
    1,
    COACH.name,
  ]);

  await page.goto(`/logbook/${entry.id}`);
  await page.getByRole("button", { name: "Delete", exact: true }).tap();
  await page.getByRole("button", { name: "Undo" }).tap();
  await expect.poll(async () => (await logged()).length).toBe(1);
  await page.goto("/library?q=drilled+1+day");
  await expect(page.getByText("Two doors").first()).toBeVisible();
});

test("two coaches who correct the same entry do not overwrite each other", async ({ page, browser }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/logbook/2");
  const other = await on(browser, {}, COACH);
  await other.goto("/logbook/2");
  await other.getByLabel("Note", { exact: true }).fill("The hook again.");
  await other.getByRole("button", { name: "Save", exact: true }).click();
  await expect(other.getByText("Saved.")).toBeVisible();
  await page.getByLabel("Note", { exact: true }).fill("Another thought.");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("changed meanwhile");
  await expect(page.getByLabel("Note", { exact: true })).toHaveValue("Another thought.");
});

test("a combination is measured by tapping and by sound, and a tap too many is taken away", async ({
  page,
  baseURL,
}) => {
  const { api } = await signInAt(baseURL ?? "", HEAD_COACH);
  const row = await combination(api, "Lift the latch");
  await signIn(page, COACH);
  await page.goto(`/combinations/${row.id}/measure`);
  const field = page.getByRole("button", { name: /^Tap/ });
  await field.focus();
  for (let press = 0; press < 8; press += 1) {
    await page.keyboard.press(" ");
    await page.waitForTimeout(press % 4 === 3 ? 1800 : 320);
  }
  await expect(page.getByText(/^8 taps: 2 repetitions, 0 missed, 0 too many/)).toBeVisible();

  await page.getByText("by sound", { exact: true }).click();
  const sampled = page.waitForResponse(/sample\.wav/);
  await page.getByRole("button", { name: "Try a sample recording" }).click();
  // Nobody threw it: it is to try the page with, and counts nowhere.
  await expect(page.getByText(/^20 hits: 5 repetitions, 0 missed, 0 too many/)).toBeVisible();
  await expect(page.getByRole("button", { name: "Save", exact: true })).toBeDisabled();
  await page.getByRole("button", { name: "Begin again" }).click();
  const buffer = await (await page.request.get((await sampled).url())).body();
  await page.getByLabel("A recording").setInputFiles({ name: "bag.wav", mimeType: "audio/wav", buffer });
  await expect(page.getByText(/^20 hits: 5 repetitions, 0 missed, 0 too many/)).toBeVisible();
  await expect(page.locator(".measure-table tbody tr")).toHaveCount(3);
  await expect(page.getByText("as computed")).toHaveCount(3);
  // Where nothing was hit a tap is too many, and it is taken away again.
  const strip = page.locator(".tap-strip svg");
  const box = await strip.boundingBox();
  await strip.click({ position: { x: (box?.width ?? 700) * 0.02, y: 60 } });
  await expect(page.getByText(/^21 hits.*1 too many/)).toBeVisible();
  await page.getByRole("button", { name: "Delete superfluous taps" }).click();
  await expect(page.getByText(/^20 hits/)).toBeVisible();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Saved, without a name.")).toBeVisible();
  await expect(page.locator(".measure-saved li")).toHaveCount(1);
});

test("an athlete plays a card on a phone without an account, until it is revoked", async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/library?q=lantern");
  await page.getByLabel("Choose Lantern").check();
  await page.getByRole("button", { name: "Card for athletes" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Take home, test");
  await page.getByRole("radiogroup", { name: "Stance" }).getByText("southpaw").click();
  await page.getByRole("button", { name: "Make it" }).click();
  const card = page.locator(".card-row", { hasText: "Take home, test" });
  const address = await card.getByRole("link", { name: "Open it" }).getAttribute("href");

  const phone = await (await browser.newContext({ ...PHONE, baseURL })).newPage();
  const asked: string[] = [];
  phone.on("request", (request) => asked.push(new URL(request.url()).pathname));
  await phone.goto(address ?? "");
  await expect(phone.getByRole("heading", { name: "Take home, test" })).toBeVisible();
  await expect(phone.getByText(/^right jab/)).toBeVisible();
  await phone.getByRole("button", { name: "Play" }).tap();
  await expect(phone.getByRole("button", { name: "Stop" })).toBeVisible();
  await phone.getByRole("button", { name: "From above" }).tap();
  await expect(phone.getByRole("figure", { name: "From above" })).toHaveCount(2);
  await phone.getByRole("button", { name: "Hide the view from above" }).tap();
  expect(asked.filter((path) => path.startsWith("/api/") && !path.startsWith("/api/athlete-cards/"))).toEqual([]);

  await card.getByRole("button", { name: "Revoke" }).click();
  await page.getByRole("button", { name: "Revoke it" }).click();
  await expect(page.getByText("Revoked. The link no longer works.")).toBeVisible();
  await phone.reload();
  await expect(phone.getByText("Ask your coach for a new one.")).toBeVisible();
});

test("the logbook goes out as JSON and CSV, read by an independent reader, and comes in again without doubling", async ({
  page,
  baseURL,
}) => {
  const { api } = await signInAt(baseURL ?? "", HEAD_COACH);
  const json = await (await api.get("/api/logbook/logbook.json")).json();
  const csv = await (await api.get("/api/logbook/logbook.csv")).text();
  const table = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
  expect(table.errors).toEqual([]);
  const { total } = await (await api.get("/api/logbook/entries")).json();
  expect(json.entries).toHaveLength(total);
  expect(new Set(table.data.map(({ key }) => key)).size).toBe(total);
  // The minutes of the file are those of the report.
  const ms = json.entries.reduce((sum: number, { workMs }: { workMs: number }) => sum + workMs, 0);
  const report = await (await api.get("/api/reports/load?from=2020-01-01")).json();
  expect(report.sum.workMs).toBe(ms);
  const drilled = table.data.reduce((sum, row) => sum + Number(row.ms), 0);
  expect(drilled).toBe(ms);

  await signIn(page, HEAD_COACH);
  await page.goto("/logbook");
  await page.getByLabel("A logbook as a file").setInputFiles({
    name: "logbook.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(csv),
  });
  await expect(page.getByText(`0 sessions imported; ${total} were there already.`)).toBeVisible();
  expect((await (await api.get("/api/logbook/entries")).json()).total).toBe(total);
});

test("every page of the logbook has nothing that keeps people out, in both themes and on a phone", async ({
  browser,
  baseURL,
}) => {
  const { api } = await signInAt(baseURL ?? "", HEAD_COACH);
  const beginners = await course(api, "Beginners");
  const goal = await combination(api, "Long haul");
  const pages = [
    "/logbook",
    "/logbook/1",
    "/logbook/new",
    "/reports/drilled",
    "/reports/weapons",
    "/reports/balance",
    "/reports/links",
    "/reports/faults",
    "/reports/planned",
    `/reports/due?course=${beginners}`,
    `/reports/path?course=${beginners}&to=${goal.id}`,
    "/reports/month",
    "/cards",
    `/combinations/${goal.id}/measure`,
  ];
  for (const device of [{ colorScheme: "light" as const }, { ...PHONE, colorScheme: "dark" as const }]) {
    const page = await on(browser, device);
    for (const path of pages) {
      await page.goto(path);
      await expect(page.locator("h1")).toBeVisible();
      await expect(page.locator(".waiting")).toHaveCount(0);
      expect(await violations(page), `${path} ${device.colorScheme}`).toEqual([]);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(wide, `${path} is not wider than its window`).toBeLessThanOrEqual(0);
    }
    await page.context().close();
  }
});

test("the month and a card are pages of paper that an independent reader reads", async ({ baseURL }) => {
  const { api } = await signInAt(baseURL ?? "", HEAD_COACH);
  const month = await (await api.get("/api/reports/month")).json();
  const text = async (path: string, name: string) => {
    const { execFileSync } = await import("node:child_process");
    const file = test.info().outputPath(name);
    const { writeFileSync } = await import("node:fs");
    writeFileSync(file, await (await api.get(path)).body());
    expect(readFileSync(file).subarray(0, 5).toString()).toBe("%PDF-");
    expect(execFileSync("pdffonts", [file], { encoding: "utf8" })).not.toMatch(/ no {2}/);
    return execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
  };
  const page = await text(`/api/reports/month.pdf/${month.month}`, "month.pdf");
  expect(page).toContain(`${month.sessions} sessions`);
  for (const { name } of month.courses) {
    expect(page).toContain(name);
  }
  const { cards } = await (await api.get("/api/cards")).json();
  const sheet = await text(
    `/api/cards/${cards.find(({ name }: { name: string }) => name.endsWith("November")).id}/sheet.pdf`,
    "card.pdf",
  );
  expect(sheet).toContain("Front porch");
  expect(sheet).toContain("right jab, left cross, right hook");
});
