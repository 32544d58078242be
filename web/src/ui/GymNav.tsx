import { t } from "@lingui/core/macro";
import { Flex } from "antd";
import { NavLink } from "react-router";
import type { Permission } from "../api/client";
import { may, useSession } from "../api/session";
import "./gym.css";

const PLACES: { to: string; label: string; needs?: Permission }[] = [
  { to: "/numbering", label: t`Numbering` },
  { to: "/words", label: t`Passed-over words` },
  { to: "/translate", label: t`Translate` },
  { to: "/house-rules", label: t`House rules` },
  { to: "/themes", label: t`Themes` },
  { to: "/advice", label: t`Reminders and faults` },
  { to: "/recordings", label: t`Recordings` },
  { to: "/voice", label: t`Voice` },
  { to: "/settings", label: t`Settings`, needs: "MANAGE_GYM" },
  { to: "/exchange", label: t`Import and export` },
  { to: "/sharing", label: t`Sharing`, needs: "MANAGE_GYM" },
  { to: "/coaches", label: t`Coaches`, needs: "MANAGE_COACHES" },
  { to: "/audit-log", label: t`Audit log`, needs: "READ_AUDIT_LOG" },
  { to: "/status", label: t`Status`, needs: "MANAGE_GYM" },
];

/** The navigation between the pages of the gym. */
export function GymNav() {
  const user = useSession().data?.user;
  return (
    <Flex component="nav" wrap gap="var(--space-1) var(--space-3)" className="gym-nav" aria-label={t`The gym`}>
      {PLACES.filter(({ needs }) => !needs || may(user, needs)).map((place) => (
        <NavLink key={place.to} to={place.to}>
          {place.label}
        </NavLink>
      ))}
    </Flex>
  );
}
