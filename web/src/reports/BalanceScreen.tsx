import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import type { LoadReport } from "../api/client";
import { Columns } from "../plot/Columns";
import { PlotTable } from "../plot/PlotTable";
import { Share } from "../plot/Share";
import { Loaded } from "../ui/Loaded";
import { Findings } from "./Findings";
import { minutes, shortDay } from "./period";
import { NothingLogged, ReportHead } from "./ReportHead";
import { useAsked, useLoad } from "./useReports";

const STANCES = [
  { stance: "orthodox", name: t`orthodox`, tone: "lead" },
  { stance: "southpaw", name: t`southpaw`, tone: "sun" },
] as const;

const count = (value: number) => Math.round(value).toLocaleString("en-GB");

/** Compares stances, sides, targets and limbs, and how chains start. */
export default function BalanceScreen() {
  const [asked] = useAsked();
  const report = useLoad(asked);
  const weeks = report.data?.weeks ?? [];
  const sum = report.data?.sum;
  return (
    <main className="page">
      <ReportHead title={t`Balance`} />
      <Loaded query={report} what={t`Counting`} />
      {sum?.sessions === 0 && (
        <NothingLogged what={t`How the stances, sides, targets and limbs stand against each other.`} />
      )}
      {report.data && sum && sum.sessions > 0 && (
        <>
          <Findings findings={report.data.findings} />
          <div className="report-grid">
            <Shares sum={sum} />
            <Flex vertical gap="medium" className="report-side">
              <StancesByWeek weeks={weeks} />
              <TargetsByWeek weeks={weeks} />
              <p className="small">
                <Trans>
                  Counted for one athlete who attended everything, averaged over the stances and levels that attended;
                  an orthodox athlete when they were not counted.
                </Trans>
              </p>
            </Flex>
          </div>
        </>
      )}
    </main>
  );
}

type Weeks = LoadReport["weeks"];

function Shares({ sum }: { sum: LoadReport["sum"] }) {
  return (
    <section className="panel block">
      <Share
        title={t`Minutes in each stance`}
        parts={STANCES.map(({ stance, name, tone }) => ({
          name,
          tone,
          value: sum.stanceMs[stance],
          says: minutes(sum.stanceMs[stance]),
        }))}
      />
      <Share
        title={t`Left and right`}
        parts={[
          { name: t`left`, tone: "lead", value: sum.sides.left, says: count(sum.sides.left) },
          { name: t`right`, tone: "rear", value: sum.sides.right, says: count(sum.sides.right) },
        ]}
      />
      <Share
        title={t`Head, body, leg`}
        parts={[
          { name: t`head`, tone: "lead", value: sum.targets.head, says: count(sum.targets.head) },
          { name: t`body`, tone: "sun", value: sum.targets.body, says: count(sum.targets.body) },
          { name: t`leg`, tone: "rear", value: sum.targets.leg, says: count(sum.targets.leg) },
        ]}
      />
      <Share
        title={t`Hands and legs`}
        parts={[
          { name: t`hands`, tone: "lead", value: sum.limbs.hand, says: count(sum.limbs.hand) },
          { name: t`elbows`, tone: "ink-soft", value: sum.limbs.elbow, says: count(sum.limbs.elbow) },
          { name: t`kicks`, tone: "sun", value: sum.limbs.leg, says: count(sum.limbs.leg) },
          { name: t`knees`, tone: "rear", value: sum.limbs.knee, says: count(sum.limbs.knee) },
        ]}
      />
      <LimbSides sum={sum} />
      <Share
        title={t`What a repetition opens with`}
        parts={[
          { name: t`a jab`, tone: "lead", value: sum.jabOpenings, says: count(sum.jabOpenings) },
          {
            name: t`another strike`,
            tone: "rear",
            value: sum.openings - sum.jabOpenings,
            says: count(sum.openings - sum.jabOpenings),
          },
        ]}
      />
    </section>
  );
}

const LIMBS = [
  { limb: "hand", title: t`Hands, left and right` },
  { limb: "elbow", title: t`Elbows, left and right` },
  { limb: "leg", title: t`Kicks, left and right` },
  { limb: "knee", title: t`Knees, left and right` },
] as const;

/** The sides of each limb that was used; sessions of before this was counted are not in it, and that is said. */
function LimbSides({ sum }: { sum: LoadReport["sum"] }) {
  const counted = LIMBS.reduce((all, { limb }) => all + sum.limbSides[limb].left + sum.limbSides[limb].right, 0);
  const all = sum.sides.left + sum.sides.right;
  const share = all > 0 ? counted / all : 1;
  return (
    <>
      {LIMBS.filter(({ limb }) => sum.limbSides[limb].left + sum.limbSides[limb].right > 0).map(({ limb, title }) => (
        <Share
          key={limb}
          title={title}
          parts={(["left", "right"] as const).map((side) => ({
            name: side === "left" ? t`left` : t`right`,
            tone: side === "left" ? "lead" : "rear",
            value: sum.limbSides[limb][side],
            says: count(sum.limbSides[limb][side]),
          }))}
        />
      ))}
      {share < 0.99 && (
        <p className="small">
          <Trans>
            The sides of each limb are known for {Math.round(100 * share)} % of these strikes: earlier sessions did not
            count them.
          </Trans>
        </p>
      )}
    </>
  );
}

function StancesByWeek({ weeks }: { weeks: Weeks }) {
  return (
    <section className="panel block">
      <h2>
        <Trans>Minutes in each stance, by week</Trans>
      </h2>
      <PlotTable
        caption={t`Minutes in each stance by week`}
        columns={[t`Week of`, t`Orthodox`, t`Southpaw`]}
        rows={weeks.map(({ week, stanceMs }) => [
          week,
          Math.round(stanceMs.orthodox / 60_000),
          Math.round(stanceMs.southpaw / 60_000),
        ])}
      >
        <Columns
          label={t`Minutes in each stance by week`}
          unit="min"
          parts={[...STANCES]}
          columns={weeks.map(({ week, stanceMs }) => ({
            key: week,
            name: shortDay(week),
            says: t`Week of ${shortDay(week)}: ${minutes(stanceMs.orthodox)} orthodox, ${minutes(stanceMs.southpaw)} southpaw`,
            values: [stanceMs.orthodox / 60_000, stanceMs.southpaw / 60_000],
          }))}
        />
      </PlotTable>
    </section>
  );
}

function TargetsByWeek({ weeks }: { weeks: Weeks }) {
  return (
    <section className="panel block">
      <h2>
        <Trans>Strikes to head, body and leg, by week</Trans>
      </h2>
      <PlotTable
        caption={t`Strikes to head, body and leg by week`}
        columns={[t`Week of`, t`Head`, t`Body`, t`Leg`]}
        rows={weeks.map(({ week, targets }) => [
          week,
          Math.round(targets.head),
          Math.round(targets.body),
          Math.round(targets.leg),
        ])}
      >
        <Columns
          label={t`Strikes to head, body and leg by week`}
          unit="strikes"
          parts={[
            { name: t`head`, tone: "lead" },
            { name: t`body`, tone: "sun" },
            { name: t`leg`, tone: "rear" },
          ]}
          columns={weeks.map(({ week, targets }) => ({
            key: week,
            name: shortDay(week),
            says: t`Week of ${shortDay(week)}: ${count(targets.head)} to the head, ${count(targets.body)} to the body, ${count(targets.leg)} to the leg`,
            values: [targets.head, targets.body, targets.leg],
          }))}
        />
      </PlotTable>
    </section>
  );
}
