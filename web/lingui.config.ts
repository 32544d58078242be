import { defineConfig } from "@lingui/conf";
import { formatter } from "@lingui/format-po";

/** The words of the screens. English is in the code; `npm run messages` extracts it into the catalogues. */
export default defineConfig({
  sourceLocale: "en",
  locales: ["en"],
  catalogs: [{ path: "<rootDir>/locales/{locale}", include: ["src"], exclude: ["**/*.test.*", "src/testing/**"] }],
  format: formatter({ lineNumbers: false }),
  runtimeConfigModule: { Trans: ["<rootDir>/src/ui/Trans", "Trans"] },
});
