import { Link } from "react-router";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Trail } from "../ui/Trail";
import { useFamilyOverview } from "./useFamily";
import "../ui/gym.css";
import "./family.css";

/** Shows which combinations most others grow from, and which have no family. */
export default function FamilyScreen() {
  const overview = useFamilyOverview();
  return (
    <main className="page">
      <Trail to="/library" place="Library" name="Families" />
      <h1>Families</h1>
      <p className="small">
        A combination grew from the longest other one that is its beginning. Open one to walk its tree.
      </p>
      {overview.isPending && <Loading what="Comparing the library" />}
      <Failure error={overview.error} />
      {overview.data && (
        <div className="columns">
          <section className="panel" aria-label="Most grow from these">
            <div className="block">
              <h2>Most grow from these</h2>
              {overview.data.hubs.length === 0 && (
                <p className="small">No combination is the beginning of another yet.</p>
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
          <section className="panel" aria-label="These stand alone">
            <div className="block">
              <h2>
                These stand alone
                {overview.data.orphanCount > overview.data.orphans.length
                  ? `, the first of ${overview.data.orphanCount}`
                  : ""}
              </h2>
              {overview.data.orphans.length === 0 && <p className="small">Every combination is part of a family.</p>}
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
