import { expect, HEAD_COACH, signIn, test } from "./gym";

test("a course has a syllabus: proposed from a goal, moved, saved, followed by a generated session, and printed", async ({
  page,
}) => {
  await signIn(page, HEAD_COACH);
  const name = `Syllabus ${Date.now()}`;
  const { csrfToken } = await (await page.request.get("/api/session")).json();
  const headers = { "X-CSRF-Token": csrfToken };
  const course = await (
    await page.request.post("/api/courses", { headers, data: { name, rules: "boxing", levels: [1, 2] } })
  ).json();
  await page.goto("/sessions");
  await page.locator(".course", { hasText: name }).getByRole("link", { name: "Syllabus" }).click();
  await expect(page.getByRole("heading", { name: `Syllabus of ${name}` })).toBeVisible();
  await expect(page.getByText("Nothing is written yet")).toBeVisible();

  // The paths to two goals become the weeks.
  const weeks = page.locator(".syllabus-week");
  for (const goal of ["Open the door", "Cellar window"]) {
    await page.getByLabel("Propose from a goal").fill(goal);
    await page.locator(".ant-select-item-option:visible", { hasText: goal }).first().click();
    await expect(weeks.last()).toContainText(goal);
  }
  const count = await weeks.count();
  expect(count).toBeGreaterThan(1);
  const first = await weeks.first().locator(".syllabus-combinations").textContent();

  // The first week is dragged below the second.
  const handle = page.getByRole("button", { name: "Move week 1", exact: true });
  const from = await handle.boundingBox();
  const to = await weeks.nth(1).boundingBox();
  await page.mouse.move((from?.x ?? 0) + 8, (from?.y ?? 0) + 8);
  await page.mouse.down();
  await page.mouse.move((to?.x ?? 0) + 60, (to?.y ?? 0) + 30, { steps: 8 });
  await page.mouse.up();
  await expect(weeks.nth(1).locator(".syllabus-combinations")).toHaveText(first ?? "");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(weeks.first().locator(".syllabus-combinations")).toHaveText(first ?? "");

  await page.getByLabel("Theme of week 1").fill("hands and feet");
  await page
    .getByLabel("First week")
    .fill(new Date().toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" }));
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("The syllabus is saved.")).toBeVisible();
  await expect(weeks.first()).toContainText("this week");
  await expect(weeks.nth(1)).toContainText(/builds on|new:/);

  const made = await page.request.post("/api/plans/compose", {
    headers,
    data: { course: course.id, aim: "syllabus", seed: 5 },
  });
  expect(JSON.stringify(await made.json())).toContain("week 1, hands and feet");
  // Saved as a file, and read by another course.
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Save as JSON" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe(`${name}, syllabus.json`);
  const other = await (
    await page.request.post("/api/courses", { headers, data: { name: `${name} again`, rules: "boxing", levels: [1] } })
  ).json();
  const texts = await page.locator(".syllabus-combinations").allTextContents();
  await page.goto(`/courses/${other.id}/syllabus`);
  await page.getByLabel("A syllabus as JSON").setInputFiles({
    name: "notes.json",
    mimeType: "application/json",
    buffer: Buffer.from("no file"),
  });
  await expect(page.getByText(/This is not a syllabus of Periplus/)).toBeVisible();
  await page.getByLabel("A syllabus as JSON").setInputFiles(await file.path());
  await expect(page.getByText("Read; it is not saved yet.")).toBeVisible();
  await expect(weeks).toHaveCount(texts.length);
  await expect(weeks.first()).toContainText("1 2");
  await expect(page.getByLabel("Theme of week 1")).toHaveValue("hands and feet");

  const paper = await page.request.get(`/api/courses/${course.id}/syllabus.pdf`);
  expect((await paper.body()).subarray(0, 5).toString()).toBe("%PDF-");
});
