import type { Rules, Stance } from "../api/client";

/** Returns the URL of a comparison, which can be shared. */
export function compareAddress(options: {
  first: string;
  second: string;
  rules: Rules;
  firstStance?: Stance;
  secondStance?: Stance;
  firstTitle?: string;
  secondTitle?: string;
  /** The page to go back to, such as "/combinations/4", and its name. */
  from?: string;
  fromName?: string;
}): string {
  return `/compare?${new URLSearchParams(Object.entries(options).filter(([, value]) => value !== undefined))}`;
}
