import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";

/** What keeps people out of the page as it stands, by all rules of axe: its rule, and where. */
export async function violations(page: Page): Promise<{ id: string; where: string }[]> {
  // In the page itself, and without the details of what is right: a page of its own for each answer takes four times as long.
  const found = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ["violations"] })
    .analyze();
  return found.violations.map(({ id, nodes }) => ({
    id,
    where: nodes.map((node) => node.html.slice(0, 160)).join(" | "),
  }));
}
