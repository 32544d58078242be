import type { Page } from "@playwright/test";
import axe from "axe-core";

interface Violation {
  id: string;
  where: string;
}

/** The rules that ask about colours, which are others in each theme; what the rest ask about is the same in both. */
const COLOURS = ["color-contrast", "link-in-text-block"];

/** What keeps people out of the page as it stands, by all rules of axe or by those about colours: its rule, and where. */
export async function violations(page: Page, rules: "all" | "colours" = "all"): Promise<Violation[]> {
  if (!(await page.evaluate(() => "axe" in window))) {
    await page.evaluate(axe.source);
  }
  // Without the details of what is right, which take longer than all else.
  const options: axe.RunOptions = { resultTypes: ["violations"], ...(rules === "colours" && { runOnly: COLOURS }) };
  const found = await page.evaluate((options) => window.axe.run(document, options), options);
  return found.violations.map(({ id, nodes }) => ({
    id,
    where: nodes.map((node) => node.html.slice(0, 160)).join(" | "),
  }));
}

declare global {
  interface Window {
    axe: typeof axe;
  }
}
