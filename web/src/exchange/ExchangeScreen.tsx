import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import { useMay } from "../api/session";
import { GymNav } from "../ui/GymNav";
import { FILE_FORMATS } from "../ui/words";
import { ImportPanel } from "./ImportPanel";
import "./exchange.css";

/** Imports the library from files (head coach) and exports it (everybody). */
export default function ExchangeScreen() {
  const mayImport = useMay("EDIT_LIBRARY");
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Import and export</Trans>
      </h1>
      <div className="columns exchange">
        {mayImport ? (
          <ImportPanel />
        ) : (
          <section className="panel block">
            <h2>
              <Trans>Import</Trans>
            </h2>
            <p>
              <Trans>The head coach imports files. You can write on the bench and propose.</Trans>
            </p>
          </section>
        )}
        <section className="panel block" aria-label={t`Export`}>
          <h2>
            <Trans>Export</Trans>
          </h2>
          <p>
            <Trans>
              The whole library, including archived combinations. To export a part of it, or paper for the wall, search
              the <Link to="/library">library</Link> first.
            </Trans>
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
