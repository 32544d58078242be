import type { APIRequestContext, Page } from "@playwright/test";
import { COACH, expect, HEAD_COACH, PHONE, putAway, signIn, test } from "./gym";

/** Returns a WAV file with a tone of that many seconds. */
function tone(seconds: number): Buffer {
  const rate = 8000;
  const sound = Buffer.alloc(44 + 2 * rate * seconds);
  sound.write("RIFF", 0);
  sound.writeUInt32LE(sound.length - 8, 4);
  sound.write("WAVEfmt ", 8);
  sound.writeUInt32LE(16, 16);
  sound.writeUInt16LE(1, 20);
  sound.writeUInt16LE(1, 22);
  sound.writeUInt32LE(rate, 24);
  sound.writeUInt32LE(2 * rate, 28);
  sound.writeUInt16LE(2, 32);
  sound.writeUInt16LE(16, 34);
  sound.write("data", 36);
  sound.writeUInt32LE(sound.length - 44, 40);
  for (let at = 0; at < rate * seconds; at += 1) {
    sound.writeInt16LE(Math.round(8000 * Math.sin(at / 8)), 44 + 2 * at);
  }
  return sound;
}

async function tokenOf(api: APIRequestContext): Promise<{ "X-CSRF-Token": string }> {
  return { "X-CSRF-Token": (await (await api.get("/api/session")).json()).csrfToken };
}

/** Saves a combination and opens its page. */
async function openNew(page: Page, name: string, text: string): Promise<number> {
  await putAway(page, text);
  const headers = await tokenOf(page.request);
  const saved = await page.request.post("/api/combinations", { headers, data: { name, text, rules: "all-limbs" } });
  expect(saved.status()).toBe(201);
  const { id } = await saved.json();
  await page.goto(`/combinations/${id}`);
  return id;
}

const panel = (page: Page) => page.getByRole("region", { name: "Recording" });
const dialog = (page: Page) => page.getByRole("dialog");

/** Where a video of the page is: its length, its time, and whether it has a picture. */
const stateOf = (page: Page) =>
  page
    .locator("video")
    .first()
    .evaluate((video: HTMLVideoElement) => ({
      length: video.duration,
      time: video.currentTime,
      width: video.videoWidth,
    }));

test("a coach films a combination, cuts it, and it plays on a card and on a wall without the server", async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page, HEAD_COACH);
  const name = `Filmed ${Date.now()}`;
  const chain = "2 4 2 4 step-out 2";
  const id = await openNew(page, name, chain);
  await expect(panel(page)).toContainText("None yet.");
  await panel(page).getByRole("button", { name: "Record or choose a file" }).click();
  await dialog(page).getByRole("button", { name: "Use the camera" }).click();
  await dialog(page).getByRole("button", { name: "Record in three seconds" }).click();
  await expect(dialog(page).getByText(/^● [3-9]\.\d s$/)).toBeVisible();
  await dialog(page).getByRole("button", { name: "Stop" }).click();

  // A second and a half are cut from its start, by keys.
  const start = dialog(page).getByRole("slider", { name: "Start of what is kept, in ms" });
  await start.focus();
  for (let tenth = 0; tenth < 15; tenth += 1) {
    await page.keyboard.press("ArrowRight");
  }
  await expect(dialog(page).getByText("from 1.5 s")).toBeVisible();
  const kept = Number(
    (
      await dialog(page)
        .getByText(/s are kept$/)
        .textContent()
    )?.split(" ")[0],
  );
  await dialog(page).getByRole("button", { name: "Close" }).click();
  await expect(dialog(page).getByText("It is not kept yet.")).toBeVisible();
  await dialog(page).getByRole("button", { name: "Stay" }).click();
  await dialog(page).getByRole("button", { name: "Keep this part" }).click();
  await expect(dialog(page)).toBeHidden({ timeout: 60_000 });

  // The server has read its length from the file, and the browser's own player says the same.
  const [recording] = (await (await page.request.get(`/api/combinations/${id}/recordings`)).json()).recordings;
  expect(recording).toMatchObject({ kind: "video", mediaType: "video/webm", subject: name });
  expect(Math.abs(recording.lengthMs / 1000 - kept)).toBeLessThan(0.25);
  await expect.poll(async () => (await stateOf(page)).width).toBeGreaterThan(300);
  expect(Math.abs((await stateOf(page)).length - kept)).toBeLessThan(0.25);

  const headers = await tokenOf(page.request);
  const card = await (
    await page.request.post("/api/cards", { headers, data: { name: "Filmed", combinations: [id] } })
  ).json();
  const content = {
    rules: "all-limbs",
    blocks: [
      {
        kind: "rounds",
        name: "Show",
        rounds: [{ seconds: 120, sets: [{ drill: "demonstration", combinations: [{ chain }] }] }],
      },
    ],
  };
  const plan = await (
    await page.request.post("/api/plans", { headers, data: { name, startsAt: null, content } })
  ).json();
  const wall = await (await page.request.post("/api/walls", { headers, data: { name } })).json();
  const run = { id: `filmed-${Date.now()}`, plan: plan.id, walls: [wall.id], leadIn: 0 };
  expect((await page.request.post("/api/runs", { headers, data: run })).status()).toBe(201);
  const context = await browser.newContext({ baseURL, viewport: { width: 1920, height: 1080 } });
  const screen = await context.newPage();
  await screen.goto(`/wall/${wall.key}`);
  const playsOnWall = async () => {
    await expect(screen.getByLabel("Recording of the combination")).toBeVisible();
    await expect.poll(async () => (await stateOf(screen)).width).toBeGreaterThan(300);
    const { time } = await stateOf(screen);
    await expect.poll(async () => (await stateOf(screen)).time).not.toBe(time);
  };
  await playsOnWall();
  await expect(screen.locator(".wall-words")).toContainText("southpaw");
  await screen.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await context.setOffline(true);
  await screen.reload();
  await playsOnWall();
  await context.close();

  const phone = await (await browser.newContext({ ...PHONE, baseURL })).newPage();
  await phone.goto(`/card/${card.key}`);
  await expect(phone.getByLabel(`Video: ${name}`)).toBeVisible();
  await expect.poll(async () => Math.abs((await stateOf(phone)).length - kept)).toBeLessThan(0.25);

  await panel(page).getByRole("button", { name: "Delete" }).click();
  await page.getByRole("button", { name: "Delete it" }).click();
  await expect(panel(page)).toContainText("None yet.");
  await phone.reload();
  await expect(phone.getByText(name)).toBeVisible();
  await expect(phone.locator("video")).toHaveCount(0);
});

