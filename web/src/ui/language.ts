import { i18n, type Messages } from "@lingui/core";

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

/** Activates the first language of the browser that there is. */
export async function activateLanguage(wanted: readonly string[] = navigator.languages): Promise<void> {
  const language = wanted.find((name) => name === PSEUDO || name in CATALOGUES) ?? "en";
  const catalogue = await CATALOGUES[language]?.();
  // Messages with placeholders were compiled by the build; all others are their own text.
  i18n.setMessagesCompiler((message) => [message]);
  i18n.loadAndActivate({ locale: language, messages: catalogue?.messages ?? {} });
  if (language === PSEUDO) {
    const plain = i18n._.bind(i18n);
    i18n._ = ((...message: Parameters<typeof plain>) =>
      plain(...message).replace(/[aeiou]/gi, (vowel) => ACCENTED[vowel] ?? vowel)) as typeof i18n._;
  }
  document.documentElement.lang = language;
}
