import { transformAsync } from "@babel/core";
import type { Plugin } from "vite";

/** Turns the macros of Lingui into messages, English included, so that English needs no catalogue at run time. */
export function messageMacros(): Plugin {
  return {
    name: "message-macros",
    enforce: "pre",
    async transform(code, id) {
      if (!/\.tsx?$/.test(id) || !code.includes('/macro"')) {
        return null;
      }
      const result = await transformAsync(code, {
        filename: id,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        parserOpts: { plugins: ["typescript", "jsx"] },
        plugins: [["@lingui/babel-plugin-lingui-macro", { stripMessageField: false }]],
      });
      return result?.code ? { code: result.code, map: result.map } : null;
    },
  };
}
