import type { Rules, Stance } from "../api/client";

/** The address of a comparison; a link that can be shared. */
export function compareAddress(options: {
  first: string;
  second: string;
  rules: Rules;
  firstStance?: Stance;
  secondStance?: Stance;
  firstTitle?: string;
  secondTitle?: string;
  /** Where one came from, such as "/combinations/4", and what it is called. */
  from?: string;
  fromName?: string;
}): string {
  return `/compare?${new URLSearchParams(Object.entries(options).filter(([, value]) => value !== undefined))}`;
}
