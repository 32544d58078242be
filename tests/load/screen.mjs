/**
 * Types chains on the bench in Chromium and measures from each key to the painted verdict of what is typed then.
 * Run by bin/periplus benchmark screen.
 */
import { createRequire } from "node:module";

const require = createRequire(`${process.env.ROOT}/web/package.json`);
const { chromium } = require("@playwright/test");
const BASE = `http://127.0.0.1:${process.env.PERIPLUS_PORT}`;
const CHAINS = ["1 2 3b 14l", "1 1 2 3 2", "11 1 2 14", "(1) 2 3 4", "slip-lead 3 2 14", "1 2 2 3b", "5 6 3b 13l", "1 2 step-out 14"];

const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox", "--disable-gpu"] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: BASE });
await page.goto("/");
await page.getByLabel("E-mail").fill("ines@saltworks.example");
await page.getByLabel("Password", { exact: true }).fill("first-bell-7");
await page.getByRole("button", { name: "Sign in" }).click();
await page.getByRole("button", { name: "Sign out" }).waitFor();

const times = [];
for (const chain of [CHAINS[0], ...CHAINS]) {
  await page.goto("/bench?rules=all-limbs");
  const entry = page.getByRole("textbox", { name: "Combination" });
  await entry.waitFor();
  await entry.fill("");
  let typed = "";
  for (const item of chain.split(" ")) {
    const before = typed;
    typed = typed === "" ? item : `${typed} ${item}`;
    for (const key of typed.slice(before.length, -1)) {
      await page.keyboard.insertText(key);
      await page.waitForTimeout(40);
    }
    // The last key of an item: from it until the drawing of exactly this chain, which comes with its verdict, is painted.
    const painted = page.evaluate(
      (name) =>
        new Promise((done) => {
          let began = null;
          addEventListener("input", () => { began ??= performance.now(); }, { once: true, capture: true });
          const look = () => {
            const line = document.querySelector(`[aria-label="Combination line: ${name}"]`);
            if (line && document.querySelector(".verdict") && began !== null) {
              requestAnimationFrame(() => done(performance.now() - began));
            } else {
              requestAnimationFrame(look);
            }
          };
          look();
        }),
      typed,
    );
    await page.waitForTimeout(250);
    await page.keyboard.insertText(typed.at(-1));
    times.push(await painted);
    await page.waitForTimeout(150);
  }
}
await browser.close();
// The first chain warms everything up.
const measured = times.slice(CHAINS[0].split(" ").length).sort((a, b) => a - b);
const at = (share) => Math.round(measured[Math.min(measured.length - 1, Math.floor(share * measured.length))]);
console.log(`${measured.length} keys: median ${at(0.5)} ms from key to painted verdict, 95th percentile ${at(0.95)} ms, slowest ${at(1)} ms`);
