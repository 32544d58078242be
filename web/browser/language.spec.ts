import type { Page } from "@playwright/test";
import { expect, HEAD_COACH, test } from "./gym";

// English with accents: a text without them comes from no catalogue.
test.use({ locale: "en-XA" });

/** Members of answers whose values coaches have written, or that name strikes, moves and other facts of the trade. */
const DATA = new Set([
  "about",
  "author",
  "by",
  "caution",
  "chain",
  "coach",
  "code",
  "combinations",
  "contacts",
  "contact",
  "does",
  "easier",
  "editor",
  "email",
  "fault",
  "from",
  "gym",
  "head",
  "label",
  "meaning",
  "meets",
  "name",
  "notation",
  "note",
  "noun",
  "numbers",
  "open",
  "orthodox",
  "relatedTo",
  "reminders",
  "room",
  "shortName",
  "southpaw",
  "source",
  "spoken",
  "strike",
  "subject",
  "text",
  "themes",
  "timeZone",
  "to",
  "word",
  "words",
]);

function wordsOf(value: unknown, isData: boolean, into: Set<string>): void {
  if (typeof value === "string") {
    if (isData) {
      for (const word of value.match(/\p{L}+/gu) ?? []) {
        into.add(word.toLowerCase());
      }
    }
  } else if (Array.isArray(value)) {
    for (const one of value) {
      wordsOf(one, isData, into);
    }
  } else if (value !== null && typeof value === "object") {
    for (const [key, one] of Object.entries(value)) {
      wordsOf(one, isData || DATA.has(key), into);
    }
  }
}

/** Passes the next answers of the server on to a page; the function returns the words of the gym's data in them. */
async function dataOf(page: Page): Promise<() => Set<string>> {
  const lines: string[] = [];
  await page.route("**/api/**", async (route) => {
    try {
      const response = await route.fetch();
      const type = response.headers()["content-type"] ?? "";
      if (type.includes("json")) {
        const body = await response.text();
        lines.push(...(type.includes("ndjson") ? body.split("\n") : [body]));
      }
      await route.fulfill({ response });
    } catch {
      // The page has given up the request.
      await route.abort().catch(() => undefined);
    }
  });
  return () => {
    const words = new Set<string>();
    for (const line of lines) {
      if (line.trim()) {
        wordsOf(JSON.parse(line), false, words);
      }
    }
    return words;
  };
}

/** Dates, which the browser writes, the texts of Ant Design's own catalogue, and names of formats. */
const FOREIGN = new RegExp(
  "^(Mon|Tue|Wed|Thu|Fri|Sat|Sun|Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday|Jan|Feb|Mar|Apr|May|Jun|Jul|" +
    "Aug|Sept|Oct|Nov|Dec|January|February|March|April|June|July|August|September|October|November|December|" +
    "Increase|Decrease|Value|Previous|Next|Page|Show|Hide|segmented|control|" +
    "Clear|calendar|clock|close|circle|up|down|left|right|eye|invisible|search|JSON|MariaDB|min|ms|cm)$",
);

/** The texts that are shown or read out and contain a word without accents. */
async function plainTexts(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const found: string[] = [];
    const add = (text: string | null | undefined) => {
      if (text && /\b[a-z]*[aeiou][a-z]*\b/i.test(text)) {
        found.push(text.replace(/\s+/g, " ").trim());
      }
    };
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      if (node instanceof Element) {
        for (const name of ["aria-label", "title", "placeholder", "alt"]) {
          add(node.getAttribute(name));
        }
      } else if (!node.parentElement?.closest("script, style, [translate=no]")) {
        add(node.textContent);
      }
    }
    return found;
  });
}

/** Opens a screen and expects that all of its texts come from a catalogue or are data. */
async function expectTranslated(page: Page, address: string): Promise<void> {
  // Not the data of an earlier screen, whose words would hide a text of this one.
  const dataOfPage = await dataOf(page);
  await page.goto(address);
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await page.waitForLoadState("networkidle");
  const untranslated = async () => {
    const texts = await plainTexts(page);
    // Read after the texts, so that it has all that they were made of.
    const data = dataOfPage();
    const plain = texts.filter((text) =>
      (text.match(/\p{L}+/gu) ?? []).some(
        (word) => /^[a-z]*[aeiou][a-z]*$/i.test(word) && !FOREIGN.test(word) && !data.has(word.toLowerCase()),
      ),
    );
    return [...new Set(plain)];
  };
  await expect.poll(untranslated, { message: address }).toEqual([]);
}

const SCREENS = [
  "/library",
  "/bench?chain=1+2+2+step-out+14l+31+exit&rules=kickboxing",
  "/generate",
  "/review",
  "/review?list=offers",
  "/sharing",
  "/sessions",
  "/sessions/1",
  "/courses/1/syllabus",
  "/run",
  "/logbook",
  "/reports/drilled",
  "/reports/weapons",
  "/reports/balance",
  "/reports/due",
  "/reports/links",
  "/reports/faults",
  "/reports/planned",
  "/reports/month",
  "/voice",
  "/advice",
  "/recordings",
  "/verdict-changes",
  "/words",
  "/audit-log",
  "/exchange",
  "/numbering",
  "/house-rules",
  "/coaches",
  "/settings",
  "/status",
  "/account",
];

test("the sign-in comes from the catalogue", async ({ page }) => {
  await expectTranslated(page, "/");
});

for (const address of SCREENS) {
  test(`all texts of ${address} come from a catalogue`, async ({ page }) => {
    await page.goto("/");
    await page.locator("input").nth(0).fill(HEAD_COACH.email);
    await page.locator("input").nth(1).fill(HEAD_COACH.password);
    await page.keyboard.press("Enter");
    await expect(page.locator("nav").first()).toBeVisible();
    await page.waitForLoadState("networkidle");
    await expectTranslated(page, address);
  });
}
