import { defineConfig } from "vitest/config";

export default defineConfig({ test: { dir: "../tests/web", environment: "node", unstubGlobals: false } });
