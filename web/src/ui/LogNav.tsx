import { NavLink } from "react-router";
import "./gym.css";

const PLACES = [
  { to: "/logbook", label: "Sessions" },
  { to: "/reports/drilled", label: "Combinations" },
  { to: "/reports/weapons", label: "Weapons" },
  { to: "/reports/balance", label: "Balance" },
  { to: "/reports/links", label: "Links" },
  { to: "/reports/due", label: "Due" },
  { to: "/reports/path", label: "Path" },
  { to: "/reports/month", label: "Month" },
  { to: "/cards", label: "Cards for athletes" },
];

/** The navigation between the pages of the logbook. */
export function LogNav() {
  return (
    <nav className="gym-nav" aria-label="The logbook">
      {PLACES.map((place) => (
        <NavLink key={place.to} to={place.to}>
          {place.label}
        </NavLink>
      ))}
    </nav>
  );
}
