import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type ReactNode, useEffect, useMemo, useSyncExternalStore } from "react";
import type { AthleteSession } from "../api/client";
import { HomeSession, programmeOf } from "./homeSession";
import { stretchAfter, stretchBefore } from "./moment";
import { momentOn, PhoneSession } from "./PhoneSession";
import { ReadingFields, useReading } from "./ReadingFields";
import { RecordingsHere, useRecordings } from "./recordings";
import { stands } from "./state";
import { browserStore } from "./store";
import { timeLeft } from "./time";
import { useAwake } from "./useAwake";
import { useTick } from "./useScreen";
import { type SoundState, useSound } from "./useSound";
import "./athlete.css";

/** A session that an athlete does alone on their phone, without an account and without a coach. */
export function HomeScreen({ sessionKey }: { sessionKey: string }) {
  const reading = useReading();
  const { numbering, track } = reading[0];
  const client = useMemo(() => new HomeSession({ key: sessionKey, store: browserStore }), [sessionKey]);
  const view = useSyncExternalStore(client.subscribe, () => client.view);
  const programme = programmeOf(view);
  const sound = useSound(client, programme, `/api/athlete-sessions/${sessionKey}/clips`);
  const recordings = useRecordings(
    programme,
    `/api/athlete-sessions/${sessionKey}/recordings`,
    `at-home ${sessionKey}`,
    sound,
  );
  useTick();
  useAwake();
  useManifest(sessionKey, view.session !== null);
  useEffect(() => {
    void client.load(numbering);
  }, [client, numbering]);
  useEffect(() => {
    document.title = view.session?.name ?? "Periplus";
  }, [view.session]);

  const position = client.position();
  const isOver = view.run !== null && programme !== null && momentOn(programme, track, position).kind === "over";
  useEffect(() => {
    if (isOver) {
      void client.finish();
    }
  }, [client, isOver]);

  if (view.session === null || programme === null) {
    return (
      <main className="athlete">
        <h1>Periplus</h1>
        <p>
          {view.refused ??
            (view.away ? t`The gym’s server cannot be reached. Open the link again later.` : t`Loading …`)}
        </p>
      </main>
    );
  }
  const numbersNotice = view.away && view.readIn !== numbering && (
    <p className="athlete-small">
      <Trans>No connection: the numbers stay as they were loaded.</Trans>
    </p>
  );
  const begin = () => {
    sound.allow();
    client.begin();
  };
  if (view.run === null) {
    return <Before session={view.session} {...{ reading, sound }} onBegin={begin} notice={numbersNotice} />;
  }
  if (isOver) {
    return (
      <main className="athlete">
        <h1>{view.session.name}</h1>
        <p className="athlete-numbers">
          <Trans>Well done.</Trans>
        </p>
        <p>
          <button type="button" className="athlete-press" onClick={begin}>
            <Trans>Again</Trans>
          </button>
        </p>
      </main>
    );
  }
  const paused = stands(view.run.state, client.clock.now());
  return (
    <RecordingsHere value={recordings}>
      <PhoneSession
        name={view.session.name}
        {...{ programme, position, paused, reading }}
        now={() => client.position()}
        numberings={view.session.numberings}
      >
        <p className="athlete-presses">
          <button type="button" onClick={() => client.jump(stretchBefore(programme, position))}>
            <Trans>Back</Trans>
          </button>
          <button type="button" className="athlete-press" onClick={() => (paused ? client.resume() : client.pause())}>
            {paused ? t`Resume` : t`Pause`}
          </button>
          <button type="button" onClick={() => client.jump(stretchAfter(programme, position))}>
            <Trans>Skip</Trans>
          </button>
        </p>
        {numbersNotice}
        {sound.missing > 0 && (
          <p className="athlete-small">
            <Trans>Some calls could not be loaded; they are shown.</Trans>
          </p>
        )}
      </PhoneSession>
    </RecordingsHere>
  );
}

interface BeforeProps {
  session: AthleteSession;
  reading: ReturnType<typeof useReading>;
  sound: SoundState;
  onBegin: () => void;
  notice: ReactNode;
}

/** What it is and what it needs, before the first press. */
function Before({ session, reading: [reading, keep], sound, onBegin, notice }: BeforeProps) {
  const { programme, numberings } = session;
  return (
    <main className="athlete">
      <p className="athlete-small">{session.gym}</p>
      <h1>{session.name}</h1>
      <p className="athlete-words">
        <Trans>{timeLeft(programme.lengthMs)} in all; ten seconds to get ready.</Trans>
        {programme.needs.length > 0 && <> {t`Needed: ${programme.needs.join(", ")}.`}</>}
      </p>
      <p>
        <button type="button" className="athlete-press" onClick={onBegin}>
          <Trans>Start</Trans>
        </button>
      </p>
      <p className="athlete-small">
        <Trans>
          Phones are silent until something is pressed: with Start, bells, claps and the voice begin. Turn the sound of
          the phone up, and leave this page open.
        </Trans>{" "}
        {sound.missing > 0
          ? t`Some calls could not be loaded yet.`
          : t`Once it has loaded, it plays without the network, too.`}
      </p>
      <ReadingFields
        reading={reading}
        onKeep={keep}
        numberings={numberings}
        tracks={programme.tracks.length > 1 ? programme.tracks : []}
      />
      {notice}
      <p className="athlete-small">
        <Trans>
          Slow and clean first. Not to the head of a partner, and no spinning strikes, without your coach. When
          something hurts, stop and say so.
        </Trans>
      </p>
    </main>
  );
}

/** Says how the phone keeps the page among its applications. */
function useManifest(key: string, isThere: boolean) {
  useEffect(() => {
    if (!isThere) {
      return;
    }
    const link = document.createElement("link");
    link.rel = "manifest";
    link.href = `/api/athlete-sessions/${key}/manifest`;
    document.head.append(link);
    return () => link.remove();
  }, [key, isThere]);
}
