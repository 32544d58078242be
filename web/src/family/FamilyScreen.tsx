import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import { Loaded } from "../ui/Loaded";
import { Trail } from "../ui/Trail";
import { useFamilyOverview } from "./useFamily";
import "../ui/gym.css";
import "./family.css";

/** Shows which combinations most others grow from, and which have no family. */
export default function FamilyScreen() {
  const overview = useFamilyOverview();
  return (
    <main className="page">
      <Trail to="/library" place={t`Library`} name="Families" />
      <h1>
        <Trans>Families</Trans>
      </h1>
      <p className="small">
        <Trans>A combination grew from the longest other one that it starts with. Open one to see its tree.</Trans>
      </p>
      <Loaded query={overview} what={t`Comparing the library`} />
      {overview.data && (
        <div className="columns">
          <section className="panel" aria-label={t`Most grow from these`}>
            <div className="block">
              <h2>
                <Trans>Most grow from these</Trans>
              </h2>
              {overview.data.hubs.length === 0 && (
                <p className="small">
                  <Trans>No combination starts with another yet.</Trans>
                </p>
              )}
            </div>
            <table className="plain-table">
              <tbody>
                {overview.data.hubs.map((hub) => (
                  <tr key={hub.id}>
                    <td className="hub-count">{hub.children}</td>
                    <td>
                      <Link to={`/combinations/${hub.id}`}>{hub.name}</Link>
                    </td>
                    <td className="numbers">{hub.text}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <section className="panel" aria-label={t`These stand alone`}>
            <div className="block">
              <h2>
                <Trans>
                  These stand alone
                  {overview.data.orphanCount > overview.data.orphans.length
                    ? t`, the first of ${overview.data.orphanCount}`
                    : ""}
                </Trans>
              </h2>
              {overview.data.orphans.length === 0 && (
                <p className="small">
                  <Trans>Every combination is part of a family.</Trans>
                </p>
              )}
            </div>
            <table className="plain-table">
              <tbody>
                {overview.data.orphans.map((one) => (
                  <tr key={one.id}>
                    <td>
                      <Link to={`/combinations/${one.id}`}>{one.name}</Link>
                    </td>
                    <td className="numbers">{one.text}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        </div>
      )}
    </main>
  );
}
