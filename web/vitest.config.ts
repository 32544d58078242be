import { fileURLToPath } from "node:url";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

// The root is the project's, not web/: the tests stand beside it.
const place = (path: string) => fileURLToPath(new URL(path, import.meta.url));
export default defineConfig({
  plugins: [react()],
  root: place(".."),
  cacheDir: place("node_modules/.vite"),
  test: { dir: place("../tests/web"), setupFiles: [place("../tests/web/page.ts")], testTimeout: 60_000 },
});
