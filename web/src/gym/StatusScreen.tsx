import { Alert, App, Button } from "antd";
import type { Status } from "../api/client";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loading } from "../ui/Loading";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";
import { day, dayAndTime } from "../ui/words";
import { RestoredCopy } from "./RestoredCopy";
import "./settings.css";
import "./status.css";
import { type JobKind, useJob, useStatus } from "./useStatus";

const KINDS: Record<Status["backups"][number]["kind"], string> = {
  nightly: "every night",
  "by-hand": "by hand",
  "before-upgrade": "before an update",
  "before-restore": "before a restore",
  demo: "the demo",
};

const DOING: Record<JobKind, string> = {
  backup: "Making a backup",
  look: "Restoring to a copy",
  take: "Putting the copy in place",
  discard: "Deleting the copy",
  found: "Founding the gym",
};

/** Formats a number of bytes, such as 1.4 GB. */
export function amount(bytes: number): string {
  const units = ["bytes", "kB", "MB", "GB", "TB"];
  const power = bytes < 1 ? 0 : Math.min(units.length - 1, Math.floor(Math.log10(bytes) / 3));
  const value = bytes / 1000 ** power;
  return `${power === 0 ? value : value.toFixed(value < 10 ? 1 : 0)} ${units[power]}`;
}

/** The state of the server, its backups, and the quotas. */
export default function StatusScreen() {
  const status = useStatus();
  return (
    <main className="page status">
      <GymNav />
      <h1>Status</h1>
      <Failure error={status.error} onRetry={status.refetch} />
      {status.data ? <Shown status={status.data} /> : status.isPending && <Loading what="Loading the status" />}
    </main>
  );
}

function Shown({ status }: { status: Status }) {
  const notice = useNotice();
  const { modal } = App.useApp();
  const job = useJob((kind) => {
    if (kind === "take") {
      // Backups contain no login sessions: everybody signs in again.
      window.location.assign("/library");
    } else if (kind === "backup") {
      notice.done("The backup is made.");
    }
  });
  const take = () =>
    modal.confirm({
      getContainer: layers,
      title: "Put this copy in place of the gym?",
      content:
        "Everything that was written since the backup goes. A backup of now is made first, and everybody signs in again.",
      okText: "Put it in place",
      onOk: () => job.ask({ kind: "take" }),
    });
  const last = status.backups[0];
  return (
    <>
      {status.diskIsNearlyFull && (
        <Alert
          type="warning"
          showIcon
          className="status-warning"
          title={`The disk is nearly full: ${amount(status.disk.free)} are free. Make room on the machine of the gym, or saving will stop.`}
        />
      )}
      {status.backupIsOld && (
        <Alert
          type="warning"
          showIcon
          className="status-warning"
          title={
            last
              ? `The last backup is from ${day(last.madeAt)}. Make one now, and see that the machine is on at night.`
              : "There is no backup yet. Make one now; after that one is made every night."
          }
        />
      )}
      {job.failure && <Alert type="error" showIcon role="alert" className="status-warning" title={job.failure} />}
      {job.running && (
        <Alert type="info" showIcon role="status" className="status-warning" title={`${DOING[job.running]} …`} />
      )}
      <div className="columns">
        <div>
          {status.copy && (
            <RestoredCopy
              copy={status.copy}
              now={status.summary}
              busy={job.running !== null}
              onTake={take}
              onDiscard={() => job.ask({ kind: "discard" })}
            />
          )}
          <section className="panel block" aria-label="Backups">
            <h2>Backups</h2>
            <p className="small">
              Made every night; kept for 14 days, and the first of each month for a year. Download one now and then and
              keep it on another machine.
            </p>
            <Button
              type="primary"
              disabled={job.running !== null}
              loading={job.running === "backup"}
              onClick={() => job.ask({ kind: "backup" })}
            >
              Back up now
            </Button>
            {status.backups.length > 0 && (
              <div className="plain-scroll">
                <table className="plain-table status-backups">
                  <thead>
                    <tr>
                      <th scope="col">Made</th>
                      <th scope="col">Why</th>
                      <th scope="col">Size</th>
                      <th scope="col">
                        <span className="visually-hidden">Ways</span>
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {status.backups.map((backup) => (
                      <tr key={backup.name}>
                        <td>{dayAndTime(backup.madeAt)}</td>
                        <td>{KINDS[backup.kind]}</td>
                        <td>{amount(backup.bytes)}</td>
                        <td className="line-ways">
                          <a href={`/api/backups/${backup.name}`} download>
                            Download
                          </a>
                          <Button
                            size="small"
                            disabled={job.running !== null}
                            onClick={() => job.ask({ kind: "look", name: backup.name })}
                          >
                            Restore to a copy
                          </Button>
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            )}
          </section>
        </div>
        <div>
          <section className="panel block" aria-label="Machine">
            <h2>Machine</h2>
            <dl className="status-facts">
              <dt>Periplus</dt>
              <dd>{status.version}</dd>
              <dt>Disk</dt>
              <dd>
                {amount(status.disk.free)} free of {amount(status.disk.total)}
              </dd>
              <dt>Database</dt>
              <dd>
                {amount(status.database.bytes)}, {status.database.version}
              </dd>
              <dt>Last backup</dt>
              <dd>{last ? dayAndTime(last.madeAt) : "none yet"}</dd>
              <dt>Certificate</dt>
              <dd>
                {status.certificateEnd
                  ? `valid until ${day(status.certificateEnd)}`
                  : "none: only this machine reaches the gym"}
              </dd>
            </dl>
          </section>
          <section className="panel block" aria-label="Walls">
            <h2>Walls</h2>
            {status.walls.length === 0 ? (
              <p className="small">No wall yet. Add one under Run, Walls.</p>
            ) : (
              <dl className="status-facts">
                {status.walls.map((wall) => (
                  <div key={wall.name}>
                    <dt>{wall.name}</dt>
                    <dd>{wall.seenAt ? `seen ${dayAndTime(wall.seenAt)}` : "not opened yet"}</dd>
                  </div>
                ))}
              </dl>
            )}
          </section>
          <section className="panel block" aria-label="Quotas">
            <h2>Storage</h2>
            <dl className="status-facts">
              {status.quotas.map((quota) => (
                <div key={quota.what}>
                  <dt>{quota.what}</dt>
                  <dd>
                    {quota.unit === "bytes"
                      ? `${amount(quota.used)} of ${amount(quota.limit)}`
                      : `${quota.used.toLocaleString("en-GB")} of ${quota.limit.toLocaleString("en-GB")}`}
                    <meter
                      min={0}
                      max={quota.limit}
                      high={0.8 * quota.limit}
                      value={quota.used}
                      aria-label={`${quota.what} used`}
                    />
                  </dd>
                </div>
              ))}
            </dl>
          </section>
        </div>
      </div>
    </>
  );
}
