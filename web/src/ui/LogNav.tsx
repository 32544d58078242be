import { t } from "@lingui/core/macro";
import { Flex } from "antd";
import { NavLink } from "react-router";
import "./gym.css";

const PLACES = [
  { to: "/logbook", label: t`Sessions` },
  { to: "/reports/drilled", label: t`Combinations` },
  { to: "/reports/weapons", label: t`Weapons` },
  { to: "/reports/balance", label: t`Balance` },
  { to: "/reports/links", label: t`Links` },
  { to: "/reports/faults", label: t`Faults` },
  { to: "/reports/planned", label: t`Planned` },
  { to: "/reports/due", label: t`Due` },
  { to: "/reports/path", label: t`Path` },
  { to: "/reports/month", label: t`Month` },
  { to: "/cards", label: t`Cards for athletes` },
];

/** The navigation between the pages of the logbook. */
export function LogNav() {
  return (
    <Flex component="nav" wrap gap="var(--space-1) var(--space-3)" className="gym-nav" aria-label={t`The logbook`}>
      {PLACES.map((place) => (
        <NavLink key={place.to} to={place.to}>
          {place.label}
        </NavLink>
      ))}
    </Flex>
  );
}
