import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import { Link, useParams } from "react-router";
import type { Combination, Measured, MeasuredLink } from "../api/client";
import { newId } from "../api/newId";
import { useNumbering } from "../api/useNumbering";
import { useVocabulary } from "../api/useVocabulary";
import { useCheck } from "../check/useCheck";
import { useCombination } from "../combination/useCombination";
import { CombinationLine } from "../combination-line/CombinationLine";
import type { Placed } from "../combination-line/place";
import { Failure, NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Segmented } from "../ui/Segmented";
import { Trail } from "../ui/Trail";
import { useNotice } from "../ui/useNotice";
import { dayAndTime } from "../ui/words";
import { recordingOf } from "./recordingOf";
import { TapStrip } from "./TapStrip";
import { tapped, without, withTap } from "./taps";
import { type Method, useDeleteMeasurement, useKeep, useMeasured, useMeasurements, useOnsets } from "./useMeasure";
import "./measure.css";

const METHODS: { value: Method; label: string }[] = [
  { value: "taps", label: t`by tapping` },
  { value: "sound", label: t`by sound` },
];

/** Measures how an athlete throws a combination, and compares it with the check. */
export default function MeasureScreen() {
  const id = Number(useParams().id);
  const combination = useCombination(Number.isInteger(id) ? id : -1);
  if (combination.isError) {
    return (
      <NoPage error={combination.error}>
        <Link to="/library">
          <Trans>Go to the library</Trans>
        </Link>
      </NoPage>
    );
  }
  return combination.data ? <Measure combination={combination.data} /> : <Loading what={t`Loading the combination`} />;
}

