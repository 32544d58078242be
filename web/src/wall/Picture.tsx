import type { Programme, ProgrammeCue } from "../api/client";
import { numbersOf, type TrackMoment } from "./moment";

/** Maximum number of steps side by side. */
const MAX_STEPS = 9;

/** The steps of a drill with the current one highlighted: rungs, a pyramid, sides, themes, on and off. */
export function Picture({ moment, programme }: { moment: TrackMoment; programme: Programme }) {
  const { steps, step } = moment;
  const shown = steps.filter((one) => one.kind !== "stance" || steps.length > 1);
  if (shown.length < 2) {
    return null;
  }
  const drill = moment.segment?.drill ?? "";
  if (drill === "pyramid") {
    return <Pyramid steps={shown} now={step} />;
  }
  // A long row is shown from a little before the current step.
  const from = shown.length <= MAX_STEPS ? 0 : Math.min(Math.max(0, step - 2), shown.length - MAX_STEPS);
  const isRising = drill === "ladder" || drill === "builder";
  const most = Math.max(1, ...shown.map((one) => itemsOf(one, programme)));
  return (
    <ol className={isRising ? "wall-steps wall-rising" : "wall-steps"}>
      {shown.slice(from, from + MAX_STEPS).map((one, at) => (
        <li
          key={one.key}
          className={stepClass(from + at, step)}
          style={isRising ? { height: `${45 + (55 * itemsOf(one, programme)) / most}%` } : undefined}
        >
          {label(one, programme)}
        </li>
      ))}
    </ol>
  );
}

function stepClass(at: number, now: number): string {
  return at === now ? `wall-step is-now` : at < now ? `wall-step is-done` : "wall-step";
}

function itemsOf(cue: ProgrammeCue, programme: Programme): number {
  return cue.chain === null ? 0 : (programme.chains[cue.chain]?.words.orthodox.length ?? 0);
}

function label(cue: ProgrammeCue, programme: Programme): string {
  const chain = cue.chain === null ? null : programme.chains[cue.chain];
  if (chain && ["rung", "step", "defence", "counter"].includes(cue.kind)) {
    return numbersOf(chain);
  }
  return cue.kind === "entry" ? (/\d+/.exec(cue.short)?.[0] ?? cue.short) : cue.short;
}

/** One column for each step, as high as its count. */
function Pyramid({ steps, now }: { steps: ProgrammeCue[]; now: number }) {
  const counts = steps.map((cue) => Number(cue.text) || 1);
  const top = Math.max(...counts);
  return (
    <ol className="wall-pyramid">
      {counts.map((count, at) => (
        <li key={steps[at]?.key} className={stepClass(at, now)} style={{ height: `${(100 * count) / top}%` }}>
          {count}
        </li>
      ))}
    </ol>
  );
}
