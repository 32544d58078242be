import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { Run } from "../api/client";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { dayAndTime } from "../ui/words";
import { StartDialog } from "./StartDialog";
import { useRuns } from "./useRuns";
import { WallList } from "./WallList";
import "./run.css";

/** Running sessions, the walls that show them, and a round timer. */
export default function RunScreen() {
  const runs = useRuns();
  const [starts, setStarts] = useState(false);
  return (
    <main className="page">
      <Flex component="header" wrap align="baseline" gap="var(--space-3) var(--space-8)" className="page-head">
        <h1>
          <Trans>Run</Trans>
        </h1>
        <Button type="primary" onClick={() => setStarts(true)}>
          <Trans>Round timer</Trans>
        </Button>
      </Flex>
      <Failure error={runs.error} />
      <section className="panel block">
        <h2>
          <Trans>Now</Trans>
        </h2>
        {runs.isPending && <Loading what={t`Loading running sessions`} />}
        {runs.data?.running.length === 0 && (
          <p className="run-hint">
            <Trans>
              Nothing runs. Open a session under <Link to="/sessions">Sessions</Link> and press Run, or start a round
              timer.
            </Trans>
          </p>
        )}
        <ul className="run-list">
          {runs.data?.running.map((run) => (
            <li key={run.id}>
              <Link to={`/run/${run.id}`}>
                <b>{run.name}</b>
              </Link>
              <span>
                {run.isOver ? t`over` : run.state.pausedMs === null ? t`runs` : t`paused`}
                {run.isRehearsal && t`, a rehearsal`}
              </span>
              <span className="small">
                {run.starter.name}, {dayAndTime(run.startedAt)}
              </span>
            </li>
          ))}
        </ul>
      </section>
      <WallList />
      <section className="panel block">
        <h2>
          <Trans>Ended</Trans>
        </h2>
        {runs.data?.ended.length === 0 && (
          <p className="small">
            <Trans>No session has ended yet.</Trans>
          </p>
        )}
        <ul className="run-list">
          {runs.data?.ended.map((run) => (
            <Ended key={run.id} run={run} />
          ))}
        </ul>
      </section>
      {starts && <StartDialog plan={null} onClose={() => setStarts(false)} />}
    </main>
  );
}

function Ended({ run }: { run: Run }) {
  return (
    <li>
      <Link to={`/run/${run.id}`}>{run.name}</Link>
      <span>{run.isRehearsal ? t`rehearsal` : ""}</span>
      <span className="small">{dayAndTime(run.startedAt)}</span>
    </li>
  );
}
