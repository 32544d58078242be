import { i18n, type Messages } from "@lingui/core";
import { type CompiledMessage, compileMessage } from "@lingui/message-utils/compileMessage";

/** The catalogues of web/locales by language. English is in the code and needs none. */
const CATALOGUES: Record<string, () => Promise<{ messages: Messages }>> = {};

/** English with accents: shows in tests which texts of a screen are in no catalogue. */
const PSEUDO = "en-XA";
const ACCENTED: Record<string, string> = {
  a: "á",
  e: "é",
  i: "í",
  o: "ó",
  u: "ú",
  A: "Á",
  E: "É",
  I: "Í",
  O: "Ó",
  U: "Ú",
};
const withAccents = (text: string) => text.replace(/[aeiou]/gi, (vowel) => ACCENTED[vowel] ?? vowel);

const compiled = new Map<string, CompiledMessage>();

/** Compiles a message once, because those of a screen are needed at every render. */
function compileOnce(message: string): CompiledMessage {
  let parts = compiled.get(message);
  if (parts === undefined) {
    parts = compileMessage(message, i18n.locale === PSEUDO ? withAccents : undefined);
    compiled.set(message, parts);
  }
  return parts;
}

/** Activates the first language of the browser that there is. */
export async function activateLanguage(wanted: readonly string[] = navigator.languages): Promise<void> {
  const language = wanted.find((name) => name === PSEUDO || name in CATALOGUES) ?? "en";
  const catalogue = await CATALOGUES[language]?.();
  i18n.setMessagesCompiler(compileOnce);
  i18n.loadAndActivate({ locale: language, messages: catalogue?.messages ?? {} });
  document.documentElement.lang = language;
}
