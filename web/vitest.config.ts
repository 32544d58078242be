import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";
import { messageMacros } from "./messages";

export default defineConfig({
  plugins: [messageMacros(), react()],
  test: {
    dir: "src",
    setupFiles: ["src/testing/page.ts"],
    testTimeout: 60_000,
    isolate: false,
    // It holds on to the browser's database, which goes with the file of tests as all modules do.
    server: { deps: { inline: ["idb-keyval"] } },
  },
});
