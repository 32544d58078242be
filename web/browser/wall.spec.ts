import type { APIRequestContext, Browser, Page } from "@playwright/test";
import { expect, HEAD_COACH, signIn, test } from "./gym";
import { OtherGym, signInAt } from "./other-gym";

const SPEED = 60;

interface Clock {
  now: number;
  bound: number;
  position: number | null;
  date: number;
}

/** What a screen says of its clock, with the time of this machine at which it said so. */
const clockOf = (page: Page): Promise<Clock> =>
  page.evaluate(
    () =>
      new Promise((done) =>
        dispatchEvent(
          new CustomEvent("screen-clock", {
            detail: (clock: Omit<Clock, "date">) =>
              done({ ...clock, date: performance.timeOrigin + performance.now() }),
          }),
        ),
      ),
  );

/** How far two walls are apart, in ms of real time. */
async function apart(one: Page, other: Page): Promise<number> {
  const [a, b] = await Promise.all([clockOf(one), clockOf(other)]);
  return Math.abs((a.position ?? 0) / SPEED - a.date - ((b.position ?? 0) / SPEED - b.date));
}

/** What stands on a wall now, but for its time. */
const stands = (page: Page) =>
  page.locator(".wall-title, .wall-state, .wall-numbers, .wall-track-numbers").allInnerTexts();

async function open(browser: Browser, address: string): Promise<Page> {
  const page = await (await browser.newContext({ baseURL: new URL(address).origin })).newPage();
  await page.goto(address);
  return page;
}

async function newWall(api: APIRequestContext, headers: Record<string, string>, name: string): Promise<string> {
  const answer = await api.post("/api/walls", { headers, data: { name } });
  expect(answer.status()).toBe(201);
  return (await answer.json()).key;
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** The plan of the demo gym that has three levels, calls and a ladder. */
async function planned(api: APIRequestContext): Promise<number> {
  const { plans } = await (await api.get("/api/plans?from=2000-01-01&to=2100-01-01")).json();
  return plans.find((plan: { name: string }) => plan.name.includes("three levels")).id;
}

test("a session runs from first bell to last on two walls while server and database are killed, and its record is complete", async ({
  browser,
}) => {
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    const { api, headers } = await gym.signIn();
    const keys = [await newWall(api, headers, "Floor"), await newWall(api, headers, "Bag room")];
    const walls = await Promise.all(keys.map((key) => open(browser, `${gym.address}/wall/${key}`)));
    const [floor, bags] = walls as [Page, Page];
    for (const wall of walls) {
      await expect(wall.getByText("No session runs on this wall")).toBeVisible();
      // Kept for a time without the server.
      await wall.waitForFunction(() => navigator.serviceWorker.controller !== null);
    }
    // Before the session, whose warm-up is over soon at this speed.
    const remote = await open(browser, gym.address);
    await signIn(remote, HEAD_COACH);
    const data = { id: "start-of-test", plan: await planned(api), speed: SPEED, leadIn: 6 };
    const run = await (await api.post("/api/runs", { headers, data })).json();
    for (const wall of walls) {
      await expect(wall.getByText("Warm-up")).toBeVisible();
    }
    await remote.goto(`${gym.address}/run/${run.id}`);
    expect(await apart(floor, bags)).toBeLessThanOrEqual(50);
    await remote.getByRole("button", { name: "Pause" }).click();
    for (const wall of walls) {
      await expect(wall.getByText("Paused", { exact: true })).toBeVisible();
    }
    expect(await stands(floor)).toEqual(await stands(bags));
    await remote.getByRole("button", { name: "Resume" }).click();
    for (const wall of walls) {
      await expect(wall.getByText("Paused", { exact: true })).toBeHidden();
    }
    await expect(floor.getByText("Round 1 of 8")).toBeVisible();

    for (const program of ["nginx", "php-fpm8.2", "mariadbd"]) {
      for (const pid of gym.processes(program)) {
        process.kill(pid, "SIGKILL");
      }
    }
    await expect(floor.getByText("no server · continues")).toBeVisible();
    await bags.reload();
    await expect(bags.locator(".wall-head")).toBeVisible();
    const before = await clockOf(floor);
    await pause(1500);
    expect((await clockOf(floor)).position ?? 0).toBeGreaterThan(before.position ?? 0);
    expect(await apart(floor, bags)).toBeLessThanOrEqual(50);

    const again = gym.begin("start");
    await new Promise((done) => again.on("exit", done));
    await expect(floor.getByText("no server · continues")).toBeHidden();
    expect(await apart(floor, bags)).toBeLessThanOrEqual(50);
    for (const wall of walls) {
      await expect(wall.getByText("Well done.")).toBeVisible({ timeout: 120_000 });
    }

    const programme = await (await api.get(`/api/screens/${keys[0]}/programmes/${run.id}/1`)).json();
    const shown = async () =>
      (await (await api.get(`/api/runs/${run.id}/record`)).json()).shown.map((one: { cue: string }) => one.cue).sort();
    const all = programme.cues.map((cue: { key: string }) => cue.key).sort();
    await expect.poll(shown).toEqual(all);

    await remote.reload();
    await remote.getByRole("button", { name: "End", exact: true }).click();
    await remote.getByRole("button", { name: "End it" }).click();
    await expect(remote.getByText(`${all.length} cues were shown`)).toBeVisible();
  } finally {
    gym.end();
  }
});

