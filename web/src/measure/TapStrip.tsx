import type { Measured } from "../api/client";
import { useWidth } from "../ui/useWidth";

interface Props {
  taps: number[];
  measured: Measured | undefined;
  /** The loudness of a recording, and its length in ms. */
  sound: { peaks: number[]; lengthMs: number } | null;
  /** The name of each contact, such as "1". */
  names: string[];
  onRemove: (at: number) => void;
  onAdd: (ms: number) => void;
}

const HEIGHT = 96;
const TOP = 22;

/** Returns where strikes that were not heard would have landed, from the other strikes of their repetition. */
export function missedIn(measured: Measured | undefined, taps: number[]): { ms: number; contact: number }[] {
  return (measured?.repetitions ?? []).flatMap((repetition) => {
    const heard = repetition.findIndex((tap) => tap !== null);
    const tap = taps[repetition[heard] ?? -1];
    const from = measured?.contacts[heard]?.ms;
    if (tap === undefined || from === undefined) {
      return [];
    }
    return repetition.flatMap((one, contact) => {
      const to = measured?.contacts[contact]?.ms;
      return one === null && to !== undefined
        ? [{ ms: Math.max(0, Math.round(tap + (measured?.pace ?? 1) * (to - from))), contact }]
        : [];
    });
  });
}

/** Shows every tap in time with its strike; superfluous ones can be deleted, missing ones added. */
export function TapStrip({ taps, measured, sound, names, onRemove, onAdd }: Props) {
  const [holder, room] = useWidth(720);
  const length = Math.max(sound?.lengthMs ?? 0, (taps[taps.length - 1] ?? 0) + 600, 2000);
  // Strikes keep a minimum distance; a long recording scrolls.
  const width = Math.max(room, Math.min(8000, (length / 1000) * 90));
  const x = (ms: number) => (ms / length) * width;
  const strike = new Map<number, string>();
  measured?.repetitions.forEach((repetition) => {
    repetition.forEach((tap, contact) => {
      if (tap !== null) {
        strike.set(tap, names[contact] ?? "");
      }
    });
  });
  const isFresh = measured?.taps.length === taps.length;
  const missed = isFresh ? missedIn(measured, taps) : [];
  return (
    <div ref={holder} className="tap-strip">
      <svg
        width={width}
        height={HEIGHT}
        aria-hidden="true"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          onAdd(((event.clientX - box.left) / width) * length);
        }}
      >
        {sound?.peaks.map((peak, at) => (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: peaks are places in time
            key={at}
            x={(at / sound.peaks.length) * width}
            y={TOP + (1 - peak) * (HEIGHT - TOP - 4)}
            width={Math.max(1, width / sound.peaks.length - 0.5)}
            height={Math.max(1, peak * (HEIGHT - TOP - 4))}
            className="tap-peak"
          />
        ))}
        {missed.map(({ ms, contact }) => (
          // biome-ignore lint/a11y/noStaticElementInteractions: pressing the place in the strip does the same
          <g
            key={`missed ${ms}`}
            className="tap tap-missed"
            onClick={(event) => {
              event.stopPropagation();
              onAdd(ms);
            }}
          >
            <rect x={x(ms) - 9} y={0} width={18} height={HEIGHT} className="tap-room" />
            <path d={`M${x(ms)} ${TOP}V${HEIGHT}`} />
            <text x={x(ms)} y={16} textAnchor="middle">
              {names[contact]}?
            </text>
          </g>
        ))}
        {taps.map((ms, at) => {
          const name = isFresh ? strike.get(at) : undefined;
          return (
            // biome-ignore lint/a11y/noStaticElementInteractions: the same is done by the buttons below it
            <g
              key={ms}
              className={name !== undefined || !isFresh ? "tap" : "tap tap-extra"}
              onClick={(event) => {
                event.stopPropagation();
                onRemove(at);
              }}
            >
              <rect x={x(ms) - 9} y={0} width={18} height={HEIGHT} className="tap-room" />
              <path d={`M${x(ms)} ${TOP}V${HEIGHT}`} />
              <text x={x(ms)} y={16} textAnchor="middle">
                {isFresh ? (name ?? "✕") : "·"}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
