import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import { Loaded } from "../ui/Loaded";
import { Trail } from "../ui/Trail";
import { FamilyForest } from "./FamilyForest";
import { useFamilyOverview } from "./useFamily";
import "../ui/gym.css";
import "./family.css";

/** Shows the families of the library as trees, and the combinations that have none. */
export default function FamilyScreen() {
  const overview = useFamilyOverview();
  return (
    <main className="page">
      <Trail to="/library" place={t`Library`} name="Families" />
      <h1>
        <Trans>Families</Trans>
      </h1>
      <p className="small">
        <Trans>
          Each combination is below the longest one it starts with; only what it adds is drawn again. Arrow keys walk
          through a family, Enter opens a combination.
        </Trans>
      </p>
      <Loaded query={overview} what={t`Comparing the library`} />
      {overview.data && (
        <div className="columns families">
          <section aria-label={t`Families`}>
            {overview.data.roots.length === 0 ? (
              <p className="panel block small">
                <Trans>No combination starts with another yet.</Trans>
              </p>
            ) : (
              <FamilyForest roots={overview.data.roots} />
            )}
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
