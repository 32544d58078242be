import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";

const SRC = join(import.meta.dirname, "..");
/** Attributes whose value is no prose. */
const SILENT = new Set([
  "className",
  "id",
  "htmlFor",
  "key",
  "to",
  "href",
  "type",
  "size",
  "role",
  "d",
  "style",
  "transform",
  "viewBox",
  "autoComplete",
  "accept",
  "rowKey",
  "fill",
  "points",
]);

const prose = (text: string) => text.replace(/\s+/g, " ").trim();
/** Words for people: several of them, or one that begins a sentence or a label. */
const isProse = (text: string) =>
  /\p{L}{2}/u.test(text) &&
  (/\p{L}[’',.:;!?]? \p{L}/u.test(text) || /^\p{Lu}\p{Ll}+[.!?]?$/u.test(text)) &&
  !/[{}<>=_]|^\/|https?:|\bvar\(/.test(text.replace(/\{\}/g, ""));

/** A template with {} for what is put in. */
function written(node: ts.TemplateExpression): string {
  return node.head.text + node.templateSpans.map((span) => `{}${span.literal.text}`).join("");
}

/** The words of one file in their order. */
function wordsOf(path: string): string[] {
  const file = ts.createSourceFile(path, readFileSync(path, "utf8"), ts.ScriptTarget.ES2022, true);
  const words: string[] = [];
  const add = (text: string) => {
    const line = prose(text);
    if (line !== "" && !words.includes(line)) {
      words.push(line);
    }
  };
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) {
      return;
    }
    if (ts.isJsxAttribute(node) && SILENT.has(node.name.getText())) {
      return;
    }
    if (ts.isJsxText(node) && /\p{L}/u.test(node.text)) {
      add(node.text);
    } else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (isProse(prose(node.text))) {
        add(node.text);
      }
    } else if (ts.isTemplateExpression(node) && isProse(prose(written(node).replaceAll("{}", "x x")))) {
      add(written(node));
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return words;
}

/** Everything that the screens say, file by file, to be read in a row. */
export function catalogue(): string {
  const files = readdirSync(SRC, { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$|^testing|schema\.d\.ts$/.test(file))
    .sort();
  return files
    .map((file) => [file, wordsOf(join(SRC, file))] as const)
    .filter(([, words]) => words.length > 0)
    .map(([file, words]) => `## ${file}\n${words.join("\n")}\n`)
    .join("\n");
}