function Measure({ combination }: { combination: Combination }) {
  const [method, setMethod] = useState<Method>("taps");
  const [taps, setTaps] = useState<number[]>([]);
  const [sound, setSound] = useState<{ peaks: number[]; lengthMs: number } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isSample, setSample] = useState(false);
  const readIn = useNumbering();
  const notice = useNotice();
  const measured = useMeasured(combination.id, taps, method);
  const kept = useMeasurements(combination.id);
  const keep = useKeep(combination.id);
  const shelve = useDeleteMeasurement(combination.id);
  const { readable } = useCheck({
    text: combination.notation,
    stance: combination.stance,
    rules: combination.rules,
    numbering: "parity",
    readIn,
    opponent: "orthodox",
  });
  const drawing = readable?.drawings?.full;
  const clear = () => {
    setTaps([]);
    setSound(null);
    setProblem(null);
    setSample(false);
  };
  const shown = taps.length >= 2 ? measured.data : undefined;
  const last = kept.data?.[0];
  const links = shown?.links ?? last?.links ?? [];
  const names = namesOf(drawing?.items, shown);

  return (
    <main className="page">
      <Trail to={`/combinations/${combination.id}`} place={combination.name} name="Measure" />
      <header className="page-head">
        <h1>
          <Trans>Measure {combination.name}</Trans>
        </h1>
        <Segmented
          value={method}
          onChange={(next) => {
            setMethod(next);
            clear();
          }}
          options={METHODS}
          aria-label={t`How it is measured`}
        />
      </header>
      <p className="small measure-lead">
        {method === "taps"
          ? t`While one athlete throws it several times, tap once for each strike as it lands: the field below, or the space bar. Taps are good to about 30 ms; several repetitions make it better.`
          : t`A recording of a bag or pads, at most a minute: Periplus finds the hits. It is not stored.`}
      </p>
      <div className="measure-grid">
        <section className="panel block" aria-label={t`Taps`}>
          {method === "taps" ? (
            <TapField isEmpty={taps.length === 0} onTap={(ms) => setTaps((now) => tapped(now, ms))} />
          ) : (
            <SoundField
              contacts={drawing?.items.filter(({ kind }) => kind === "strike").map(({ ms }) => ms) ?? []}
              onProblem={setProblem}
              onSound={(found, sample) => {
                setSample(sample);
                setTaps(found.onsets);
                setSound({ peaks: found.peaks, lengthMs: found.lengthMs });
                setProblem(
                  found.onsets.length < 2 ? t`Fewer than two hits were found. Record nearer to the bag.` : null,
                );
              }}
            />
          )}
          {problem && (
            <p role="alert" className="measure-problem">
              {problem}
            </p>
          )}
          {(taps.length > 0 || sound) && (
            <>
              <TapStrip
                taps={taps}
                measured={shown}
                sound={sound}
                names={names}
                onRemove={(at) => setTaps(without(taps, at))}
                onAdd={(ms) => setTaps(withTap(taps, ms))}
              />
              <p className="small" role="status">
                <Trans>
                  {taps.length} {method === "taps" ? t`taps` : t`hits`}
                  {shown &&
                    t`: ${plural(shown.repetitions.length, { one: "# repetition", other: "# repetitions" })}, ${shown.missed} missed, ${shown.extra.length} too many`}
                  . Press one to delete it, or an empty place to add a missed one.
                </Trans>
              </p>
            </>
          )}
          <Failure error={taps.length >= 2 ? measured.error : null} />
          {isSample && (
            <p className="small" role="status">
              <Trans>This is a sample recording, so it cannot be saved.</Trans>
            </p>
          )}
          <div className="measure-actions">
            <Button
              type="primary"
              disabled={isSample || !shown || shown.repetitions.length === 0}
              loading={keep.isPending}
              onClick={() =>
                keep.mutate(
                  { id: newId(), taps, method },
                  {
                    onSuccess: ({ id }) => {
                      clear();
                      notice.undo(t`Saved, without a name.`, () => shelve.mutate({ id, restore: false }));
                    },
                    onError: notice.failed,
                  },
                )
              }
            >
              <Trans>Keep it</Trans>
            </Button>
            {shown && shown.extra.length > 0 && (
              <Button onClick={() => setTaps(taps.filter((_, at) => !shown.extra.includes(at)))}>
                <Trans>Delete superfluous taps</Trans>
              </Button>
            )}
            {taps.length > 0 && (
              <Button onClick={clear}>
                <Trans>Begin again</Trans>
              </Button>
            )}
          </div>
        </section>
        <section className="panel block" aria-label={t`Beside the check`}>
          <h2>{shown ? t`Beside the check` : last ? t`Latest measurements and the check` : t`Beside the check`}</h2>
          {drawing ? (
            <CombinationLine
              drawing={drawing}
              name={combination.name}
              overlay={(line) => <Medians line={line} links={links} />}
            />
          ) : (
            <Loading what={t`Checking`} />
          )}
          {shown && shown.pace !== 1 && (
            <p className="small">
              <Trans>
                Overall thrown in {shown.pace.toFixed(2)} of the computed time; links are compared at that pace.
              </Trans>
            </p>
          )}
          {links.length > 0 && <LinkTable links={links} items={drawing?.items ?? []} />}
          {links.length === 0 && (
            <p className="small">
              <Trans>The times between the strikes appear here after a measurement.</Trans>
            </p>
          )}
        </section>
      </div>
      {kept.data && kept.data.length > 0 && (
        <section className="panel block" aria-label={t`Kept`}>
          <h2>
            <Trans>Kept</Trans>
          </h2>
          <ul className="measure-kept">
            {kept.data.map((one) => (
              <li key={one.id}>
                <span>
                  {dayAndTime(one.createdAt)} · {one.coach} · {one.method === "taps" ? t`by tapping` : t`by sound`}
                </span>
                <span>
                  {one.links.map((link) => (
                    <i key={link.from} className={`verdict-${link.verdict}`} title={link.says}>
                      {link.median === null ? "–" : Math.round(link.median)}
                    </i>
                  ))}
                  <Trans> ms</Trans>
                </span>
                <Button
                  size="small"
                  onClick={() =>
                    shelve.mutate(
                      { id: one.id, restore: false },
                      {
                        onSuccess: () => notice.undo(t`Deleted.`, () => shelve.mutate({ id: one.id, restore: true })),
                        onError: notice.failed,
                      },
                    )
                  }
                >
                  <Trans>Delete it</Trans>
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}

type Items = { text: string }[];

/** Returns the name of each moment at which something lands. */
function namesOf(items: Items | undefined, measured: Measured | undefined): string[] {
  return (measured?.contacts ?? []).map(({ items: places }) => places.map((at) => items?.[at]?.text ?? "").join("+"));
}

const SIGNS: Record<MeasuredLink["verdict"], { sign: string; word: string }> = {
  "as-computed": { sign: "●", word: t`as computed` },
  faster: { sign: "◀", word: t`faster` },
  stops: { sign: "■", word: t`stops here` },
  "not-heard": { sign: "–", word: t`not heard` },
};

function LinkTable({ links, items }: { links: MeasuredLink[]; items: Items }) {
  return (
    <div className="plain-scroll">
      <table className="plain-table measure-table">
        <thead>
          <tr>
            <th scope="col">
              <Trans>Link</Trans>
            </th>
            <th scope="col">
              <Trans>Computed</Trans>
            </th>
            <th scope="col">
              <Trans>Measured</Trans>
            </th>
            <th scope="col">
              <Trans>Spread</Trans>
            </th>
            <th scope="col">
              <Trans>Times</Trans>
            </th>
            <th scope="col">
              <Trans>Says</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {links.map((link) => (
            <tr key={link.from}>
              <td>
                <b>
                  {items[link.from]?.text} → {items[link.to]?.text}
                </b>
              </td>
              <td>
                <Trans>{Math.round(link.computed)} ms</Trans>
              </td>
              <td>{link.median === null ? "–" : t`${Math.round(link.median)} ms`}</td>
              <td>{link.spread === null ? "–" : t`± ${Math.round(link.spread)} ms`}</td>
              <td>{link.count}</td>
              <td className={`verdict-${link.verdict}`}>
                <span aria-hidden="true">{SIGNS[link.verdict].sign}</span> {SIGNS[link.verdict].word}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The measured times, drawn on the line between their strikes. */
function Medians({ line, links }: { line: Placed; links: MeasuredLink[] }) {
  const { items, lanes, height } = line.drawing;
  const y = Math.min(height - 6, (lanes[lanes.length - 1]?.y ?? height) + 22);
  return (
    <g className="medians">
      {links.map((link) => {
        const [from, to] = [items[link.from], items[link.to]];
        if (!from || !to || link.median === null) {
          return null;
        }
        const [a, b] = [line.x(from.ms) + from.shift, line.x(to.ms) + to.shift];
        return (
          <g key={link.from} className={`median verdict-${link.verdict}`}>
            <path d={`M${a + 3} ${y}H${b - 3}`} />
            <text x={(a + b) / 2} y={y - 5} textAnchor="middle">
              {Math.round(link.median)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** A large field to tap; the space bar does the same. */
function TapField({ isEmpty, onTap }: { isEmpty: boolean; onTap: (ms: number) => void }) {
  const start = useRef<number | null>(null);
  useEffect(() => {
    if (isEmpty) {
      start.current = null;
    }
  }, [isEmpty]);
  const tap = (at: number) => {
    start.current ??= at;
    onTap(Math.round((at - start.current) * 10) / 10);
  };
  return (
    <button
      type="button"
      className="tap-field"
      onPointerDown={(event) => {
        event.preventDefault();
        event.currentTarget.focus();
        tap(event.timeStamp);
      }}
      onKeyDown={(event) => {
        if ((event.key === " " || event.key === "Enter") && !event.repeat) {
          event.preventDefault();
          tap(event.timeStamp);
        }
      }}
    >
      <b>
        <Trans>Tap</Trans>
      </b>
      <span>
        <Trans>once for each strike</Trans>
      </span>
    </button>
  );
}

interface SoundProps {
  /** When its strikes land, in ms. */
  contacts: number[];
  /** @param sample whether it is the sample recording that ships */
  onSound: (found: { onsets: number[]; peaks: number[]; lengthMs: number }, sample: boolean) => void;
  onProblem: (problem: string | null) => void;
}

/** Chooses a sound file, or the synthesised sample. */
function SoundField({ contacts, onSound, onProblem }: SoundProps) {
  const onsets = useOnsets();
  const longest = useVocabulary()?.limits.recordingSeconds ?? 0;
  const notice = useNotice();
  const input = useRef<HTMLInputElement>(null);
  const [reads, setReads] = useState(false);
  const take = async (file: Blob, isSample = false) => {
    onProblem(null);
    setReads(true);
    try {
      const { wav, cut } = await recordingOf(file, longest);
      onSound(await onsets.mutateAsync(wav), isSample);
      if (cut) {
        notice.warn(t`Only the first minute was used.`);
      }
    } catch (failed) {
      onProblem(failed instanceof Error ? failed.message : t`This could not be read.`);
    } finally {
      setReads(false);
    }
  };
  const sample = async () => {
    const hits: number[] = [];
    const first = contacts[0] ?? 0;
    const long = (contacts[contacts.length - 1] ?? 0) - first;
    for (let time = 0; time < 5; time += 1) {
      for (const ms of contacts) {
        hits.push(Math.round(400 + time * (long + 1800) + (ms - first) + ((time * 37) % 50) - 25));
      }
    }
    const answer = await fetch(`/api/onsets/sample.wav?noise=0.15&hits=${hits.join(",")}`);
    await take(await answer.blob(), true);
  };
  return (
    <div className="sound-field">
      <input
        ref={input}
        type="file"
        accept="audio/*,video/*"
        className="sound-file"
        aria-label={t`A recording`}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) {
            void take(file);
          }
          event.target.value = "";
        }}
      />
      <Button
        type="primary"
        size="large"
        loading={reads}
        disabled={longest === 0}
        onClick={() => input.current?.click()}
      >
        <Trans>Choose a recording</Trans>
      </Button>
      <Button size="large" disabled={reads || longest === 0 || contacts.length < 2} onClick={() => void sample()}>
        <Trans>Try a sample recording</Trans>
      </Button>
    </div>
  );
}
