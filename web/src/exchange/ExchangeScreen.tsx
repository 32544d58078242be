import { Link } from "react-router";
import { useIsHeadCoach } from "../api/session";
import { GymNav } from "../ui/GymNav";
import { FILE_FORMATS } from "../ui/words";
import { ImportPanel } from "./ImportPanel";
import "./exchange.css";

/** Imports the library from files (head coach) and exports it (everybody). */
export default function ExchangeScreen() {
  const head = useIsHeadCoach();
  return (
    <main className="page">
      <GymNav />
      <h1>Import and export</h1>
      <div className="columns exchange">
        {head ? (
          <ImportPanel />
        ) : (
          <section className="panel block">
            <h2>Import</h2>
            <p>The head coach imports files. You can write on the bench and propose.</p>
          </section>
        )}
        <section className="panel block" aria-label="Export">
          <h2>Export</h2>
          <p>
            The whole library, with what is archived. A part of it, and paper for the wall, you take out of the{" "}
            <Link to="/library">library</Link> after a search.
          </p>
          <ul className="out-list">
            {Object.entries(FILE_FORMATS).map(([format, { name, keeps }]) => (
              <li key={format}>
                <a href={`/api/export.${format}?everything=true`} download>
                  {name}
                </a>
                <small>{keeps}</small>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </main>
  );
}
