import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: ".",
  outputDir: "../../var/browser-results",
  workers: 1,
  // A browser on a busy machine may be late; what passes only the second time is reported as flaky.
  retries: process.env.CI ? 1 : 0,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [["list"]],
  use: {
    baseURL: process.env.PERIPLUS_URL ?? "http://127.0.0.1:8430",
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    navigationTimeout: 20_000,
    screenshot: "only-on-failure",
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--no-first-run",
      ],
    },
  },
});
