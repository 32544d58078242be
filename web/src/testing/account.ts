import type { Permission, Session } from "../api/client";

// The compiler tells when one is missing.
const PERMISSIONS: Record<Permission, true> = {
  EDIT_LIBRARY: true,
  DECIDE_PROPOSALS: true,
  EDIT_HOUSE_RULES: true,
  EDIT_NUMBERINGS: true,
  EDIT_COURSES: true,
  EDIT_ADVICE: true,
  MANAGE_LOGBOOK: true,
  MANAGE_COACHES: true,
  MANAGE_GYM: true,
  READ_AUDIT_LOG: true,
};

/** Returns the account with id 1 as the session has it. */
export function accountOf(role: string): NonNullable<Session["user"]> {
  const leads = role === "head-coach";
  return {
    id: 1,
    name: "Mara Quist",
    email: "mara@saltworks.example",
    role: leads ? "head-coach" : "coach",
    permissions: leads ? (Object.keys(PERMISSIONS) as Permission[]) : [],
    numbering: "parity",
  };
}
