import { NavLink } from "react-router";
import { useIsHeadCoach } from "../api/session";
import "./gym.css";

const PLACES: { to: string; label: string; head?: boolean }[] = [
  { to: "/numbering", label: "Numbering" },
  { to: "/translate", label: "Translate" },
  { to: "/house-rules", label: "House rules" },
  { to: "/themes", label: "Themes" },
  { to: "/advice", label: "Reminders and exercises" },
  { to: "/voice", label: "Voice" },
  { to: "/settings", label: "Settings", head: true },
  { to: "/exchange", label: "Import and export" },
  { to: "/coaches", label: "Coaches", head: true },
  { to: "/audit-log", label: "Audit log", head: true },
  { to: "/status", label: "Status", head: true },
];

/** The navigation between the pages of the gym. */
export function GymNav() {
  const head = useIsHeadCoach();
  return (
    <nav className="gym-nav" aria-label="The gym">
      {PLACES.filter((place) => head || !place.head).map((place) => (
        <NavLink key={place.to} to={place.to}>
          {place.label}
        </NavLink>
      ))}
    </nav>
  );
}
