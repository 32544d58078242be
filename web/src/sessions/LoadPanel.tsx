import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { useState } from "react";
import type { SessionLoad } from "../api/client";
import { Segmented } from "../ui/Segmented";
import { LIMBS } from "../ui/words";
import { usePlanContext } from "./planContext";
import { clock } from "./time";

/** The totals and the load of athletes of both stances, for the selected track. */
export function LoadPanel() {
  const { document, content, old } = usePlanContext();
  const [track, setTrack] = useState(0);
  if (!document) {
    return null;
  }
  const of = document.tracks[Math.min(track, document.tracks.length - 1)];
  const over = content.minutes ? document.lengthMs - 60_000 * content.minutes : 0;
  return (
    <section className={old ? "panel load is-old" : "panel load"} aria-label={t`Load`} aria-busy={old}>
      <Flex component="p" align="center" gap="medium" className="totals">
        <b className={over > 0 ? "numbers is-over" : "numbers"}>{clock(document.lengthMs)}</b>
        <span className="small">
          {content.minutes
            ? over > 0
              ? t`${clock(over)} over ${content.minutes} min`
              : t`${clock(-over)} left of ${content.minutes} min`
            : t`in all`}
          {of && (
            <Trans>
              <br />
              {clock(of.workMs)} work, {clock(of.restMs)} rest
            </Trans>
          )}
        </span>
      </Flex>
      {document.needs.length > 0 && (
        <p className="small">
          <Trans>Needed: {document.needs.join(", ")}</Trans>
        </p>
      )}
      {document.tracks.length > 1 && (
        <Segmented
          block
          size="small"
          value={track}
          options={document.tracks.map((one, value) => ({ value, label: one.name }))}
          onChange={setTrack}
          aria-label={t`Load of track`}
        />
      )}
      {of && (
        <div className="stances">
          <StanceLoad title={t`orthodox`} load={of.load.orthodox} />
          <StanceLoad title={t`southpaw`} load={of.load.southpaw} />
        </div>
      )}
      <p className="small load-note">
        <Trans>
          Counted from work, length at tempo and the gap between repetitions of the level.
          {of && of.load.orthodox.free >= 1 && t` ${Math.round(of.load.orthodox.free)} free strikes have no side.`}
        </Trans>
      </p>
    </section>
  );
}

function StanceLoad({ title, load }: { title: string; load: SessionLoad }) {
  const limbs = LIMBS.map(({ value, label }) => ({ label, value: load.byLimb[value] ?? 0, kind: value }));
  return (
    <section className="stance-load" aria-label={t`Load, ${title}`}>
      <h2>
        {title}{" "}
        <small>
          <Trans>{Math.round(load.strikes)} strikes</Trans>
        </small>
      </h2>
      <Sides left={load.bySide.left} right={load.bySide.right} />
      <Bars parts={limbs} />
      <Bars
        parts={["head", "body", "leg"].map((target) => ({
          label: target,
          value: load.byTarget[target] ?? 0,
          kind: target,
        }))}
      />
      <p className="small">
        <Trans>
          {clock(load.stanceMs.orthodox ?? 0)} orthodox, {clock(load.stanceMs.southpaw ?? 0)} southpaw
          {load.jabShare !== null && t`, ${Math.round(100 * load.jabShare)} % open with the jab`}
        </Trans>
      </p>
    </section>
  );
}

/** Left against right, from the middle. */
function Sides({ left, right }: { left: number; right: number }) {
  const most = Math.max(left, right, 1);
  return (
    <div className="sides" role="img" aria-label={t`${Math.round(left)} left, ${Math.round(right)} right`}>
      <span className="side side-left">
        <i style={{ width: `${(100 * left) / most}%` }} />
        <b>
          <Trans>L {Math.round(left)}</Trans>
        </b>
      </span>
      <span className="side side-right">
        <i style={{ width: `${(100 * right) / most}%` }} />
        <b>
          <Trans>R {Math.round(right)}</Trans>
        </b>
      </span>
    </div>
  );
}

/** Shares of a whole side by side. */
function Bars({ parts }: { parts: { label: string; value: number; kind: string }[] }) {
  const shown = parts.filter((part) => part.value >= 0.5);
  const sum = shown.reduce((total, part) => total + part.value, 0);
  return sum === 0 ? null : (
    <Flex
      gap="2px"
      className="bars"
      role="img"
      aria-label={shown.map((part) => `${Math.round(part.value)} ${part.label}`).join(", ")}
    >
      {shown.map((part) => (
        <span key={part.kind} className={`bar-part bar-${part.kind}`} style={{ flexGrow: part.value / sum }}>
          <b>{Math.round(part.value)}</b> {part.label.toLowerCase()}
        </span>
      ))}
    </Flex>
  );
}
