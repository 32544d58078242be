import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { HeatMap } from "../plot/HeatMap";
import { PlotTable } from "../plot/PlotTable";
import { Loaded } from "../ui/Loaded";
import { shortDay } from "./period";
import { NothingLogged, ReportHead } from "./ReportHead";
import { useAsked, useLoad } from "./useReports";

/** Which weapons were thrown in which week. */
export default function WeaponsScreen() {
  const [asked] = useAsked();
  const report = useLoad(asked);
  const weeks = report.data?.weeks ?? [];
  const sum = report.data?.sum;
  const weapons = report.data?.weapons ?? [];
  const thrown = weapons
    .filter((weapon) => weapon.sum > 0)
    .map(({ id, name, sum: all }) => ({
      id,
      name,
      all,
      values: weeks.map(({ strikesThrown }) => strikesThrown[id] ?? 0),
      sum: Math.round(all).toLocaleString("en-GB"),
    }));
  // A family of which neither side was thrown.
  const known = new Set(weapons.filter((weapon) => weapon.sum > 0).map(({ family }) => family));
  const never = [...new Set(weapons.map(({ family }) => family))].filter((family) => !known.has(family));
  return (
    <main className="page">
      <ReportHead title={t`Weapons by week`} />
      <Loaded query={report} what={t`Counting`} />
      {sum?.sessions === 0 && <NothingLogged what={t`Which weapons were thrown, week by week.`} />}
      {sum && sum.sessions > 0 && (
        <section className="panel block">
          <h2>
            <Trans>Strikes of one athlete who attended everything</Trans>
          </h2>
          <PlotTable
            caption={t`Strikes by weapon and week`}
            columns={[t`Week of`, ...thrown.map(({ name }) => name)]}
            rows={weeks.map((week) => [week.week, ...thrown.map(({ id }) => Math.round(week.strikesThrown[id] ?? 0))])}
          >
            <HeatMap
              label={t`Strikes by weapon and week. Most thrown: ${[...thrown]
                .sort((one, other) => other.all - one.all)
                .slice(0, 3)
                .map(({ name }) => name)
                .join(", ")}.`}
              columns={weeks.map(({ week }) => ({ key: week, name: shortDay(week) }))}
              rows={thrown}
              says={(row, column, value) => t`${row}, week of ${column}: ${Math.round(value)}`}
            />
          </PlotTable>
          {never.length > 0 && (
            <p className="small report-never">
              <Trans>
                Not thrown in these weeks: {never.join(", ")}. Free strikes, whose weapon is not recorded:{" "}
                {Math.round(sum.free).toLocaleString("en-GB")}.
              </Trans>
            </p>
          )}
        </section>
      )}
    </main>
  );
}
