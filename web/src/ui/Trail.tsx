import { t } from "@lingui/core/macro";
import { Link } from "react-router";

/** A breadcrumb: the parent page and the name of this one. */
export function Trail({ to, place, name }: { to: string; place: string; name: string }) {
  return (
    <nav className="trail" aria-label={t`Where this is`}>
      <Link to={to}>{place}</Link> / <span aria-current="page">{name}</span>
    </nav>
  );
}
