import { expect, test } from "vitest";
import type { Link } from "../../web/src/api/client";
import { beforeContact, itemSentence, linkSentence } from "../../web/src/combination-line/sentences";
import { item } from "./chains";

const link = (verdict: Link["verdict"], waitMs: number): Link =>
  ({ from: 0, to: 1, verdict, waitMs, cause: null, reason: "The weight is still in front.", parts: {} }) as Link;
const cross = item("cross", 290);

test("a strike says when it lands, a move when it is done", () => {
  expect(itemSentence(cross, undefined)).toBe("Cross, lands at 0.49 s.");
  expect(itemSentence(item("slip lead", 100), undefined)).toBe("Slip lead, done at 0.50 s.");
});

test.each([
  ["flows", 0, "Flows."],
  ["flows", 40, "Flows, 40 ms."],
  ["reload", 350, "Reload of 350 ms."],
  ["breaks", 700, "Breaks: 700 ms."],
] as const)("a link that is %s by %i ms says so before its reason", (verdict, waitMs, said) => {
  expect(itemSentence(cross, link(verdict, waitMs))).toBe(
    `Cross, lands at 0.49 s. ${said} The weight is still in front.`,
  );
});

test("a link names both of its ends", () => {
  expect(linkSentence([item("cross"), item("cross", 600)], link("reload", 350))).toBe(
    "Cross to cross: reload, 350 ms. The weight is still in front.",
  );
});

test("what a body shot contacts takes the place of the plain word", () => {
  expect(beforeContact("left hook to the body", ["to the liver"])).toBe("left hook");
  expect(beforeContact("left hook to the body", [])).toBe("left hook to the body");
  expect(beforeContact("left hook", ["outside the foot"])).toBe("left hook");
});
