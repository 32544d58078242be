import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { type ComponentType, useEffect, useState } from "react";
import { Link, NavLink, useLocation } from "react-router";
import type { Session } from "../api/client";
import { useSignOut } from "../api/session";
import { useWaiting } from "../review/useReview";
import { whenIdle } from "../ui/screens";
import { ROLES } from "../ui/words";

const GYM = [
  "/gym",
  "/settings",
  "/status",
  "/setup",
  "/advice",
  "/words",
  "/verdict-changes",
  "/voice",
  "/house-rules",
  "/numbering",
  "/translate",
  "/themes",
  "/exchange",
  "/coaches",
  "/audit-log",
];

type User = NonNullable<Session["user"]>;

/** The bar above every screen: where one is, where one can go, and who is signed in. */
export function Bar({ user, onGuide }: { user: User; onGuide: () => void }) {
  const signOut = useSignOut();
  return (
    <header className="bar">
      <Brand />
      <Screens user={user} />
      <Flex component="span" align="center" gap="medium" className="bar-rest">
        <button type="button" className="quiet" onClick={onGuide} aria-label={t`Guide and keys`}>
          ?
        </button>
        <Link to="/account" className="who" title={t`Your numbering and password`}>
          {user.name}
          <small>{ROLES[user.role]}</small>
        </Link>
        <button type="button" className="quiet" onClick={() => signOut.mutate()}>
          <Trans>Sign out</Trans>
        </button>
      </Flex>
    </header>
  );
}

function Brand() {
  return (
    <NavLink to="/library" className="brand" aria-label={t`Periplus, to the library`}>
      <svg viewBox="0 0 34 20" width="34" height="20" aria-hidden="true">
        <path
          d="M2 16c7 0 6-12 15-12s8 12 15 12"
          fill="none"
          stroke="currentColor"
          strokeWidth="2.6"
          strokeLinecap="round"
        />
        <circle cx="17" cy="4" r="3" fill="var(--sun)" />
      </svg>
      <Trans>Periplus</Trans>
    </NavLink>
  );
}

function Screens({ user }: { user: User }) {
  const { pathname } = useLocation();
  const waiting = useWaiting(user);
  const LogBadge = useLogBadge();
  return (
    <nav aria-label={t`Screens`}>
      <NavLink to="/library" className={/^\/(combinations|family|near-duplicates)/.test(pathname) ? "active" : ""}>
        <Trans>Library</Trans>
      </NavLink>
      <NavLink to="/bench">
        <Trans>Bench</Trans>
      </NavLink>
      <NavLink to="/sessions">
        <Trans>Sessions</Trans>
      </NavLink>
      <NavLink to="/run">
        <Trans>Run</Trans>
      </NavLink>
      <NavLink to="/logbook" className={/^\/(reports|cards)/.test(pathname) ? "active" : ""}>
        <Trans>Logbook</Trans>
        {LogBadge && <LogBadge />}
      </NavLink>
      <NavLink to="/generate">
        <Trans>Generate</Trans>
      </NavLink>
      <NavLink to="/review">
        <Trans>Review</Trans>
        {waiting > 0 && <span className="badge">{waiting}</span>}
      </NavLink>
      <NavLink to="/gym" className={GYM.some((path) => pathname.startsWith(path)) ? "active" : ""}>
        <Trans>Gym</Trans>
      </NavLink>
    </nav>
  );
}

/** Returns the number of entries to review, once it is fetched; the first page does not need it. */
function useLogBadge(): ComponentType | null {
  const [LogBadge, setLogBadge] = useState<ComponentType | null>(null);
  useEffect(() => {
    whenIdle(() => void import("./LogBadge").then((badge) => setLogBadge(() => badge.default)).catch(() => undefined));
  }, []);
  return LogBadge;
}
