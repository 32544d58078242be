import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Checkbox, Modal } from "antd";
import type { ReactNode } from "react";
import type { Status } from "../api/client";
import { Alert } from "../ui/Alert";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";
import { amount, day, dayAndTime } from "../ui/words";
import { RestoredCopy } from "./RestoredCopy";
import "./settings.css";
import "./status.css";
import { type JobKind, useBackupContent, useJob, useStatus } from "./useStatus";

const KINDS: Record<Status["backups"][number]["kind"], string> = {
  nightly: t`every night`,
  "by-hand": t`by hand`,
  "before-upgrade": t`before an update`,
  "before-restore": t`before a restore`,
  demo: t`the demo`,
};

const DOING: Record<JobKind, string> = {
  backup: t`Making a backup`,
  look: t`Restoring to a copy`,
  take: t`Replacing the gym with the copy`,
  discard: t`Deleting the copy`,
  found: t`Founding the gym`,
};

/** The state of the server, its backups, and the quotas. */
export default function StatusScreen() {
  const status = useStatus();
  return (
    <main className="page status">
      <GymNav />
      <h1>
        <Trans>Status</Trans>
      </h1>
      <Loaded query={status} what={t`Loading the status`}>
        {(data) => <Shown status={data} />}
      </Loaded>
    </main>
  );
}

function Shown({ status }: { status: Status }) {
  const notice = useNotice();
  const [modal, modalHolder] = Modal.useModal();
  const job = useJob((kind) => {
    if (kind === "take") {
      // Backups contain no login sessions: everybody signs in again.
      window.location.assign("/library");
    } else if (kind === "backup") {
      notice.done(t`The backup is made.`);
    }
  });
  const take = () =>
    modal.confirm({
      getContainer: layers,
      title: t`Replace the gym with this copy?`,
      content: t`Everything written since the backup is removed. The current gym is backed up first, and everybody has to sign in again.`,
      okText: t`Replace the gym`,
      onOk: () => job.ask({ kind: "take" }),
    });
  return (
    <>
      {modalHolder}
      <Warnings status={status} />
      {job.failure && <Alert type="error" role="alert" className="status-warning" title={job.failure} />}
      {job.running && <Alert type="info" role="status" className="status-warning" title={`${DOING[job.running]} …`} />}
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
          {status.hasKeeper ? (
            <Backups backups={status.backups} running={job.running} onAsk={job.ask}>
              <WithRecordings isChosen={status.backsUpRecordings} />
            </Backups>
          ) : (
            <BackupsElsewhere />
          )}
        </div>
        <div>
          <Server status={status} />
          <Walls walls={status.walls} />
          <Storage quotas={status.quotas} />
        </div>
      </div>
    </>
  );
}

/** What the gym should act on soon. */
function Warnings({ status }: { status: Status }) {
  const last = status.backups[0];
  return (
    <>
      {status.diskIsNearlyFull && (
        <Alert
          type="warning"
          className="status-warning"
          title={t`The disk is nearly full: ${amount(status.disk.free)} are free. Free some space on the gym’s server, or saving will stop.`}
        />
      )}
      {status.backupIsOld && (
        <Alert
          type="warning"
          className="status-warning"
          title={
            last
              ? t`The last backup is from ${day(last.madeAt)}. Make one now, and leave the server on at night.`
              : t`There is no backup yet. Make one now; after that one is made every night.`
          }
        />
      )}
    </>
  );
}

/** Where the gym is one of several on the servers of somebody else. */
function BackupsElsewhere() {
  return (
    <section className="panel block" aria-label={t`Backups`}>
      <h2>
        <Trans>Backups</Trans>
      </h2>
      <p>
        <Trans>Backups of this gym are made and restored by the people who run its servers. Ask them.</Trans>
      </p>
    </section>
  );
}

interface BackupsProps {
  backups: Status["backups"];
  running: JobKind | null;
  onAsk: ReturnType<typeof useJob>["ask"];
}

/** Chooses whether backups contain the recordings of coaches. */
function WithRecordings({ isChosen }: { isChosen: boolean }) {
  const choose = useBackupContent();
  const notice = useNotice();
  return (
    <p>
      <Checkbox
        checked={isChosen}
        disabled={choose.isPending}
        onChange={(event) => choose.mutate(event.target.checked, { onError: notice.failed })}
      >
        <Trans>With the recordings of coaches: every backup then takes their room as well</Trans>
      </Checkbox>
      {!isChosen && (
        <span className="status-hint small">
          <Trans>Now they are only on this server’s disk. If it is lost, so are they.</Trans>
        </span>
      )}
    </p>
  );
}