test("of a long file half a minute is kept, and what is refused is still there", async ({ page, baseURL, browser }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/recordings");
  await page.getByLabel("Strike or move").fill("lead axe");
  await page.getByText("lead axe kick", { exact: true }).click();
  await page.getByRole("button", { name: "Record or choose a file" }).click();
  const choose = (file: { name: string; mimeType: string; buffer: Buffer }) =>
    dialog(page).getByLabel("A video or sound").setInputFiles(file);
  await choose({ name: "notes.mp4", mimeType: "video/mp4", buffer: Buffer.from("no video") });
  await expect(dialog(page).getByRole("alert")).toContainText("This browser cannot read that file.");
  await choose({ name: "long.wav", mimeType: "audio/wav", buffer: tone(45) });
  await expect(dialog(page).getByText("This is 45.0 s long; at most 30 seconds of it are kept.")).toBeVisible();
  await expect(dialog(page).getByText("30.0 s are kept")).toBeVisible();

  // Another coach is quicker: nothing is overwritten, and nothing is lost.
  const context = await browser.newContext({ baseURL });
  const other = await context.newPage();
  await signIn(other, COACH);
  const sent = await other.request.post("/api/recordings?technique=lead-axe-kick", {
    headers: { ...(await tokenOf(other.request)), "Content-Type": "audio/wav" },
    data: tone(1),
  });
  expect(sent.status(), await sent.text()).toBe(201);
  await context.close();
  await dialog(page).getByRole("button", { name: "Keep this part" }).click();
  await expect(dialog(page).getByText(/There is a recording of this by .* already/)).toBeVisible();
  await expect(dialog(page).getByRole("link", { name: "Save it on this device" })).toBeVisible();
  await dialog(page).getByRole("button", { name: "Close" }).click();
  await dialog(page).getByRole("button", { name: "Close without it" }).click();
  await expect(dialog(page)).toBeHidden();

  // The head coach may replace what another coach recorded.
  await page.reload();
  await page.getByLabel("Strike or move").fill("lead axe");
  await page.getByText("lead axe kick", { exact: true }).last().click();
  await page.getByRole("button", { name: "Record again" }).click();
  await choose({ name: "long.wav", mimeType: "audio/wav", buffer: tone(45) });
  await dialog(page).getByRole("button", { name: "Keep this part" }).click();
  await expect(dialog(page)).toBeHidden({ timeout: 60_000 });
  const row = page.getByRole("listitem").filter({ hasText: "lead axe kick" });
  await expect(row).toContainText(HEAD_COACH.name);
  await expect(row).toContainText("30.0 s");
  await row.getByText("Listen").click();
  await expect(row.getByLabel("Sound: lead axe kick")).toBeVisible();
  await row.getByRole("button", { name: "Delete" }).click();
  await page.getByRole("button", { name: "Delete it" }).click();
  await expect(row).toHaveCount(0);
});
