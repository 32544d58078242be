import { type NodePath, type PluginObj, transformAsync, types } from "@babel/core";
import { compileMessage } from "@lingui/message-utils/compileMessage";
import type { Plugin } from "vite";

/** Returns a message as the list that Lingui interpolates, or null for one without placeholders. */
function compiled(message: string): types.Expression | null {
  const parts = compileMessage(message);
  return parts.every((part) => typeof part === "string") ? null : types.valueToNode(parts);
}

/** Compiles the messages that the macros have left in the code, so that no parser is needed at run time. */
function compileMessages(): PluginObj {
  return {
    visitor: {
      ObjectProperty({ node }: NodePath<types.ObjectProperty>) {
        if (types.isIdentifier(node.key, { name: "message" }) && types.isStringLiteral(node.value)) {
          node.value = compiled(node.value.value) ?? node.value;
        }
      },
      JSXAttribute({ node }: NodePath<types.JSXAttribute>) {
        if (node.name.name === "message" && types.isStringLiteral(node.value)) {
          const value = compiled(node.value.value);
          node.value = value ? types.jsxExpressionContainer(value) : node.value;
        }
      },
    },
  };
}

/** Turns the macros of Lingui into messages, English included, so that English needs no catalogue at run time. */
export function messageMacros(): Plugin {
  const options = { babelrc: false, configFile: false, sourceMaps: true } as const;
  return {
    name: "message-macros",
    enforce: "pre",
    async transform(code, id) {
      if (!/\.tsx?$/.test(id) || !code.includes('/macro"')) {
        return null;
      }
      const parserOpts = { plugins: ["typescript" as const, "jsx" as const] };
      const messages = await transformAsync(code, {
        ...options,
        filename: id,
        parserOpts,
        plugins: [["@lingui/babel-plugin-lingui-macro", { stripMessageField: false }]],
      });
      const result = await transformAsync(messages?.code ?? code, {
        ...options,
        filename: id,
        parserOpts,
        inputSourceMap: messages?.map ?? undefined,
        plugins: [compileMessages],
      });
      return result?.code ? { code: result.code, map: result.map } : null;
    },
  };
}
