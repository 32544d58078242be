import { t } from "@lingui/core/macro";
import type { CheckRequest } from "../api/client";
import { GROUPS, MEDIA, TEMPOS } from "../ui/words";

/** The options of a check other than the rules; they are not stored. */
export type CheckOptions = Required<Pick<CheckRequest, "opponent" | "tempo" | "medium" | "group" | "athlete">>;

export const USUAL: CheckOptions = {
  opponent: "orthodox",
  tempo: 1,
  medium: "shadow",
  group: "open",
  athlete: "middle",
};

export const ATHLETES: { value: CheckOptions["athlete"]; label: string }[] = [
  { value: "small", label: t`small build` },
  { value: "middle", label: t`middle build` },
  { value: "tall", label: t`tall build` },
];

const known = <T>(options: { value: T }[], value: unknown, usual: T): T =>
  options.find((option) => String(option.value) === value)?.value ?? usual;

/** Reads the options of a shared link; missing or invalid ones get the default. */
export function optionsOf(address: URLSearchParams): CheckOptions {
  return {
    opponent: address.get("opponent") === "southpaw" ? "southpaw" : USUAL.opponent,
    tempo: known(TEMPOS, address.get("tempo"), USUAL.tempo),
    medium: known(MEDIA, address.get("medium"), USUAL.medium),
    group: known(GROUPS, address.get("group"), USUAL.group),
    athlete: known(ATHLETES, address.get("athlete"), USUAL.athlete),
  };
}

/** Returns the query parameters for options that differ from the default. */
export function addressOfOptions(options: CheckOptions): Record<string, string> {
  const names = Object.keys(USUAL) as (keyof CheckOptions)[];
  return Object.fromEntries(
    names.filter((name) => options[name] !== USUAL[name]).map((name) => [name, String(options[name])]),
  );
}
