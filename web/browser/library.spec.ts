import type { Browser, Page } from "@playwright/test";
import { COACH, entry, expect, HEAD_COACH, OTHER_COACH, signIn, signOut, test, write } from "./gym";

const unique = () => `1 2 / *${2 + (Date.now() % 9)} ${"3 ".repeat(1 + (Math.floor(Date.now() / 1000) % 25))}exit`;

async function as(browser: Browser, coach: { email: string; password: string; name: string }): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await signIn(page, coach);
  return page;
}

test("a coach proposes, the head coach returns, the coach revises, the head coach approves", async ({
  page,
  browser,
}) => {
  const name = `Offered ${Date.now()}`;
  const chain = unique();
  await signIn(page, COACH);
  await page.goto("/bench");
  await write(page, chain);
  await page.getByRole("button", { name: "Propose", exact: true }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Remark").fill("For the late group.");
  await page.locator(".save-foot").getByRole("button", { name: "Propose", exact: true }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
  await expect(page.getByText("waits for the head coach")).toBeVisible();
  const address = page.url();
  await page.goto(`/library?q=${encodeURIComponent(name)}`);
  await expect(page.getByText("Nothing fits all of these")).toBeVisible();

  const head = await as(browser, HEAD_COACH);
  await head.getByRole("link", { name: /Review/ }).click();
  await head.getByText(name).click();
  await expect(head.getByRole("region", { name: "Reason" })).toContainText("For the late group.");
  await expect(head.getByRole("button", { name: "Send back" })).toBeDisabled();
  await head.getByLabel("Remark").fill("End on the rear hand.");
  await head.getByRole("button", { name: "Send back" }).click();
  await expect(head.getByText("Sent back to Tomas Okafor.")).toBeVisible();

  await page.goto("/review?list=returned");
  await page.getByText(name).click();
  await expect(page.getByText("End on the rear hand.").first()).toBeVisible();
  await page.getByRole("button", { name: "Revise on the bench" }).click();
  await expect(entry(page)).toHaveValue(chain);
  await write(page, chain.replace("exit", "2 exit"));
  await page.getByRole("button", { name: "Send", exact: true }).click();
  await page.getByRole("button", { name: "Send the revision" }).click();
  await expect(page.getByText("· waits for the head coach")).toBeVisible();

  await head.goto(address);
  await head.getByLabel("Remark").fill("Good for Thursdays.");
  await head.getByRole("button", { name: "Approve", exact: true }).click();
  await expect(head.getByText(`“${name}” is approved.`)).toBeVisible();
  // The next proposal that waits is shown.
  await expect(head).not.toHaveURL(address);
  await expect(head.getByRole("region", { name: "Decide" })).toBeVisible();
  await head.goto(`/library?q=${encodeURIComponent(name)}`);
  await head.getByRole("link", { name }).click();
  await expect(head.getByRole("region", { name: "History" })).toContainText("approved the proposal of Tomas Okafor");
  await expect(head.getByRole("region", { name: "History" })).toContainText("Good for Thursdays.");
  await page.goto(`/library?q=${encodeURIComponent(name)}`);
  await expect(page.getByText("1 combination found")).toBeVisible();
  await head.context().close();
});

test("two proposals for one combination: the second is looked at against the newest", async ({ page, browser }) => {
  await signIn(page, COACH);
  await page.goto("/library?q=long+pole+rear");
  await page.getByRole("link", { name: "Long pole, rear" }).click();
  const combination = page.url();
  const propose = async (who: Page, change: () => Promise<void>) => {
    await who.goto(combination);
    await who.getByRole("button", { name: "Open on the bench" }).click();
    await expect(entry(who)).toHaveValue(/^1 12/);
    await change();
    await expect(who.getByRole("heading", { name: "Long pole" }).first()).toBeVisible();
    return who.url();
  };
  const send = async (who: Page) => {
    await who.locator(".save-foot").getByRole("button", { name: "Propose", exact: true }).click();
    await expect(who.getByText("waits for the head coach")).toBeVisible();
  };
  const first = await propose(page, async () => {
    await write(page, `1 12 step-back ${"/ ".repeat(1 + (Date.now() % 7))}1`.trim());
    await page.getByRole("button", { name: "Propose", exact: true }).click();
    await send(page);
  });
  const other = await as(browser, OTHER_COACH);
  const second = await propose(other, async () => {
    await other.getByRole("button", { name: "Propose", exact: true }).click();
    await other.getByLabel("Note").fill("Keep the hands high.");
    await send(other);
  });
  const head = await as(browser, HEAD_COACH);
  await head.goto(second);
  await expect(head.getByText("Keep the hands high.").first()).toBeVisible();
  const decider = await as(browser, HEAD_COACH);
  await decider.goto(first);
  await decider.getByRole("button", { name: "Approve", exact: true }).click();
  await expect(decider.getByText(/is approved/)).toBeVisible();

  // The head coach still looks at the old one; the decision is not taken on it.
  await head.getByRole("button", { name: "Approve", exact: true }).click();
  await expect(head.getByText("changed this combination meanwhile")).toBeVisible();
  await expect(head.getByText("Since this was proposed, others changed chain")).toBeVisible();
  await head.getByRole("button", { name: "Approve", exact: true }).click();
  await expect(head.getByText(/is approved/)).toBeVisible();
  await head.goto(combination);
  await expect(head.getByText("Keep the hands high.").first()).toBeVisible();
  await expect(head.getByRole("region", { name: "History" })).toContainText("/");
  await Promise.all([other.context().close(), head.context().close(), decider.context().close()]);
});

test("an import with mistakes says what each line would do, and all of it goes in or nothing", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/exchange");
  const name = `Imported ${Date.now()}`;
  await page
    .getByLabel("Text to import")
    .fill(`${unique()} # ${name}\n1 2 zork # Broken\n1 2 3b exit # Cellar window\n1 2 3b exit # Twice`);
  await page.getByRole("button", { name: "Preview" }).click();
  await expect(page.getByText("new 1")).toBeVisible();
  await expect(page.getByText("Line 2: 1 2 zork # Broken")).toBeVisible();
  await expect(page.getByText('"zork" is not a strike or a move.')).toBeVisible();
  await expect(page.getByText("It is in the library unchanged.")).toBeVisible();
  await expect(page.getByText("This chain is in the library already as “Cellar window”.")).toBeVisible();
  await page.getByRole("button", { name: "Import 1 combination" }).click();
  await expect(page.getByText("Done: 1 new, 0 changed.")).toBeVisible();
  await page.goto(`/library?q=${encodeURIComponent(name)}`);
  await expect(page.getByText("1 combination found")).toBeVisible();

  await page.goto("/exchange");
  await page.locator("input[type=file]").setInputFiles({
    name: "broken.json",
    mimeType: "application/json",
    buffer: Buffer.from('{"format": "periplus-library",\n "version": 1,\n "combinations": [ { "name": } ] }'),
  });
  await page.getByRole("button", { name: "Preview" }).click();
  await expect(page.getByText("This JSON is broken at line 3, column 30.")).toBeVisible();
});

test("a numbering is made with its clashes shown, and every coach reads in the one they choose", async ({ page }) => {
  const name = `Quay ${Date.now()}`;
  await signIn(page, HEAD_COACH);
  await page.goto("/numbering/parity");
  await page.getByRole("button", { name: "Start a numbering from this" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByLabel("Number of row 3", { exact: true }).fill("4");
  await expect(page.getByText("4 is used twice: also in row 3.").first()).toBeVisible();
  await expect(page.getByRole("button", { name: "Save the numbering" })).toBeDisabled();
  await page.getByLabel("Number of row 3", { exact: true }).fill("H1");
  await page.getByLabel("Number of row 4", { exact: true }).fill("H2");
  await expect(page.getByText(/combinations read differently/)).toBeVisible();
  await expect(page.getByText("1 2 H1b exit").first()).toBeVisible();
  await page.getByRole("button", { name: "Save the numbering" }).click();
  await expect(page.getByRole("button", { name: "Use for me" })).toBeVisible();
  await signOut(page);

  await signIn(page, COACH);
  await page.goto("/library?q=cellar+window");
  await expect(page.locator(".cell-numbers")).toHaveText("1 2 3b exit");
  await page.goto("/account");
  await page.getByLabel("The numbering you read in").click();
  await page.getByText(name, { exact: true }).click();
  await expect(page.getByRole("main")).toContainText(name);
  await page.goto("/library?q=has+H1b");
  await expect(page.locator(".cell-numbers").first()).toContainText("H1b");
  await page.getByRole("link", { name: "Cellar window" }).click();
  await expect(page.locator(".combination-facts b")).toHaveText("1 2 H1b exit");
  await page.getByRole("region", { name: "In the other stance" }).getByRole("link", { name: "compare" }).last().click();
  await expect(page.getByText("2 1 H2b exit", { exact: true })).toBeVisible();
  await page.goBack();
  await page.getByRole("button", { name: "Apply" }).click();
  await expect(entry(page)).toHaveValue("2 1 H2b exit");
  await expect(page.getByText("cross, jab, rear hook to the body, exit")).toBeVisible();
  await page.goBack();
  await page.getByRole("button", { name: "Open on the bench" }).click();
  await expect(entry(page)).toHaveValue("1 2 H1b exit");
  await page.goto("/account");
  await page.getByLabel("The numbering you read in").click();
  await page
    .getByText(/^The gym’s/)
    .last()
    .click();
  await expect(page.getByRole("main")).toContainText("The gym’s: ");
  await page.goto("/library?q=cellar+window");
  await expect(page.locator(".cell-numbers")).toHaveText("1 2 3b exit");
});

test("a search is understood, explained when empty, and kept under a name", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto("/library");
  await page.getByLabel("Search the library").fill("starts 1, ends kick, no switch");
  for (const said of ["starts with a jab", "ends with a kick", "has no switch"]) {
    await expect(page.getByText(said, { exact: true })).toBeVisible();
  }
  await expect(page.getByRole("link", { name: "Kick the tide" })).toBeVisible();
  await page.getByRole("button", { name: "Save view" }).click();
  const name = `Kicks ${Date.now()}`;
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("dialog").getByRole("button", { name: "Save view" }).click();
  await page.goto("/library");
  await page.getByRole("button", { name, exact: true }).click();
  await expect(page.getByLabel("Search the library")).toHaveValue("starts 1, ends kick, no switch");
  await page.getByRole("button", { name: `Delete “${name}”` }).click();
  await expect(page.getByRole("button", { name, exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByRole("button", { name, exact: true })).toBeVisible();

  await page.getByLabel("Search the library").fill("starts kick, ends elbow");
  await expect(page.getByText("Nothing fits all of these")).toBeVisible();
  await page.getByRole("button", { name: /without “ends elbow”/ }).click();
  await expect(page.getByRole("link", { name: "Cold morning" })).toBeVisible();
});

test("what is there already is named while one writes, and a family is walked", async ({ page }) => {
  await signIn(page, COACH);
  await page.goto("/bench");
  await write(page, "1 2 3b exit");
  const similar = page.getByRole("region", { name: "Similar in the library" });
  await expect(similar).toContainText("Cellar window");
  await expect(similar).toContainText("the same chain");
  await similar.getByRole("link", { name: "Cellar window" }).click();
  const family = page.getByRole("region", { name: "Family" });
  await expect(family.locator(".branch-self")).toContainText("Cellar window");
  await family.getByRole("link", { name: /Open the door/ }).click();
  await expect(page.getByRole("heading", { name: "Open the door" })).toBeVisible();
  await expect(family).toContainText("Cellar window");
});

test("an invited coach joins by the link and is signed in", async ({ page, browser }) => {
  await signIn(page, HEAD_COACH);
  await page.goto("/coaches");
  await page.getByRole("button", { name: "Make a link" }).click();
  const link = await page.locator(".link-made b").textContent();
  const joining = await (await browser.newContext()).newPage();
  await joining.goto(link ?? "");
  const email = `new-${Date.now()}@saltworks.example`;
  await joining.getByLabel("Your name, as the other coaches see it").fill("Noor Haddad");
  await joining.getByLabel("E-mail").fill(email);
  await joining.getByLabel("Password", { exact: true }).fill("fourth-bell-7");
  await joining.getByRole("button", { name: "Join" }).click();
  // Whoever has just chosen a password need not give it again.
  await expect(joining.getByRole("heading", { name: "Library" })).toBeVisible();
  await expect(joining.getByText("Noor Haddad")).toBeVisible();
  await joining.goto(link ?? "");
  await expect(joining.getByText("This link was used already, was withdrawn or is too old.")).toBeVisible();
  await joining.context().close();
});
