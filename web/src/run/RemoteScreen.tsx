import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Modal } from "antd";
import { useMemo, useState } from "react";
import { Link, useParams } from "react-router";
import type { Programme, Run } from "../api/client";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { layers } from "../ui/layers";
import { QrCode } from "../ui/QrCode";
import { Toolbar } from "../ui/Toolbar";
import { momentOf, stretchAfter, stretchBefore, tracksOf } from "../wall/moment";
import { positionAt, stands } from "../wall/state";
import { timeLeft } from "../wall/time";
import { useScreen, useTick } from "../wall/useScreen";
import { WallPreview } from "../wall/WallScreen";
import { RunRecord } from "./RunRecord";
import { SwapDialog } from "./SwapDialog";
import { type Press, usePresses, useRemoteKeys } from "./useRemote";
import { useRun } from "./useRuns";
import "./run.css";

/** The remote control of a session: a small view of the walls, and large buttons. */
export default function RemoteScreen() {
  const id = Number(useParams().id);
  const run = useRun(id);
  if (run.isPending) {
    return <Loading what={t`Loading the session`} />;
  }
  if (run.isError) {
    return (
      <NoPage title={t`This session cannot be loaded`} error={run.error}>
        <Button onClick={() => run.refetch()}>
          <Trans>Try again</Trans>
        </Button>
      </NoPage>
    );
  }
  return <Remote run={run.data} />;
}

function Remote({ run }: { run: Run }) {
  const { client, view } = useScreen(run.followKey);
  const [swaps, setSwaps] = useState(false);
  useTick(5);
  const now = client.clock.now();
  const playing = view.run ?? run;
  const programme = view.programme;
  const position = positionAt(playing.state, now);
  const stopped = stands(playing.state, now);
  const ended = playing.state.endedMs !== null;

  const press = usePresses(run, client);
  useRemoteKeys(client, stopped, press);

  return (
    <Flex component="main" vertical gap="medium" className="remote">
      <Flex component="header" align="center" gap="medium" className="remote-head">
        <Link to="/run" className="remote-out" aria-label={t`Back to running sessions`}>
          ‹
        </Link>
        <h1>{run.name}</h1>
        {run.isRehearsal && (
          <span className="tag">
            <Trans>rehearsal at {run.state.speed} times the speed</Trans>
          </span>
        )}
      </Flex>
      {view.reach === "away" && (
        <p className="remote-away" role="status">
          <Trans>
            No connection to the gym’s server. The walls continue by themselves; commands from here are not applied.
          </Trans>
        </p>
      )}
      {ended ? (
        <RunRecord run={run} />
      ) : programme === null ? (
        <Loading what={t`Loading the walls`} />
      ) : (
        <>
          <div className="remote-screen">
            <WallPreview client={client} view={view} />
          </div>
          <RemoteButtons {...{ programme, position, stopped }} onPress={press} onSwap={() => setSwaps(true)} />
          <div className="remote-session">
            <SessionLine programme={programme} position={position} onJump={(toMs) => press({ kind: "jump", toMs })} />
            <RoundList programme={programme} position={position} onJump={(toMs) => press({ kind: "jump", toMs })} />
          </div>
          <RemoteFoot followKey={run.followKey} onEnd={() => press({ kind: "end" })} />
        </>
      )}
      {swaps && programme && (
        <SwapDialog
          programme={programme}
          position={position}
          onSwap={(what) => {
            setSwaps(false);
            press({ kind: "swap", ...what });
          }}
          onClose={() => setSwaps(false)}
        />
      )}
    </Flex>
  );
}

interface SessionProps {
  programme: Programme;
  position: number;
  onJump: (toMs: number) => void;
}

type Segment = Programme["segments"][number];

/** Returns the segments of each track; tracks that do the same at the same time are one row. */
function rowsOf(programme: Programme): { track: number | null; segments: Segment[] }[] {
  const rows = new Map<string, { track: number | null; segments: Segment[] }>();
  for (const track of tracksOf(programme)) {
    const segments = programme.segments.filter((segment) => segment.track === null || segment.track === track);
    const key = segments.map(({ fromMs, toMs, kind, title }) => `${fromMs} ${toMs} ${kind} ${title}`).join("|");
    if (!rows.has(key)) {
      rows.set(key, { track, segments });
    }
  }
  return [...rows.values()];
}

/** What starts at one moment on any track: the drills or exercises, and their combinations. */
interface Part {
  segment: Segment;
  drills: Set<string>;
  combinations: Set<string>;
}

/** Returns the parts with work in their order. */
function partsOf(programme: Programme): Part[] {
  const parts = new Map<number, Part>();
  for (const segment of programme.segments.filter(({ kind }) => kind === "work")) {
    const part = parts.get(segment.fromMs) ?? { segment, drills: new Set(), combinations: new Set() };
    const exercise =
      segment.drill === "exercise" ? momentOf(programme, segment.track, segment.fromMs).shown?.short : undefined;
    part.drills.add(exercise ?? segment.title ?? t`work`);
    for (const { name, text } of segment.combinations) {
      part.combinations.add(name ?? text);
    }
    parts.set(segment.fromMs, part);
  }
  return [...parts.values()].sort((one, other) => one.segment.fromMs - other.segment.fromMs);
}