function Backups({ backups, running, onAsk, children }: BackupsProps & { children: ReactNode }) {
  return (
    <section className="panel block" aria-label={t`Backups`}>
      <h2>
        <Trans>Backups</Trans>
      </h2>
      <p className="small">
        <Trans>
          Made every night; kept for 14 days, and the first of each month for a year. Download one now and then and keep
          it on another machine.
        </Trans>
      </p>
      <Button
        type="primary"
        disabled={running !== null}
        loading={running === "backup"}
        onClick={() => onAsk({ kind: "backup" })}
      >
        <Trans>Back up now</Trans>
      </Button>
      {children}
      {backups.length > 0 && (
        <div className="plain-scroll">
          <BackupTable backups={backups} running={running} onAsk={onAsk} />
        </div>
      )}
    </section>
  );
}

function Server({ status }: { status: Status }) {
  const last = status.backups[0];
  return (
    <section className="panel block" aria-label={t`Server`}>
      <h2>
        <Trans>Server</Trans>
      </h2>
      <dl className="status-facts">
        <dt>
          <Trans>Periplus</Trans>
        </dt>
        <dd>{status.version}</dd>
        <dt>
          <Trans>Disk</Trans>
        </dt>
        <dd>
          <Trans>
            {amount(status.disk.free)} free of {amount(status.disk.total)}
          </Trans>
        </dd>
        <dt>
          <Trans>Database</Trans>
        </dt>
        <dd>
          {amount(status.database.bytes)}, <span translate="no">{status.database.version}</span>
        </dd>
        {status.hasKeeper && (
          <>
            <dt>
              <Trans>Last backup</Trans>
            </dt>
            <dd>{last ? dayAndTime(last.madeAt) : t`none yet`}</dd>
            <dt>
              <Trans>Certificate</Trans>
            </dt>
            <dd>
              {status.certificateEnd
                ? t`valid until ${day(status.certificateEnd)}`
                : t`none: only this machine reaches the gym`}
            </dd>
          </>
        )}
      </dl>
    </section>
  );
}

function Walls({ walls }: { walls: Status["walls"] }) {
  return (
    <section className="panel block" aria-label={t`Walls`}>
      <h2>
        <Trans>Walls</Trans>
      </h2>
      {walls.length === 0 ? (
        <p className="small">
          <Trans>No wall yet. Add one under Run, Walls.</Trans>
        </p>
      ) : (
        <dl className="status-facts">
          {walls.map((wall) => (
            <div key={wall.name}>
              <dt>{wall.name}</dt>
              <dd>{wall.seenAt ? t`seen ${dayAndTime(wall.seenAt)}` : t`not opened yet`}</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}

function Storage({ quotas }: { quotas: Status["quotas"] }) {
  return (
    <section className="panel block" aria-label={t`Quotas`}>
      <h2>
        <Trans>Storage</Trans>
      </h2>
      <dl className="status-facts">
        {quotas.map((quota) => (
          <div key={quota.what}>
            <dt>{quota.what}</dt>
            <dd>
              {quota.unit === "bytes"
                ? t`${amount(quota.used)} of ${amount(quota.limit)}`
                : t`${quota.used.toLocaleString("en-GB")} of ${quota.limit.toLocaleString("en-GB")}`}
              <meter
                min={0}
                max={quota.limit}
                high={0.8 * quota.limit}
                value={quota.used}
                aria-label={t`${quota.what} used`}
              />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function BackupTable({ backups, running, onAsk }: BackupsProps) {
  return (
    <table className="plain-table status-backups">
      <thead>
        <tr>
          <th scope="col">
            <Trans>Made</Trans>
          </th>
          <th scope="col">
            <Trans>Why</Trans>
          </th>
          <th scope="col">
            <Trans>Size</Trans>
          </th>
          <th scope="col">
            <span className="visually-hidden">
              <Trans>Ways</Trans>
            </span>
          </th>
        </tr>
      </thead>
      <tbody>
        {backups.map((backup) => (
          <tr key={backup.name}>
            <td>{dayAndTime(backup.madeAt)}</td>
            <td>{KINDS[backup.kind]}</td>
            <td>{amount(backup.bytes)}</td>
            <td className="line-ways">
              <a href={`/api/backups/${backup.name}`} download>
                <Trans>Download</Trans>
              </a>
              <Button
                size="small"
                disabled={running !== null}
                onClick={() => onAsk({ kind: "look", name: backup.name })}
              >
                <Trans>Restore to a copy</Trans>
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
