import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { type ComponentProps, useState } from "react";
import { Link, useParams } from "react-router";
import type { Combination, Measured } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { useCheck } from "../check/useCheck";
import { useCombination } from "../combination/useCombination";
import { Failure, NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Segmented } from "../ui/Segmented";
import { Trail } from "../ui/Trail";
import { BesideCheck } from "./BesideCheck";
import { MeasureActions } from "./MeasureActions";
import { SavedMeasurements } from "./SavedMeasurements";
import { SoundField } from "./SoundField";
import { TapField } from "./TapField";
import { TapStrip } from "./TapStrip";
import { tapped, without, withTap } from "./taps";
import { type Method, useMeasured, useMeasurements } from "./useMeasure";
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
  const measured = useMeasured(combination.id, taps, method);
  const saved = useMeasurements(combination.id);
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
  const names = namesOf(drawing?.items, shown);

  return (
    <main className="page">
      <Trail to={`/combinations/${combination.id}`} place={combination.name} name={t`Measure`} />
      <Flex component="header" wrap align="baseline" gap="var(--space-3) var(--space-8)" className="page-head">
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
      </Flex>
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
            <FoundTaps taps={taps} measured={shown} sound={sound} names={names} method={method} onTaps={setTaps} />
          )}
          <Failure error={taps.length >= 2 ? measured.error : null} />
          {isSample && (
            <p className="small" role="status">
              <Trans>This is a sample recording, so it cannot be saved.</Trans>
            </p>
          )}
          <MeasureActions
            combination={combination.id}
            tapping={{ taps, method, isSample }}
            measured={shown}
            onTaps={setTaps}
            onClear={clear}
          />
        </section>
        <BesideCheck name={combination.name} drawing={drawing} measured={shown} latest={saved.data?.[0]} />
      </div>
      {saved.data && saved.data.length > 0 && <SavedMeasurements measurements={saved.data} />}
    </main>
  );
}

type Items = { text: string }[];

/** Returns the name of each moment at which something lands. */
function namesOf(items: Items | undefined, measured: Measured | undefined): string[] {
  return (measured?.contacts ?? []).map(({ items: places }) => places.map((at) => items?.[at]?.text ?? "").join("+"));
}

interface FoundProps extends Pick<ComponentProps<typeof TapStrip>, "taps" | "measured" | "sound" | "names"> {
  method: Method;
  onTaps: (taps: number[]) => void;
}

/** The taps on a strip where they can be mended, and what was found in them. */
function FoundTaps({ taps, measured, sound, names, method, onTaps }: FoundProps) {
  const count =
    method === "taps"
      ? plural(taps.length, { one: "# tap", other: "# taps" })
      : plural(taps.length, { one: "# hit", other: "# hits" });
  const said = measured
    ? t`${count}: ${plural(measured.repetitions.length, { one: "# repetition", other: "# repetitions" })}, ${measured.missed} missed, ${measured.extra.length} too many.`
    : t`${count}.`;
  return (
    <>
      <TapStrip
        taps={taps}
        measured={measured}
        sound={sound}
        names={names}
        onRemove={(at) => onTaps(without(taps, at))}
        onAdd={(ms) => onTaps(withTap(taps, ms))}
      />
      <p className="small" role="status">
        {said} <Trans>Press one to delete it, or an empty place to add a missed one.</Trans>
      </p>
    </>
  );
}
