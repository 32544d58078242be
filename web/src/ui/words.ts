import { t } from "@lingui/core/macro";
import type { Coach, Course, FileFormat, Finding, Limb, Rules, Stance, Verdict } from "../api/client";
import type { PlanBlock, PlanRound } from "../api/schema";

/** The formats for export and import of the library, simplest first. */
export const FILE_FORMATS: Record<FileFormat, { name: string; keeps: string; reads: string }> = {
  text: {
    name: t`Text`,
    keeps: t`one chain a line, its name after #`,
    reads: t`Text: one chain a line, its name after #`,
  },
  csv: { name: "CSV", keeps: t`for a spreadsheet, in the numbers you read`, reads: t`CSV, with its columns named` },
  json: { name: "JSON", keeps: t`contains everything; import it again here or elsewhere`, reads: t`JSON of Periplus` },
};

/** The names of the roles. */
export const ROLES: Record<Coach["role"], string> = { coach: t`coach`, "head-coach": t`head coach` };
export const RULES: { value: Rules; label: string }[] = [
  { value: "boxing", label: t`Boxing` },
  { value: "kickboxing", label: t`Kickboxing` },
  { value: "all-limbs", label: t`All limbs` },
];

/** Returns the name of an option in the middle of a sentence. */
export function nameOf<T>(options: { value: T; label: string }[], value: T): string {
  return (options.find((option) => option.value === value)?.label ?? "").toLowerCase();
}

export const LEVELS = [
  { value: 1, label: t`1 · first steps` },
  { value: 2, label: t`2 · settled` },
  { value: 3, label: t`3 · advanced` },
];

export const STANCES: { value: Stance; label: string }[] = [
  { value: "orthodox", label: t`orthodox` },
  { value: "southpaw", label: t`southpaw` },
];

export const BLOCK_KINDS: { value: PlanBlock["kind"]; label: string }[] = [
  { value: "rounds", label: t`rounds` },
  { value: "warm-up", label: t`warm-up` },
  { value: "conditioning", label: t`conditioning` },
  { value: "cool-down", label: t`cool-down` },
  { value: "talk", label: t`talk` },
];

/** What a round is for. */
export const PURPOSES: { value: NonNullable<PlanRound["purpose"]>; label: string }[] = [
  { value: "technique", label: t`technique` },
  { value: "speed", label: t`speed` },
  { value: "power", label: t`power` },
  { value: "conditioning", label: t`conditioning` },
];

/** Returns the word for one of several choices. */
export function labelOf<T extends string>(choices: { value: T; label: string }[], value: T): string {
  return choices.find((one) => one.value === value)?.label ?? value;
}

export const MEDIA: { value: Course["medium"]; label: string }[] = [
  { value: "shadow", label: t`shadow` },
  { value: "bag", label: t`hanging bag` },
  { value: "round-bag", label: t`round bag` },
  { value: "standing-bag", label: t`standing bag` },
  { value: "wall-pad", label: t`wall pad` },
  { value: "pads", label: t`focus pads` },
  { value: "long-pads", label: t`long pads` },
  { value: "shield", label: t`shield` },
  { value: "partner", label: t`partner` },
];

export const GROUPS: { value: Course["group"]; label: string }[] = [
  { value: "open", label: t`open group` },
  { value: "beginners", label: t`beginners` },
  { value: "youth", label: t`youth` },
];

export const LIMBS: { value: Limb; label: string }[] = [
  { value: "hand", label: t`Hands` },
  { value: "leg", label: t`Kicks` },
  { value: "knee", label: t`Knees` },
  { value: "elbow", label: t`Elbows` },
];

/** Factors on the duration, compared with working tempo. */
export const TEMPOS = [
  { value: 1.6, name: t`learning` },
  { value: 1, name: t`working` },
  { value: 0.8, name: t`fast` },
];

export const VERDICTS: Record<Verdict, { sign: string; word: string }> = {
  flows: { sign: "●", word: t`flows` },
  reload: { sign: "▲", word: t`reload` },
  breaks: { sign: "✕", word: t`breaks` },
};

/** The names of the severities; a credit is no fault. */
export const SEVERITIES: Record<Finding["severity"], string> = {
  must: t`breaks`,
  should: t`fix`,
  hint: t`tip`,
  credit: t`good`,
};

export function seconds(ms: number): string {
  return `${(ms / 1000).toFixed(2)} s`;
}

/** The gym's time zone, in which all times are shown; that of the device until the gym is loaded. */
let zone: string | undefined;

export function showTimesOf(of: string | null | undefined): void {
  zone = of ?? undefined;
}

export function day(date: string): string {
  return new Date(date).toLocaleDateString("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
    timeZone: zone,
  });
}

export function dayAndTime(date: string): string {
  return new Date(date).toLocaleString("en-GB", {
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zone,
  });
}

/** Returns the time of day with seconds, for a moment in ms since 1970. */
export function timeWithSeconds(ms: number): string {
  return new Date(ms).toLocaleTimeString("en-GB", {
    hour: "2-digit",
    minute: "2-digit",
    second: "2-digit",
    timeZone: zone,
  });
}

/** Returns today's date in the gym's time zone, such as 2026-11-26. */
export function todayInGym(now = new Date()): string {
  return now.toLocaleDateString("en-CA", { timeZone: zone, year: "numeric", month: "2-digit", day: "2-digit" });
}

/** Formats a number of bytes, such as 1.4 GB. */
export function amount(bytes: number): string {
  const units = ["bytes", "kB", "MB", "GB", "TB"];
  const power = bytes < 1 ? 0 : Math.min(units.length - 1, Math.floor(Math.log10(bytes) / 3));
  const value = bytes / 1000 ** power;
  return `${power === 0 ? value : value.toFixed(value < 10 ? 1 : 0)} ${units[power]}`;
}
