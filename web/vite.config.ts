import { readFileSync } from "node:fs";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";

/** The colours of the palette, which paper shares, as CSS variables. */
function palette(): Plugin {
  const file = new URL("../core/data/palette.json", import.meta.url);
  const id = "\0palette.css";
  return {
    name: "palette",
    resolveId: (source) => (source === "virtual:palette.css" ? id : null),
    load(asked) {
      if (asked !== id) {
        return null;
      }
      const { colours } = JSON.parse(readFileSync(file, "utf8")) as { colours: Record<string, string> };
      return `:root{${Object.entries(colours)
        .map(([name, value]) => `--${name}:${value}`)
        .join(";")}}`;
    },
  };
}

export default defineConfig({
  plugins: [react(), palette()],
  build: { target: "es2022", assetsInlineLimit: 0, chunkSizeWarningLimit: 1200 },
  server: { proxy: { "/api": "http://127.0.0.1:8420" } },
});
