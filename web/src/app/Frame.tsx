import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { type ComponentType, lazy, Suspense, useEffect, useState } from "react";
import { Link, NavLink, Outlet, ScrollRestoration, useLocation } from "react-router";
import { may, useSession, useSignOut } from "../api/session";
import { PAGES } from "../guide/pages";
import { useWaiting } from "../review/useReview";
import { SignIn } from "../sign-in/SignIn";
import { Dialog } from "../ui/Dialog";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { fetchScreens, whenIdle } from "../ui/screens";
import { SHORTCUTS, useShortcut } from "../ui/useShortcut";
import { ROLES, showTimesOf } from "../ui/words";
import { Notices } from "./Notices";
import { usePage } from "./usePage";

/** Only the demo needs it. */
const DemoLine = lazy(() => import("../gym/DemoLine"));

const GYM = [
  "/gym",
  "/settings",
  "/status",
  "/setup",
  "/advice",
  "/voice",
  "/house-rules",
  "/numbering",
  "/translate",
  "/themes",
  "/exchange",
  "/coaches",
  "/audit-log",
];

/** The frame around every screen; it shows the sign-in form to anonymous visitors. */
export function Frame() {
  const session = useSession();
  const signOut = useSignOut();
  const { pathname } = useLocation();
  const [showKeys, setShowKeys] = useState(false);
  const waiting = useWaiting(session.data?.user ?? null);
  const [LogBadge, setLogBadge] = useState<ComponentType | null>(null);

  usePage();
  useShortcut("help", () => setShowKeys(true));
  showTimesOf(session.data?.gym?.timeZone);
  const known = session.data?.user?.id;
  useEffect(() => {
    if (known !== undefined) {
      fetchScreens();
      // Not needed by the first page.
      whenIdle(
        () => void import("./LogBadge").then((badge) => setLogBadge(() => badge.default)).catch(() => undefined),
      );
    }
  }, [known]);

  if (session.isPending) {
    return <Loading what={t`Checking who is here`} />;
  }
  if (session.isError) {
    return (
      <NoPage title={t`Cannot reach the server`} error={session.error}>
        <Button onClick={() => session.refetch()}>
          <Trans>Try again</Trans>
        </Button>
      </NoPage>
    );
  }
  const user = session.data.user;
  if (!user) {
    return <SignIn />;
  }
  return (
    <>
      <a className="skip" href="#content">
        <Trans>Skip to the content</Trans>
      </a>
      <header className="bar">
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
        <span className="bar-rest">
          <button type="button" className="quiet" onClick={() => setShowKeys(true)} aria-label={t`Guide and keys`}>
            ?
          </button>
          <Link to="/account" className="who" title={t`Your numbering and password`}>
            {user.name}
            <small>{ROLES[user.role]}</small>
          </Link>
          <button type="button" className="quiet" onClick={() => signOut.mutate()}>
            <Trans>Sign out</Trans>
          </button>
        </span>
      </header>
      {session.data.gym?.isDemo && may(user, "MANAGE_GYM") && (
        <Suspense>
          <DemoLine />
        </Suspense>
      )}
      <Notices />
      <ScrollRestoration />
      <div id="content">
        <Suspense fallback={<Loading />}>
          <Outlet />
        </Suspense>
      </div>
      <Dialog open={showKeys} onClose={() => setShowKeys(false)} title={t`Guide and keys`}>
        <p className="guide-links">
          {PAGES.map(({ id, title }) => (
            <Link key={id} to={`/guide/${id}`} onClick={() => setShowKeys(false)}>
              {title}
            </Link>
          ))}
        </p>
        <dl className="keys">
          {Object.values(SHORTCUTS).map(({ shown, does }) => (
            <div key={shown}>
              <dt>
                <kbd>{shown}</kbd>
              </dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    </>
  );
}
