import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Select } from "antd";
import { lazy, Suspense, useState } from "react";
import { Link } from "react-router";
import type { Recording, Recordings } from "../api/client";
import { useVocabulary } from "../api/useVocabulary";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { amount, day } from "../ui/words";
import { DeleteRecording } from "./DeleteRecording";
import { Player } from "./Player";
import { Missing } from "./RecordingPanel";
import { seconds } from "./take";
import { useRecordings } from "./useRecordings";
import "./recording.css";

const RecordingDialog = lazy(() => import("./RecordingDialog"));

/** All recordings of the gym, how much room they take, and those of single strikes and moves. */
export default function RecordingsScreen() {
  const recordings = useRecordings();
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Recordings</Trans>
      </h1>
      <Loaded query={recordings} what={t`Loading the recordings`}>
        {(data) => (
          <>
            <Room {...data} />
            <AddOfTechnique recordings={data.recordings} />
            <All recordings={data.recordings} />
          </>
        )}
      </Loaded>
    </main>
  );
}

function Room({ usedBytes, limitBytes }: Pick<Recordings, "usedBytes" | "limitBytes">) {
  return (
    <div className="recording-used">
      <span>
        <Trans>
          {amount(usedBytes)} of {amount(limitBytes)} are used
        </Trans>
      </span>
      <meter min={0} max={limitBytes} high={0.8 * limitBytes} value={usedBytes} aria-label={t`Room that is used`} />
    </div>
  );
}

/** Chooses a strike or a move, and records it. */
function AddOfTechnique({ recordings }: { recordings: Recording[] }) {
  const vocabulary = useVocabulary();
  const [technique, setTechnique] = useState<string | null>(null);
  const [isRecording, setRecording] = useState(false);
  const techniques = [
    ...(vocabulary?.strikes.map(({ id, name }) => ({ value: id, label: name })) ?? []),
    ...(vocabulary?.moves.map(({ id, words }) => ({ value: id, label: words })) ?? []),
  ];
  const before = recordings.find((one) => technique !== null && one.technique === technique);
  return (
    <section className="panel block recording-add">
      <h2>
        <Trans>A strike or a move</Trans>
      </h2>
      <p className="small">
        <Trans>
          It is shown with every combination that has it, and on the wall where a combination has no recording of its
          own. Combinations are recorded on their own page.
        </Trans>
      </p>
      <Flex wrap gap="small">
        <Select
          showSearch
          optionFilterProp="label"
          placeholder={t`such as lead hook`}
          aria-label={t`Strike or move`}
          value={technique}
          options={techniques}
          onChange={setTechnique}
        />
        <Button
          type="primary"
          disabled={technique === null || before?.mayChange === false}
          onClick={() => setRecording(true)}
        >
          {before ? t`Record again` : t`Record or choose a file`}
        </Button>
      </Flex>
      {before?.mayChange === false && (
        <p className="small">
          <Trans>There is one by {before.coach}. They or the head coach can replace it.</Trans>
        </p>
      )}
      <Suspense>
        {isRecording && technique !== null && (
          <RecordingDialog
            of={{ technique }}
            name={techniques.find(({ value }) => value === technique)?.label ?? technique}
            replaces={before?.id}
            onClose={() => setRecording(false)}
          />
        )}
      </Suspense>
    </section>
  );
}

function All({ recordings }: { recordings: Recording[] }) {
  return (
    <section className="panel block">
      <h2>
        <Trans>All of them</Trans>
      </h2>
      {recordings.length === 0 && (
        <p>
          <Trans>
            No recording yet. Choose a strike here, or open a combination of the <Link to="/library">library</Link>.
          </Trans>
        </p>
      )}
      <ul className="recording-list">
        {recordings.map((one) => (
          <li key={one.id}>
            <span>
              {one.combination === null ? (
                <b>{one.subject}</b>
              ) : (
                <Link to={`/combinations/${one.combination}`}>{one.subject}</Link>
              )}
              <br />
              <span className="small">
                <Trans>
                  {seconds(one.lengthMs)}, {amount(one.bytes)} · {one.coach}, {day(one.recordedAt)}
                </Trans>
                {one.isOutdated && <> · {t`of an earlier version`}</>}
              </span>
            </span>
            {one.isThere ? (
              <details>
                <summary>{one.kind === "video" ? t`Watch` : t`Listen`}</summary>
                <Player kind={one.kind} name={one.subject} address={`/api/recordings/${one.id}/file`} />
              </details>
            ) : (
              <Missing />
            )}
            {one.mayChange ? <DeleteRecording recording={one} /> : <span />}
          </li>
        ))}
      </ul>
    </section>
  );
}
