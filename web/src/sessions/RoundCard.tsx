import { useDraggable, useDroppable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Input, InputNumber, Select } from "antd";
import { bounds } from "../api/bounds";
import { MEDIA } from "../ui/words";
import { ActionButton } from "./ActionButton";
import { type Dragged, type Dropped, moveRound, roundKey } from "./drag";
import { copied, join, newSet, type Round, setsAt, split, withBlock, without, withRound, withSets } from "./plan";
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

/** A round: work and rest, and the tracks side by side. */
export function RoundCard({
  round,
  block,
  at,
  compact,
}: {
  round: Round;
  block: number;
  at: number;
  compact: boolean;
}) {
  const { content, change, selected, select, reasons } = usePlanContext();
  const place = { block, round: at };
  const label = t`Round ${at + 1}`;
  const drag = useDraggable({
    id: `round ${block} ${at}`,
    data: { kind: "round", block, round: at, label } satisfies Dragged,
  });
  const target = useDroppable({
    id: `round-target ${block} ${at}`,
    data: { kind: "round", block, round: at } satisfies Dropped,
  });
  const put = (values: Partial<Round>, typed = false) =>
    change((now) => withRound(now, place, (r) => ({ ...r, ...values })), typed);
  const chosen = selected?.block === block && selected.round === at;
  const apart = (round.tracks?.length ?? 0) > 0;
  const why = reasons.filter((reason) => reason.place === `blocks[${block}].rounds[${at}]`);
  const lanes = apart ? content.tracks.map((_, track) => track) : [undefined];
  return (
    <article
      id={`round-${block}-${at}`}
      ref={target.setNodeRef}
      className={`round-card${chosen ? " is-chosen" : ""}${target.isOver ? " is-over" : ""}`}
      aria-label={label}
      onClickCapture={() => !chosen && select(place)}
      onKeyUpCapture={(event) => event.key === "Tab" && !chosen && select(place)}
    >
      <header className="round-head" ref={drag.setNodeRef}>
        <button
          type="button"
          className="grip"
          aria-label={t`Move ${label}: Alt and an arrow. Shift and an arrow stretches it, Ctrl D copies it, Delete removes it.`}
          {...drag.listeners}
          {...drag.attributes}
          onKeyDown={(event) => {
            const done = roundKey(content, place, event);
            if (done) {
              event.preventDefault();
              change(() => done.content);
              select({ block, round: done.round });
            } else {
              drag.listeners?.onKeyDown?.(event);
            }
          }}
        >
          ⠿
        </button>
        <b className="round-number">{compact ? "" : at + 1}</b>
        <InputNumber
          size="small"
          className="tiny"
          {...bounds("PlanRound", "seconds")}
          step={15}
          value={round.seconds}
          aria-label={t`Work (s)`}
          onChange={(seconds) => put({ seconds: seconds ?? 60 }, true)}
        />
        <span className="small">{compact ? "s" : t`on`}</span>
        {!compact && (
          <>
            <InputNumber
              size="small"
              className="tiny"
              {...bounds("PlanRound", "rest")}
              step={5}
              value={round.rest ?? 0}
              aria-label={t`Rest (s)`}
              onChange={(rest) => put({ rest: rest ?? 0 }, true)}
            />
            <span className="small">
              <Trans>off</Trans>
            </span>
            <span className="small">×</span>
            <InputNumber
              size="small"
              className="tiny"
              {...bounds("PlanRound", "times")}
              value={round.times ?? 1}
              aria-label={t`How many times`}
              onChange={(times) => put({ times: times ?? 1 }, true)}
            />
            <button
              type="button"
              className={round.stance === "other" ? "toggle is-on" : "toggle"}
              aria-pressed={round.stance === "other"}
              title={t`The round in the other stance`}
              onClick={() => put({ stance: round.stance === "other" ? "own" : "other" })}
            >
              <Trans>other stance</Trans>
            </button>
            {content.tracks.length > 0 && (
              <button
                type="button"
                className={apart ? "toggle is-on" : "toggle"}
                aria-pressed={apart}
                onClick={() => change((now) => (apart ? join(now, place) : split(now, place)))}
              >
                <Trans>by level</Trans>
              </button>
            )}
          </>
        )}
        <span className="ways">
          <ActionButton
            label={t`Up`}
            sign="up"
            onPress={() => change((now) => moveRound(now, place, { block, round: at - 1 }))}
          />
          <ActionButton
            label={t`Down`}
            sign="down"
            onPress={() => change((now) => moveRound(now, place, { block, round: at + 1 }))}
          />
          <ActionButton
            label={t`Copy the round`}
            sign="copy"
            onPress={() => change((now) => withBlock(now, block, (b) => ({ ...b, rounds: copied(b.rounds, at) })))}
          />
          <ActionButton
            label={round.locked ? t`Locked: stays when the rest is generated again` : t`Lock the round`}
            sign={round.locked ? "locked" : "open"}
            pressed={round.locked ?? false}
            onPress={() => put({ locked: !round.locked })}
          />
          <ActionButton
            label={t`Remove the round`}
            sign="out"
            onPress={() => change((now) => withBlock(now, block, (b) => ({ ...b, rounds: without(b.rounds, at) })))}
          />
        </span>
      </header>
      {why.length > 0 && <p className="why small">{why.map((reason) => reason.message).join(" ")}</p>}
      <div className={apart ? `lanes lanes-${lanes.length}` : "lanes"}>
        {lanes.map((track) => (
          <LaneColumn key={track ?? "all"} place={{ ...place, track }} round={round} compact={compact} />
        ))}
      </div>
      {(chosen || round.medium || round.moves || round.note) && !compact && (
        <div className="round-more">
          <Select
            size="small"
            className="medium"
            value={round.medium ?? ""}
            aria-label={t`Medium`}
            options={[{ value: "", label: content.medium }, ...MEDIA.filter((one) => one.value !== content.medium)]}
            onChange={(medium) => put({ medium: medium === "" ? undefined : (medium as Round["medium"]) })}
            popupMatchSelectWidth={false}
            getPopupContainer={(node) => node.parentElement ?? document.body}
          />
          <button
            type="button"
            className={round.moves ? "toggle is-on" : "toggle"}
            aria-pressed={round.moves ?? false}
            title={t`Athletes move on after each round; otherwise they stay in place`}
            onClick={() => put({ moves: !round.moves })}
          >
            <Trans>move on</Trans>
          </button>
          <Input
            size="small"
            className="round-note"
            value={round.note ?? ""}
            {...bounds("PlanRound", "note")}
            placeholder={t`Note for the coach`}
            aria-label={t`Note of the round`}
            onChange={(event) => put({ note: event.target.value }, true)}
          />
        </div>
      )}
    </article>
  );
}

/** What one track, or everybody, does in a round. */
function LaneColumn({
  place,
  round,
  compact,
}: {
  place: { block: number; round: number; track?: number };
  round: Round;
  compact: boolean;
}) {
  const { content, change } = usePlanContext();
  const lane = useDroppable({
    id: `lane ${place.block} ${place.round} ${place.track ?? ""}`,
    data: { kind: "lane", place } satisfies Dropped,
  });
  const own = place.track === undefined ? undefined : round.tracks?.find((one) => one.track === place.track);
  const cycle = round.seconds + (round.rest ?? 0);
  const sets = setsAt(content, place);
  const pattern = own?.pattern?.join(",") ?? "";
  const known = PATTERNS.some((one) => one.value === pattern);
  return (
    <div ref={lane.setNodeRef} className={`lane${compact ? " lane-compact" : ""}${lane.isOver ? " is-over" : ""}`}>
      {place.track !== undefined && (
        <header className="lane-head">
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
        </header>
      )}
      {sets.map((set, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a set is told by its place
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
      {sets.length === 0 && (
        <span className="small">
          {" "}
          <Trans>{clock(1000 * round.seconds)} without a set</Trans>
        </span>
      )}
    </div>
  );
}
