import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  test: { dir: "src", setupFiles: ["src/testing/page.ts"], testTimeout: 60_000 },
});
