import { existsSync, readFileSync } from "node:fs";
import { lingui } from "@lingui/vite-plugin";
import react from "@vitejs/plugin-react";
import { defineConfig, type Plugin } from "vite";
import { VitePWA } from "vite-plugin-pwa";
import { messageMacros } from "./messages";

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
      const { colours, dark } = JSON.parse(readFileSync(file, "utf8")) as Record<string, Record<string, string>>;
      const variables = (of: Record<string, string> = {}) =>
        Object.entries(of)
          .map(([name, value]) => `--${name}:${value}`)
          .join(";");
      return `:root{${variables(colours)}}:root[data-theme="dark"]{${variables(dark)}}`;
    },
  };
}

/** The files that a page asks for, and those that they ask for. */
function partsOf(page: string, folder: string): Set<string> {
  const found = new Set([page]);
  for (const file of found) {
    if (/\.(html|js|css)$/.test(file)) {
      for (const [name] of readFileSync(new URL(file, folder), "utf8").matchAll(/[\w.-]+\.(?:js|css|woff2|svg)/g)) {
        for (const path of [`assets/${name}`, name]) {
          if (existsSync(new URL(path, folder))) {
            found.add(path);
          }
        }
      }
    }
  }
  return found;
}

/** A worker that keeps the page of walls and athletes, with all that it is made of, for a time without the server. */
const worker = VitePWA({
  strategies: "generateSW",
  filename: "wall-worker.js",
  injectRegister: null,
  manifest: false,
  workbox: {
    globPatterns: ["wall.html", "mark.svg", "assets/*.{js,css,woff2}"],
    navigateFallback: "/wall.html",
    navigateFallbackAllowlist: [/^\/(wall|follow|at-home)\//],
    inlineWorkboxRuntime: true,
    skipWaiting: true,
    clientsClaim: true,
    manifestTransforms: [
      async (entries) => {
        const parts = partsOf("wall.html", new URL("./dist/", import.meta.url).href);
        return { manifest: entries.filter((entry) => parts.has(entry.url)), warnings: [] };
      },
    ],
  },
});

export default defineConfig({
  plugins: [messageMacros(), lingui(), react(), palette(), worker],
  build: {
    target: "es2022",
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
    rolldownOptions: { input: ["index.html", "wall.html"] },
  },
  server: { proxy: { "/api": process.env.PERIPLUS_API ?? "http://127.0.0.1:8420" } },
});
