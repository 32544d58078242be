import { readFileSync } from "node:fs";
import type { Browser, Locator } from "@playwright/test";
import { expect, HEAD_COACH, signIn, test } from "./gym";
import { layoutFaults } from "./layout";

const ROUTER = readFileSync(new URL("../src/app/Router.tsx", import.meta.url), "utf8");

/** Addresses with parameters, as the demo gym has them. */
const WITH_PARAMETERS: Record<string, string> = {
  "bench/:id": "/bench/4",
  "combinations/:id": "/combinations/4",
  "combinations/:id/measure": "/combinations/4/measure",
  "courses/:id/syllabus": "/courses/3/syllabus",
  "logbook/:id": "/logbook/1",
  "sessions/:id": "/sessions/1",
  "review/:id": "/review/1",
  "numbering/:id": "/numbering/body-pairs",
  "coaches/:id": "/coaches/2",
  "guide/:id": "/guide/writing",
};
/** Addresses that say more with a question. */
const WITH_QUESTION: Record<string, string[]> = {
  bench: ["/bench?chain=1+2+2+3b+step-out+14l+exit", "/bench"],
  compare: ["/compare?first=1+2+2&second=1+2+slip-rear+2&rules=boxing"],
  "house-rules": ["/house-rules", "/house-rules?part=numbers"],
  library: ["/library", "/library?q=nobody+has+this"],
  review: ["/review", "/review?list=offers"],
  "reports/path": ["/reports/path?to=5"],
};
/** Opened with a session that runs for it. */
const REMOTE = "run/:id";
/** These need a card or a visitor who is not signed in; other tests open them. */
const ELSEWHERE = new Set([REMOTE, "card/:key", "join", "*"]);

/** Every address of the router that shows a screen. */
const ADDRESSES = [...ROUTER.matchAll(/path: "([^"]+)", element: <(\w+)/g)]
  .filter(([, path, element]) => element !== "Navigate" && !ELSEWHERE.has(path ?? ""))
  .flatMap(([, path = ""]) => WITH_QUESTION[path] ?? [WITH_PARAMETERS[path] ?? `/${path}`]);

async function faultsAt(browser: Browser, baseURL: string | undefined, width: number): Promise<string[]> {
  const isPhone = width < 500;
  const context = await browser.newContext({
    baseURL,
    viewport: { width, height: isPhone ? 844 : 900 },
    hasTouch: isPhone,
    isMobile: isPhone,
  });
  const page = await context.newPage();
  await signIn(page, HEAD_COACH);
  const found: string[] = [];
  const look = async (address: string, ready: Locator) => {
    await page.goto(address);
    await expect(ready.first()).toBeAttached();
    await page.waitForLoadState("networkidle");
    found.push(...(await layoutFaults(page)).map((fault) => `${address}: ${fault}`));
  };
  for (const address of ADDRESSES) {
    await look(address, page.getByRole("heading", { level: 1 }));
  }
  const { csrfToken } = await (await page.request.get("/api/session")).json();
  const headers = { "X-CSRF-Token": csrfToken };
  const send = async (to: string, data: object) =>
    (
      await page.request.post(`/api/runs${to}`, { headers, data: { id: `layout-${width}-${Date.now()}`, ...data } })
    ).json();
  const run = await send("", { plan: 1 });
  await look(`/${REMOTE.replace(":id", run.id)}`, page.getByRole("toolbar", { name: "Rounds to jump to" }));
  await send(`/${run.id}/commands`, { kind: "end", seen: run.revision });
  await context.close();
  return found;
}

test.describe.configure({ timeout: 300_000 });

test("every address of the router is looked at", () => {
  expect(ADDRESSES.length).toBeGreaterThan(40);
  expect(ADDRESSES.filter((address) => address.includes(":"))).toEqual([]);
});

for (const width of [390, 1024, 1280, 1920]) {
  test(`nothing scrolls sideways, lies over another, is cut or too small for a finger at ${width}`, async ({
    browser,
    baseURL,
  }) => {
    expect(await faultsAt(browser, baseURL, width)).toEqual([]);
  });
}

test("a fault of the layout is found where there is one", async ({ page }) => {
  await signIn(page, HEAD_COACH);
  await page.evaluate(() => {
    const main = document.querySelector("main") as HTMLElement;
    main.insertAdjacentHTML(
      "beforeend",
      `<p class="planted-cut">A label that does not fit</p><button class="planted-wide">Wide</button>
       <button class="planted-under">Under</button><button class="planted-over">Over</button>`,
    );
    const style = (of: string, values: Partial<CSSStyleDeclaration>) =>
      Object.assign((main.querySelector(of) as HTMLElement).style, values);
    style(".planted-cut", { width: "40px", overflow: "hidden", whiteSpace: "nowrap" });
    style(".planted-wide", { width: "3000px" });
    style(".planted-over", { marginLeft: "-30px" });
  });
  const faults = (await layoutFaults(page)).join("\n");
  expect(faults).toContain("scrolls sideways");
  expect(faults).toContain("cut: p.planted-cut");
  expect(faults).toMatch(/overlap: .*planted-under.* and .*planted-over/);
});
