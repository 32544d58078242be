import { useDroppable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Select } from "antd";
import type { PlanRound, PlanSet } from "../api/schema";
import type { Dropped } from "./drag";
import { newSet, setsAt, withRound, withSets } from "./plan";
import { usePlanContext } from "./planContext";
import { SetCard } from "./SetCard";
import { clock } from "./time";

const PATTERNS = [
  { value: "", label: t`as the round` },
  { value: "60,60", label: "1 on, 1 off" },
  { value: "120,120", label: "2 on, 2 off" },
  { value: "180,60", label: "3 on, 1 off" },
  { value: "30,30", label: "30 on, 30 off" },
];

/** What one track, or everybody, does in a round. */
export function LaneColumn({
  place,
  round,
  compact,
}: {
  place: { block: number; round: number; track?: number };
  round: PlanRound;
  compact: boolean;
}) {
  const { content, change } = usePlanContext();
  const lane = useDroppable({
    id: `lane ${place.block} ${place.round} ${place.track ?? ""}`,
    data: { kind: "lane", place } satisfies Dropped,
  });
  const own = place.track === undefined ? undefined : round.tracks?.find((one) => one.track === place.track);
  const cycle = (round.seconds ?? 0) + round.rest;
  const sets = setsAt(content, place);
  const putSeconds = (of: (set: PlanSet, at: number) => number | null) =>
    change((now) => withSets(now, place, (all) => all.map((set, at) => ({ ...set, seconds: of(set, at) }))));
  const pattern = own?.pattern?.join(",") ?? "";
  const known = PATTERNS.some((one) => one.value === pattern);
  return (
    <div ref={lane.setNodeRef} className={`lane${compact ? " lane-compact" : ""}${lane.isOver ? " is-over" : ""}`}>
      {place.track !== undefined && (
        <Flex component="header" wrap align="center" justify="space-between" gap="small">
          <b>{content.tracks[place.track]?.name}</b>
          <Select
            size="small"
            value={pattern}
            aria-label={t`Work and rest of ${content.tracks[place.track]?.name ?? t`the track`}`}
            options={[
              ...PATTERNS.filter(
                (one) =>
                  one.value === "" ||
                  cycle % one.value.split(",").reduce((sum, part) => sum + Number(part), 0) === 0 ||
                  one.value === pattern,
              ),
              ...(known ? [] : [{ value: pattern, label: pattern.replaceAll(",", "/") }]),
            ]}
            onChange={(value) =>
              change((now) =>
                withRound(now, place, (r) => ({
                  ...r,
                  tracks: content.tracks.map((_, track) => {
                    const one = r.tracks?.find((other) => other.track === track) ?? { track };
                    return track === place.track
                      ? { ...one, pattern: value === "" ? undefined : value.split(",").map(Number) }
                      : one;
                  }),
                })),
              )
            }
            popupMatchSelectWidth={false}
            getPopupContainer={(node) => node.parentElement ?? document.body}
          />
        </Flex>
      )}
      {sets.map((set, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a set is identified by its place
        <SetCard key={at} set={set} place={{ ...place, set: at }} compact={compact} alone={sets.length === 1} />
      ))}
      <button
        type="button"
        className="link-button add-set"
        onClick={() =>
          change((now) => withSets(now, place, (sets) => [...sets, newSet(compact ? "exercise" : "repeat")]))
        }
      >
        <Trans>+ set</Trans>
      </button>
      {sets.length > 1 && sets.some(({ seconds }) => seconds !== null) && (
        <span className="set-times">
          <button type="button" className="link-button" onClick={() => putSeconds(() => null)}>
            <Trans>spread evenly</Trans>
          </button>
          {sets.at(-1)?.seconds !== null && (
            <button
              type="button"
              className="link-button"
              onClick={() => putSeconds((set, at) => (at === sets.length - 1 ? null : set.seconds))}
            >
              <Trans>the last one fills the rest</Trans>
            </button>
          )}
        </span>
      )}
      {sets.length === 0 && (
        <span className="small">
          {" "}
          <Trans>{clock(1000 * (round.seconds ?? 0))} without a set</Trans>
        </span>
      )}
    </div>
  );
}
