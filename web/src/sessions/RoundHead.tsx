import { useDraggable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { InputNumber } from "antd";
import { bounds, timeBounds } from "../api/bounds";
import type { PlanRound } from "../api/schema";
import { TimeField } from "../ui/TimeField";
import { CardActions } from "./CardActions";
import { type Dragged, moveRound, roundKey } from "./drag";
import { copied, join, split, withBlock, without } from "./plan";
import { usePlanContext } from "./planContext";

interface Props {
  round: PlanRound;
  place: { block: number; round: number };
  onPut: (values: Partial<PlanRound>, typed?: boolean) => void;
}

/** The work and rest of a round, with what moves, copies, locks and removes it. */
export function RoundHead({ round, place, compact, onPut }: Props & { compact: boolean }) {
  const { content, change, select } = usePlanContext();
  const { block, round: at } = place;
  const label = t`Round ${at + 1}`;
  const drag = useDraggable({
    id: `round ${block} ${at}`,
    data: { kind: "round", block, round: at, label } satisfies Dragged,
  });
  return (
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
      <TimeField
        {...timeBounds("PlanRound", "seconds")}
        step={15}
        value={round.seconds}
        aria-label={t`Work`}
        onChange={(seconds, isTyped) => onPut({ seconds: seconds ?? 60 }, isTyped)}
      />
      {!compact && <span className="small">{t`on`}</span>}
      {!compact && <RoundTiming round={round} place={place} onPut={onPut} />}
      <CardActions
        copy={t`Copy the round`}
        remove={t`Remove the round`}
        lock={t`Lock the round`}
        isLocked={round.locked}
        onUp={() => change((now) => moveRound(now, place, { block, round: at - 1 }))}
        onDown={() => change((now) => moveRound(now, place, { block, round: at + 1 }))}
        onCopy={() => change((now) => withBlock(now, block, (b) => ({ ...b, rounds: copied(b.rounds, at) })))}
        onLock={() => onPut({ locked: !round.locked })}
        onRemove={() => change((now) => withBlock(now, block, (b) => ({ ...b, rounds: without(b.rounds, at) })))}
      />
    </header>
  );
}

/** The rest of a round, how often it is done, in which stance, and whether levels work apart. */
function RoundTiming({ round, place, onPut }: Props) {
  const { content, change } = usePlanContext();
  const apart = round.tracks.length > 0;
  return (
    <>
      <TimeField
        {...timeBounds("PlanRound", "rest")}
        step={5}
        value={round.rest}
        aria-label={t`Rest`}
        onChange={(rest, isTyped) => onPut({ rest: rest ?? 0 }, isTyped)}
      />
      <span className="small">
        <Trans>off</Trans>
      </span>
      <span className="small">×</span>
      <InputNumber
        size="small"
        className="tiny"
        {...bounds("PlanRound", "times")}
        value={round.times}
        aria-label={t`How many times`}
        onChange={(times) => onPut({ times: times ?? 1 }, true)}
      />
      <button
        type="button"
        className={round.stance === "other" ? "toggle is-on" : "toggle"}
        aria-pressed={round.stance === "other"}
        title={t`The round in the other stance`}
        onClick={() => onPut({ stance: round.stance === "other" ? "own" : "other" })}
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
  );
}
