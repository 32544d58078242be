/**
 * Types chains on the bench in Chromium and measures from each key to the painted verdict of what is typed then.
 * Run by bin/periplus benchmark screen.
 */
import { createRequire } from "node:module";

const require = createRequire(`${process.env.ROOT}/web/package.json`);
const { chromium } = require("@playwright/test");
const BASE = `http://127.0.0.1:${process.env.PERIPLUS_PORT}`;
const CHAINS = ["1 2 3b 14l", "1 1 2 3 2", "11 1 2 14", "(1) 2 3 4", "slip-lead 3 2 14", "1 2 2 3b", "5 6 3b 13l", "1 2 step-out 14"];

const browser = await chromium.launch({ executablePath: "/usr/bin/chromium-headless-shell", args: ["--no-sandbox", "--disable-gpu"] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: BASE });
await page.goto("/", { waitUntil: "networkidle" });
// As sent: what the first page asks for before anybody has signed in.
const script = await page.evaluate(() =>
  performance
    .getEntriesByType("resource")
    .filter((entry) => entry.name.endsWith(".js"))
    .reduce((sum, entry) => sum + entry.encodedBodySize, 0),
);
await page.getByLabel("E-mail").fill("ines@saltworks.example");
await page.getByLabel("Password", { exact: true }).fill("first-bell-7");
await page.getByRole("button", { name: "Sign in" }).click();
await page.getByRole("button", { name: "Sign out" }).waitFor();

const devtools = await page.context().newCDPSession(page);
await devtools.send("Performance.enable");
const scriptMs = async () => {
  const { metrics } = await devtools.send("Performance.getMetrics");
  return 1000 * metrics.find((metric) => metric.name === "ScriptDuration").value;
};
const posts = [];
page.on("request", (request) => request.method() === "POST" && posts.push(new URL(request.url()).pathname));

const times = [];
const scripts = [];
const requests = [];
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
    const start = { script: await scriptMs(), posts: posts.length };
    await page.keyboard.insertText(typed.at(-1));
    times.push(await painted);
    // The parts that come after the check.
    await page.waitForTimeout(400);
    scripts.push((await scriptMs()) - start.script);
    requests.push(posts.length - start.posts);
  }
}
await browser.close();
// The first chain warms everything up.
const sorted = (values) => values.slice(CHAINS[0].split(" ").length).sort((a, b) => a - b);
const at = (values, share) => Math.round(sorted(values)[Math.min(sorted(values).length - 1, Math.floor(share * sorted(values).length))]);
console.log(`${sorted(times).length} keys: median ${at(times, 0.5)} ms from key to painted verdict, 95th percentile ${at(times, 0.95)} ms, slowest ${at(times, 1)} ms`);
console.log(`script of a key and of all that it brings: median ${at(scripts, 0.5)} ms, 95th percentile ${at(scripts, 0.95)} ms`);
console.log(`requests a key: ${Math.min(...requests)} to ${Math.max(...requests)}`);
console.log(`script of the first page, as sent: ${Math.round(script / 1000)} kB`);
