import type { Item, Link } from "../api/client";
import { seconds } from "../ui/words";

/** "Cross, lands at 0.49 s. From the jab it flows: ..." */
export function itemSentence(item: Item, link: Link | undefined): string {
  const name = item.words.charAt(0).toUpperCase() + item.words.slice(1);
  const when = item.impactMs === null ? `done at ${seconds(item.endMs)}` : `lands at ${seconds(item.impactMs)}`;
  return `${name}, ${when}.${link ? ` ${verdictWords(link)} ${link.reason}` : ""}`;
}

/** "Cross to cross: reload, 350 ms. ..." */
export function linkSentence(items: Item[], link: Link): string {
  const from = items[link.from]?.words ?? "";
  const to = items[link.to]?.words ?? "";
  return `${from.charAt(0).toUpperCase() + from.slice(1)} to ${to}: ${link.verdict}, ${link.waitMs} ms. ${link.reason}`;
}

function verdictWords(link: Link): string {
  if (link.verdict === "flows") {
    return link.waitMs > 0 ? `Flows, ${link.waitMs} ms.` : "Flows.";
  }
  return link.verdict === "reload" ? `Reload of ${link.waitMs} ms.` : `Breaks: ${link.waitMs} ms.`;
}

/** "left hook to the body" before what it meets there: "left hook", "to the liver". */
export function beforeContact(words: string, contacts: string[]): string {
  const body = " to the body";
  return contacts.length > 0 && words.endsWith(body) ? words.slice(0, -body.length) : words;
}