const set = (drill: string, combinations: string[], parameters: object = {}, more: object = {}) => ({
  drill,
  combinations,
  parameters,
  ...more,
});

/** Stations in laps, a menu, an exchange, a script of calls and an end all out: four minutes and a half. */
const CLASS = {
  name: "Everything of the floor",
  medium: "pads",
  timeCalls: ["half", "ten", "count-in"],
  blocks: [
    {
      kind: "rounds",
      name: "Rounds",
      rounds: [
        {
          name: "Stations",
          laps: 2,
          breath: 10,
          rest: 20,
          sets: [
            set("repeat", ["1 2"], {}, { seconds: 20, allOut: 10 }),
            set("exercise", [], { exercise: "squats" }, { seconds: 20 }),
          ],
          inRest: set("demonstration", []),
        },
        {
          name: "One of three",
          seconds: 30,
          rest: 20,
          sets: [set("menu", ["2 3", "3b 3", "2 3b"], { opening: "1", ending: "exit", entries: 3 })],
        },
        {
          seconds: 30,
          rest: 20,
          sets: [set("exchange", ["slip-lead 3b", "block-rear 6 3 2"], { first: "they", incoming: ["2", "3"] })],
        },
        { seconds: 30, sets: [set("calls", ["1", "1 2"], { order: "script", each: 2, least: 3, most: 3 })] },
      ],
    },
  ],
};
/** What a wall shows at moments of that class, in s. */
const MOMENTS: [number, string[]][] = [
  [5, ["Stations", "lap 1 of 2", "set 1 of 2", "1 2", "left jab, right cross"]],
  [25, ["Next", "Squats", "lap 1 of 2 · set 2 of 2"]],
  [65, ["lap 2 of 2 · set 1 of 2", "1 2"]],
  // After 2 · 2 · 20 + 3 · 10 = 110 s comes the rest, with what comes shown slowly.
  [
    115,
    [
      "Rest",
      "1 2 3 exit",
      "orthodox, closed guard",
      "southpaw, open guard",
      "Next: One of three: 1, then 2 3, 3b 3 or 2 3b, then exit",
    ],
  ],
  [141, ["One of three", "one of these, then exit", "3b 3"]],
  [185, ["they 2, you", "slip-lead 3b", "they 3", "block-rear 6 3 2"]],
  [232, ["Work", "1"]],
];