/** The parts with work; a tap jumps to one, which is easier to hit than the line. */
function RoundList({ programme, position, onJump }: SessionProps) {
  const parts = useMemo(() => partsOf(programme), [programme]);
  return (
    <Toolbar label={t`Rounds to jump to`} className="round-list">
      {parts.map(({ segment, drills, combinations }) => {
        const isNow = segment.fromMs <= position && position < segment.toMs;
        return (
          <button
            key={segment.fromMs}
            type="button"
            aria-current={isNow ? "step" : undefined}
            onClick={() => onJump(segment.fromMs)}
          >
            <b>{timeLeft(segment.fromMs)}</b>
            <span>
              {[...drills].join(" / ")} <small>{[...combinations].join(" / ")}</small>
            </span>
          </button>
        );
      })}
    </Toolbar>
  );
}

/** The whole session on one line; a tap jumps to the start of what is tapped. */
function SessionLine({ programme, position, onJump }: SessionProps) {
  const at = (ms: number) => `${(100 * ms) / programme.lengthMs}%`;
  return (
    <Toolbar label={t`The session’s line`} className="session-line">
      {rowsOf(programme).map(({ track, segments }) => (
        <div key={track ?? "all"} className="session-row">
          {segments.map((segment) => (
            <button
              key={segment.fromMs}
              type="button"
              className={`session-part part-${segment.kind}${segment.fromMs <= position && position < segment.toMs ? " part-now" : ""}`}
              style={{ left: at(segment.fromMs), width: at(segment.toMs - segment.fromMs) }}
              title={`${timeLeft(segment.fromMs)} ${segment.title ?? segment.kind}`}
              aria-label={t`Jump to ${timeLeft(segment.fromMs)}, ${segment.title ?? segment.kind}`}
              onClick={() => onJump(segment.fromMs)}
            />
          ))}
        </div>
      ))}
      <span className="session-now" style={{ left: at(Math.min(programme.lengthMs, Math.max(0, position))) }} />
      <Flex component="p" justify="space-between" className="session-times">
        <span>{timeLeft(Math.max(0, position))}</span>
        <span>{timeLeft(programme.lengthMs)}</span>
      </Flex>
    </Toolbar>
  );
}

interface ButtonsProps {
  programme: Programme;
  position: number;
  stopped: boolean;
  onPress: (what: Press) => void;
  onSwap: () => void;
}

function RemoteButtons({ programme, position, stopped, onPress, onSwap }: ButtonsProps) {
  return (
    <div className="remote-buttons">
      <Button
        className="remote-back"
        onClick={() => onPress({ kind: "jump", toMs: stretchBefore(programme, position) })}
      >
        <Trans>‹ Back</Trans>
      </Button>
      <Button className="remote-pause" type="primary" onClick={() => onPress({ kind: stopped ? "resume" : "pause" })}>
        {stopped ? t`Resume` : t`Pause`}
      </Button>
      <Button
        className="remote-skip"
        onClick={() => onPress({ kind: "jump", toMs: stretchAfter(programme, position) })}
      >
        <Trans>Skip ›</Trans>
      </Button>
      <Button onClick={() => onPress({ kind: "longer" })}>
        <Trans>+ 1 minute</Trans>
      </Button>
      <Button onClick={() => onPress({ kind: "again" })}>
        <Trans>Round again</Trans>
      </Button>
      <Button onClick={onSwap}>
        <Trans>Swap …</Trans>
      </Button>
      <p className="remote-keys">
        <Trans>Keys: Space for pause, ← → for back and skip</Trans>
      </p>
    </div>
  );
}

/** The code for athletes, and the end of the session. */
function RemoteFoot({ followKey, onEnd }: { followKey: string; onEnd: () => void }) {
  const [modal, modalHolder] = Modal.useModal();
  return (
    <Flex component="footer" align="flex-start" justify="space-between">
      {modalHolder}
      <details>
        <summary>
          <Trans>Code for athletes</Trans>
        </summary>
        <Flex wrap align="center" gap="medium" className="wall-code">
          <QrCode address={`${window.location.origin}/follow/${followKey}`} label={t`Follow on a phone`} />
          <a href={`/follow/${followKey}`} target="_blank" rel="noreferrer">
            <Trans>Open it</Trans>
          </a>
        </Flex>
      </details>
      <Button
        danger
        onClick={() =>
          modal.confirm({
            getContainer: layers,
            title: t`End the session?`,
            content: t`The walls show that it is over. What was shown is kept.`,
            okText: t`End it`,
            cancelText: t`Cancel`,
            onOk: onEnd,
          })
        }
      >
        <Trans>End</Trans>
      </Button>
    </Flex>
  );
}
