import { t } from "@lingui/core/macro";
import { NavLink } from "react-router";
import { useIsHeadCoach } from "../api/session";
import "./gym.css";

const PLACES: { to: string; label: string; head?: boolean }[] = [
  { to: "/numbering", label: t`Numbering` },
  { to: "/translate", label: t`Translate` },
  { to: "/house-rules", label: t`House rules` },
  { to: "/themes", label: t`Themes` },
  { to: "/advice", label: t`Reminders and exercises` },
  { to: "/voice", label: t`Voice` },
  { to: "/settings", label: t`Settings`, head: true },
  { to: "/exchange", label: t`Import and export` },
  { to: "/coaches", label: t`Coaches`, head: true },
  { to: "/audit-log", label: t`Audit log`, head: true },
  { to: "/status", label: t`Status`, head: true },
];

/** The navigation between the pages of the gym. */
export function GymNav() {
  const head = useIsHeadCoach();
  return (
    <nav className="gym-nav" aria-label={t`The gym`}>
      {PLACES.filter((place) => head || !place.head).map((place) => (
        <NavLink key={place.to} to={place.to}>
          {place.label}
        </NavLink>
      ))}
    </nav>
  );
}
