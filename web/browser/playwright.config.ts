import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: ".",
  outputDir: "../../var/browser-results",
  // One for each of two processors; PERIPLUS_URL alone names one gym, for one worker.
  workers: process.env.PERIPLUS_TEMPLATE ? 2 : 1,
  // A browser on a busy machine may be late; what passes only the second time is reported as flaky.
  retries: process.env.CI ? 1 : 0,
  // Wide, so that a busy machine fails no test; none says how long anything may take.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [["list"]],
  use: {
    baseURL: process.env.PERIPLUS_URL ?? "http://127.0.0.1:8430",
    viewport: { width: 1280, height: 800 },
    actionTimeout: 60_000,
    navigationTimeout: 60_000,
    screenshot: "only-on-failure",
    launchOptions: {
      executablePath: "/usr/bin/chromium-headless-shell",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--no-first-run",
        // A test picture and a tone in place of a camera and a microphone.
        "--use-fake-device-for-media-stream",
        "--use-fake-ui-for-media-stream",
      ],
    },
  },
});
