import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Checkbox, Flex, Select } from "antd";
import { useRef, useState } from "react";
import { answered, api, server, type VoiceSettings } from "../api/client";
import { refresh } from "../api/keys";
import { useMay } from "../api/session";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { clipOf } from "./recording";
import "./run.css";

const CHOICES = [
  {
    field: "voice",
    label: t`Voice`,
    options: [
      { value: "male", label: t`male` },
      { value: "female", label: t`female` },
    ],
  },
  {
    field: "pace",
    label: t`Pace`,
    options: [
      { value: "slow", label: t`slow` },
      { value: "plain", label: t`plain` },
      { value: "fast", label: t`fast` },
    ],
  },
  {
    field: "loudness",
    label: t`Loudness`,
    options: [
      { value: "quiet", label: t`quiet` },
      { value: "loud", label: t`loud` },
    ],
  },
  {
    field: "says",
    label: t`Combinations are announced by`,
    options: [
      { value: "numbers", label: t`numbers` },
      { value: "names", label: t`names` },
      { value: "both", label: t`numbers, then names` },
    ],
  },
] as const;

/** The settings of the voice, and coaches' recordings. */
export default function VoiceScreen() {
  const voice = useVoice();
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Voice of calls</Trans>
      </h1>
      <Loaded query={voice} what={t`Loading the calls`}>
        {(settings) => (
          <>
            <VoiceChoice settings={settings} />
            <Clips settings={settings} />
          </>
        )}
      </Loaded>
    </main>
  );
}

function useVoice() {
  return server.useQuery("get", "/api/voice");
}

type Settings = NonNullable<ReturnType<typeof useVoice>["data"]>;

function VoiceChoice({ settings }: { settings: Settings }) {
  const { longestMs: _, clips: __, ...chosen } = settings;
  const mayChoose = useMay("MANAGE_GYM");
  const { data: drills } = server.useQuery("get", "/api/drills");
  const queries = useQueryClient();
  const notice = useNotice();
  const [asked, setAsked] = useState<VoiceSettings | null>(null);
  const save = useMutation({
    mutationFn: (body: VoiceSettings) => answered(api.PUT("/api/voice", { body })),
    onSuccess: () => refresh(queries, "/api/voice"),
    onError: notice.failed,
  });
  return (
    <section className="panel block">
      <h2>
        <Trans>Voice</Trans>
      </h2>
      <Flex wrap gap="medium">
        {CHOICES.map(({ field, label, options }) => (
          <Segmented<string>
            key={field}
            aria-label={label}
            options={[...options]}
            value={settings[field]}
            disabled={!mayChoose}
            onChange={(value) => setAsked({ ...chosen, [field]: value })}
          />
        ))}
        <Button onClick={() => play(t`one two, slip lead, two`)}>
          <Trans>Listen</Trans>
        </Button>
      </Flex>
      <p>
        <label htmlFor="time-calls">
          <Trans>Times that it calls</Trans>
        </label>
      </p>
      <Select
        id="time-calls"
        className="time-calls"
        mode="multiple"
        value={chosen.timeCalls}
        options={drills?.timeCalls ?? []}
        placeholder={t`none: the last ten seconds are clapped`}
        disabled={!mayChoose}
        onChange={(timeCalls) => setAsked({ ...chosen, timeCalls })}
      />
      <Checkbox
        checked={chosen.perSet}
        disabled={!mayChoose || chosen.timeCalls.length === 0}
        onChange={(event) => setAsked({ ...chosen, perSet: event.target.checked })}
      >
        <Trans>for each set, not only for the whole round</Trans>
      </Checkbox>
      <ConfirmDialog
        isOpen={asked !== null}
        title={t`Change the voice of the gym?`}
        action={t`Change the voice`}
        isRunning={save.isPending}
        onConfirm={() => asked && save.mutate(asked, { onSettled: () => setAsked(null) })}
        onClose={() => setAsked(null)}
      >
        <Trans>
          All walls and phones speak with it from the next session on. Calls that coaches have recorded stay. It can be
          undone from the audit log.
        </Trans>
      </ConfirmDialog>
      {!mayChoose && (
        <p className="small">
          <Trans>The head coach chooses the voice.</Trans>
        </p>
      )}
    </section>
  );
}

