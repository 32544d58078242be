import { Link } from "react-router";

/** Where one is: the place it belongs to, and its own name. */
export function Trail({ to, place, name }: { to: string; place: string; name: string }) {
  return (
    <nav className="trail" aria-label="Where this is">
      <Link to={to}>{place}</Link> / <span aria-current="page">{name}</span>
    </nav>
  );
}