test("laps, a menu, an exchange, a script and an end all out are shown on two walls alike, without the server too, and heard within 20 ms", async ({
  browser,
}) => {
  const gym = await OtherGym.loaded();
  try {
    expect(gym.run("start").status).toBe(0);
    const { api, headers } = await gym.signIn();
    const keys = [await newWall(api, headers, "Floor"), await newWall(api, headers, "Bag room")];
    const walls = await Promise.all(keys.map((key) => open(browser, `${gym.address}/wall/${key}`)));
    const plan = await (
      await api.post("/api/plans", { headers, data: { name: CLASS.name, startsAt: null, content: CLASS } })
    ).json();
    const check = await (await api.post("/api/plans/check", { headers, data: { content: CLASS } })).json();
    expect(check.problems).toEqual([]);
    const run = await (
      await api.post("/api/runs", { headers, data: { id: "class-of-test", plan: plan.id, leadIn: 30 } })
    ).json();
    for (const wall of walls) {
      await expect(wall.getByText("Needed: wraps, gloves, focus pads")).toBeVisible();
      await wall.waitForFunction(() => navigator.serviceWorker.controller !== null);
    }
    let seen = run.revision;
    const go = async (kind: string, toMs?: number) => {
      const data = { id: `press-${kind}-${toMs ?? seen}`, kind, toMs, seen };
      const answer = await api.post(`/api/runs/${run.id}/commands`, { headers, data });
      expect(answer.status()).toBe(200);
      seen = (await answer.json()).revision;
    };
    for (const [second, texts] of MOMENTS) {
      await go("jump", 1000 * second);
      for (const wall of walls) {
        for (const text of texts) {
          await expect(wall.locator(".wall"), `${second} s`).toContainText(text);
        }
      }
    }
    await go("jump", 8000);
    for (const program of ["nginx", "php-fpm8.2", "mariadbd"]) {
      for (const pid of gym.processes(program)) {
        process.kill(pid, "SIGKILL");
      }
    }
    for (const wall of walls) {
      // The last ten of the first 20 seconds: without the server, and on time.
      await expect(wall.getByText("no server · continues")).toBeVisible();
      await expect(wall.locator(".wall")).toContainText("Squats", { timeout: 30_000 });
    }
    const again = gym.begin("start");
    await new Promise((done) => again.on("exit", done));
    for (const wall of walls) {
      await expect(wall.getByText("no server · continues")).toBeHidden({ timeout: 30_000 });
    }

    const programme = await (await api.get(`/api/screens/${keys[0]}/programmes/${run.id}/1`)).json();
    const said = programme.said.map((one: { atMs: number; text: string }) => `${one.atMs / 1000} ${one.text}`);
    expect(said).toContain("-10 next: Stations: one two. jab, cross");
    // 110 + 20 + 30 + 20 + 30 + 20 = 230 s: each twice, with 3 s of silence after it.
    for (const call of ["230 one", "233.2 one", "236.4 one two", "239.89 one two", "243.38 one"]) {
      expect(said).toContain(call);
    }
    const [floor] = walls as [Page];
    await floor.keyboard.press("i");
    const measure = async () => {
      await floor.getByRole("button", { name: "Measure the sound" }).click();
      const words = floor.getByText(/sounds measured/);
      await expect(words).toBeVisible({ timeout: 60_000 });
      const [, count, worst] = (await words.innerText()).match(/(\d+) sounds measured, at most (\d+) ms off/) ?? [];
      return { count: Number(count), worst: Number(worst) };
    };
    await expect.poll(async () => (await measure()).count, { timeout: 60_000 }).toBeGreaterThan(30);
    expect((await measure()).worst).toBeLessThanOrEqual(20);
  } finally {
    gym.end();
  }
});

test("a coach starts a plan, leads it from the remote, and an athlete follows it", async ({
  page,
  browser,
  baseURL,
}) => {
  const { api, headers } = await signInAt(baseURL ?? "", HEAD_COACH);
  const key = await newWall(api, headers, "Test wall");
  const wall = await open(browser, `${baseURL}/wall/${key}`);
  await signIn(page, HEAD_COACH);
  await page.goto(`/sessions/${await planned(api)}`);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByLabel("Starts in (s)").fill("0");
  await page.getByRole("button", { name: "Start", exact: true }).click();
  await expect(page).toHaveURL(/\/run\/\d+$/);
  await expect(wall.getByText("Warm-up")).toBeVisible();

  // To the first round with tracks, by a tap on the session's line.
  await page
    .getByRole("button", { name: /^Jump to 8:00, Ladder/ })
    .first()
    .click();
  await expect(wall.locator(".wall-track")).toHaveCount(3);
  await page.getByRole("button", { name: "Pause" }).click();
  await expect(wall.getByText("Paused", { exact: true })).toBeVisible();
  const long = (await page.locator(".session-times span").last().innerText()).split(":");
  await page.getByRole("button", { name: "+ 1 minute" }).click();
  await expect(page.locator(".session-times span").last()).toHaveText(`${Number(long[0]) + 1}:${long[1]}`);

  await page.getByRole("button", { name: "Swap …" }).click();
  await page.getByLabel(/^In place of/).fill("1 2 3 2");
  await page.getByRole("button", { name: "Use the text" }).click();
  await expect(wall.locator(".wall-track-numbers").first()).toHaveText("1 2 3 2");

  const follow = page.getByRole("link", { name: "Open it" });
  await page.getByText("Code for athletes").click();
  const phone = await open(browser, `${baseURL}${await follow.getAttribute("href")}`);
  await expect(phone.getByText("1 2 3 2")).toBeVisible();
  await expect(phone.getByText("left jab, right cross, left hook, right cross")).toBeVisible();
  await phone.getByLabel("Stance").selectOption("southpaw");
  await expect(phone.getByText("right jab, left cross, right hook, left cross")).toBeVisible();
  await phone.getByLabel("Numbers").selectOption({ label: "Hands" });
  await expect(phone.locator(".athlete-numbers")).toHaveText("2 1 4 1");
  await expect(phone.getByRole("button")).toHaveCount(0);

  // The keys of the wall, and a device beside it, do the same.
  await wall.keyboard.press("Space");
  await expect(page.getByRole("button", { name: "Pause" })).toBeVisible();
  const device = await open(browser, `${baseURL}/wall/${key}/device`);
  await device.getByRole("button", { name: "Pause" }).click();
  await expect(page.getByRole("button", { name: "Resume" })).toBeVisible();
  await expect(wall.getByText("Paused", { exact: true })).toBeVisible();

  await page.goto("/run");
  await page.getByRole("button", { name: "More for Test wall" }).click();
  await page.getByText("Revoke its address").click();
  await page.getByRole("button", { name: "Revoke", exact: true }).click();
  await expect(wall.getByText("This address no longer works.")).toBeVisible();
});