/** What the sessions say, each with the voice or as a coach has recorded it. */
function Clips({ settings }: { settings: Settings }) {
  const queries = useQueryClient();
  const notice = useNotice();
  const again = () => refresh(queries, "/api/voice");
  const record = useMutation({
    mutationFn: async ({ text, sound }: { text: string; sound: Blob }) =>
      answered(api.POST("/api/voice/clips", { body: { text, wav: await clipOf(sound) } })),
    onSuccess: async () => {
      await again();
      notice.done(t`Recorded. It is used from the next session on.`);
    },
    onError: (error) =>
      error instanceof DOMException
        ? notice.warn(t`This browser cannot read that sound. Take a WAV file.`)
        : notice.failed(error),
  });
  const forget = useMutation({
    mutationFn: (text: string) => answered(api.POST("/api/voice/clips/forget", { body: { text } })),
    onSuccess: again,
    onError: notice.failed,
  });
  return (
    <section className="panel block">
      <h2>
        <Trans>What the sessions of these weeks say</Trans>
      </h2>
      <p className="small">
        <Trans>
          Your own clip takes the place of the voice, up to {settings.longestMs / 1000} seconds; silence before and
          after it is cut off.
        </Trans>
      </p>
      {settings.clips.length === 0 && (
        <p>
          <Trans>No session of these weeks says anything.</Trans>
        </p>
      )}
      <ul className="clip-list">
        {settings.clips.map((clip) => (
          <li key={clip.text}>
            <span>
              {clip.text}{" "}
              {clip.recorded && (
                <b className="tag">
                  <Trans>recorded</Trans>
                </b>
              )}
            </span>
            <Button size="small" onClick={() => play(clip.text)}>
              <Trans>Listen</Trans>
            </Button>
            <Recorder
              longestMs={settings.longestMs}
              onSound={(sound) => record.mutate({ text: clip.text, sound })}
              onRefused={notice.warn}
            />
            {clip.recorded && (
              <Button size="small" onClick={() => forget.mutate(clip.text)}>
                <Trans>Use the voice</Trans>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Plays a clip through the audio clock, because the content security policy allows no media elements. */
async function play(text: string): Promise<void> {
  const answer = await fetch(`/api/voice/sample?text=${encodeURIComponent(text)}`);
  if (!answer.ok) {
    return;
  }
  const context = new AudioContext();
  const source = context.createBufferSource();
  source.buffer = await context.decodeAudioData(await answer.arrayBuffer());
  source.connect(context.destination);
  source.onended = () => void context.close();
  source.start();
}

/** Records with the microphone, or takes a file. */
function Recorder({
  longestMs,
  onSound,
  onRefused,
}: {
  longestMs: number;
  onSound: (sound: Blob) => void;
  onRefused: (sentence: string) => void;
}) {
  const recorder = useRef<MediaRecorder | null>(null);
  const [records, setRecords] = useState(false);
  const start = async () => {
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const next = new MediaRecorder(stream);
      recorder.current = next;
      next.ondataavailable = (event) => onSound(event.data);
      next.onstop = () => {
        setRecords(false);
        for (const track of stream.getTracks()) {
          track.stop();
        }
      };
      next.start();
      setRecords(true);
      setTimeout(() => next.state === "recording" && next.stop(), longestMs);
    } catch {
      onRefused(t`This browser cannot use a microphone on this page. Use a sound file instead.`);
    }
  };
  return (
    <>
      <Button size="small" danger={records} onClick={() => (records ? recorder.current?.stop() : void start())}>
        {records ? t`Stop` : t`Record`}
      </Button>
      <label className="clip-file">
        <Trans>or a file</Trans>
        <input
          type="file"
          accept="audio/*"
          aria-label={t`Use a sound file`}
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) {
              onSound(file);
            }
            event.target.value = "";
          }}
        />
      </label>
    </>
  );
}
