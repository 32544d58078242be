import type { GenerateRequest, Limb, NumberingId, Rules, Stance } from "../api/client";
import { GROUPS, LIMBS } from "../ui/words";

export type Criteria = Required<Omit<GenerateRequest, "tempo">>;

/** The criteria are in the URL, so that a list can be shared and reproduced. */
export function criteriaOf(address: URLSearchParams, numbering: NumberingId): Criteria {
  const weapons = (address.get("weapons") ?? "hand")
    .split(",")
    .filter((limb) => LIMBS.some((one) => one.value === limb));
  return {
    length: Number(address.get("length")) || 4,
    weapons: (weapons.length === 0 ? ["hand"] : weapons) as Limb[],
    level: Number(address.get("level")) || null,
    theme: (address.get("theme") || null) as Required<GenerateRequest>["theme"],
    switches: address.get("switches") === "yes",
    clean: (address.get("clean") ?? "should") as Required<GenerateRequest>["clean"],
    rules: (address.get("rules") ?? "boxing") as Rules,
    seed: Number(address.get("seed")) || 1,
    count: 8,
    surprise: Number(address.get("surprise")) || 0,
    group: GROUPS.find(({ value }) => value === address.get("group"))?.value ?? "open",
    stance: (address.get("stance") ?? "orthodox") as Stance,
    numbering,
  };
}

/** Returns the query parameters for criteria. */
export function addressOf(criteria: GenerateRequest): Record<string, string | number> {
  return Object.fromEntries(
    Object.entries(criteria).map(([name, value]) => [
      name,
      value === null || value === false ? "" : value === true ? "yes" : Array.isArray(value) ? value.join(",") : value,
    ]),
  );
}
