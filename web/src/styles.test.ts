import { readdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { expect, test } from "vitest";

const SRC = import.meta.dirname;
const files = readdirSync(SRC, { recursive: true, encoding: "utf8" }).filter((file) => file.includes("/"));
const read = (file: string) => readFileSync(join(SRC, file), "utf8");

/** The folders whose style sheets define a class. */
const owners = new Map<string, Set<string>>();
for (const file of files.filter((one) => one.endsWith(".css"))) {
  for (const [, name = ""] of read(file)
    .replace(/\/\*.*?\*\//gs, "")
    .matchAll(/\.([a-z][\w-]*)/g)) {
    owners.set(name, (owners.get(name) ?? new Set()).add(dirname(file)));
  }
}

/** Returns every class name in a className, including alternatives; "next-" where a value is appended. */
function classes(code: string): string[] {
  const names: string[] = [];
  for (const found of code.matchAll(/className=("[^"]*"|\{)/g)) {
    let value = found[1] ?? "";
    if (value === "{") {
      let depth = 1;
      let at = (found.index ?? 0) + found[0].length;
      for (; depth > 0 && at < code.length; at += 1) {
        depth += code[at] === "{" ? 1 : code[at] === "}" ? -1 : 0;
      }
      value = code.slice((found.index ?? 0) + found[0].length, at - 1);
    }
    for (const [, text = ""] of value.matchAll(/["`]([^"`]*)["`]/g)) {
      names.push(...text.replace(/\$\{[^}]*\}/g, "").split(/\s+/));
    }
  }
  return names.filter((name) => name !== "" && !name.endsWith("-") && !name.startsWith("ant-"));
}

const screens = files.filter((file) => file.endsWith(".tsx") && !/\.test\.tsx$|^testing/.test(file));

test.each(screens)("%s only uses classes of its own folder and of ui", (file) => {
  const others = classes(read(file)).filter((name) => {
    const of = owners.get(name);
    return of && !of.has(dirname(file)) && !of.has("ui");
  });
  expect(others).toEqual([]);
});

test("every class of a sheet is used by its folder, or by any when it is shared", () => {
  const code = (folder: string) =>
    screens
      .filter((file) => folder === "ui" || dirname(file) === folder)
      .map(read)
      .join("\n");
  const unused = [...owners].flatMap(([name, folders]) =>
    [...folders].flatMap((folder) => {
      const used = code(folder);
      // A class name may end with a value: `verdict-${verdict}`.
      const begun = [...used.matchAll(/([a-z][\w-]*-)\$\{/g)].some(([, begin = ""]) => name.startsWith(begin));
      return name.startsWith("ant-") || used.includes(name) || begun ? [] : [`${folder}: ${name}`];
    }),
  );
  expect(unused).toEqual([]);
});