test("a wall says how well it is set, and its calls are heard within 20 ms of their cues", async ({
  browser,
  baseURL,
}) => {
  const { api, headers } = await signInAt(baseURL ?? "", HEAD_COACH);
  const key = await newWall(api, headers, "Sound");
  const { walls } = await (await api.get("/api/walls")).json();
  const wall = walls.find((one: { name: string }) => one.name === "Sound").id;
  const data = { id: `sound-${Date.now()}`, plan: await planned(api), walls: [wall] };
  await api.post("/api/runs", { headers, data });
  const page = await open(browser, `${baseURL}/wall/${key}`);
  await expect(page.locator(".wall-head")).toBeVisible();
  await page.keyboard.press("i");
  await expect(page.getByText(/at most \d+ ms off/)).toBeVisible();
  const measure = async () => {
    await page.getByRole("button", { name: "Measure the sound" }).click();
    const said = page.getByText(/sounds measured/);
    await expect(said).toBeVisible({ timeout: 60_000 });
    const [, count, worst] = (await said.innerText()).match(/(\d+) sounds measured, at most (\d+) ms off/) ?? [];
    return { count: Number(count), worst: Number(worst) };
  };
  // Bells are there at once, calls as soon as they are fetched.
  await expect.poll(async () => (await measure()).count).toBeGreaterThan(30);
  expect((await measure()).worst).toBeLessThanOrEqual(20);
});

test("two to six levels fit on a wall and on a phone, and none covers another", async ({ browser, baseURL }) => {
  const { api, headers } = await signInAt(baseURL ?? "", HEAD_COACH);
  for (const count of [2, 3, 6]) {
    const key = await newWall(api, headers, `Levels ${count}`);
    const { walls } = await (await api.get("/api/walls")).json();
    const tracks = Array.from({ length: count }, (_, track) => ({
      name: `Level ${track + 1}`,
      level: (track % 3) + 1,
    }));
    const lanes = tracks.map((_, track) => ({ track, sets: [{ combinations: ["1 2 3 step-out 14l exit"] }] }));
    const round = { seconds: 600, sets: [{ combinations: ["1 2"] }], tracks: lanes };
    const content = { rules: "kickboxing", tracks, blocks: [{ kind: "rounds", rounds: [round] }] };
    const plan = await (await api.post("/api/plans", { headers, data: { name: `Levels ${count}`, content } })).json();
    const { id } = walls.find((wall: { key: string }) => wall.key === key);
    await api.post("/api/runs", { headers, data: { id: `levels-${count}-${Date.now()}`, plan: plan.id, walls: [id] } });
    const page = await open(browser, `${baseURL}/wall/${key}`);
    for (const [width, height] of [
      [1920, 1080],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      await expect(page.locator(".wall-track")).toHaveCount(count);
      // The words of a track end above its bar, and its bar above the next track or beside it.
      const covered = await page.locator(".wall-track").evaluateAll((all) =>
        all.flatMap((track, index) => {
          const { top, bottom, left, right } = track.getBoundingClientRect();
          const text = track.querySelector(".wall-track-what")?.getBoundingClientRect();
          const over = all.slice(index + 1).some((other) => {
            const box = other.getBoundingClientRect();
            return box.top < bottom - 1 && box.bottom > top + 1 && box.left < right - 1 && box.right > left + 1;
          });
          const outside = !text || text.bottom > bottom + 1 || text.right > right + 1 || bottom > innerHeight + 1;
          return over || outside ? [`track ${index + 1}`] : [];
        }),
      );
      expect(covered, `${count} levels at ${width}`).toEqual([]);
    }
  }
});
