import { Link } from "react-router";
import { useIsHeadCoach } from "../api/session";
import { GymNav } from "../ui/GymNav";
import { ImportPanel } from "./ImportPanel";
import "./exchange.css";

/** The library as files: brought in by the head coach, taken out by everyone. */
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
            <li>
              <a href="/api/export.json?everything=true" download>
                JSON
              </a>
              <small>keeps everything; import it again here or elsewhere</small>
            </li>
            <li>
              <a href="/api/export.csv?everything=true" download>
                CSV
              </a>
              <small>for a spreadsheet, in the numbers you read</small>
            </li>
            <li>
              <a href="/api/export.text?everything=true" download>
                Text
              </a>
              <small>one chain a line, its name after #</small>
            </li>
          </ul>
        </section>
      </div>
    </main>
  );
}
