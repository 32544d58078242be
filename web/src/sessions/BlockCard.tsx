import { useDraggable, useDroppable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Input } from "antd";
import { bounds, timeBounds } from "../api/bounds";
import type { PlanBlock } from "../api/schema";
import { TimeField } from "../ui/TimeField";
import { BLOCK_KINDS, labelOf } from "../ui/words";
import { CardActions } from "./CardActions";
import type { Dragged, Dropped } from "./drag";
import { focusFirstField } from "./nextField";
import { copied, moved, withBlock, without } from "./plan";
import { usePlanContext } from "./planContext";
import { RoundCard } from "./RoundCard";
import { nextRound } from "./startPlan";
import { blockSeconds, isStretchable, MIN_BLOCK_SECONDS, stretched } from "./stretch";
import { clock } from "./time";

/** A part of the session with its rounds. */
export function BlockCard({ block, at }: { block: PlanBlock; at: number }) {
  const { change, document, reasons, selected } = usePlanContext();
  const name = block.name || block.kind;
  const drag = useDraggable({ id: `block ${at}`, data: { kind: "block", block: at, label: name } satisfies Dragged });
  const target = useDroppable({ id: `block-target ${at}`, data: { kind: "block", block: at } satisfies Dropped });
  const put = (values: Partial<PlanBlock>, typed = false) =>
    change((now) => withBlock(now, at, (b) => ({ ...b, ...values })), typed);
  const own = document?.segments.filter((segment) => segment.place.block === at && segment.kind !== "changeover") ?? [];
  const ms = own.length === 0 ? 0 : Math.max(...own.map((one) => one.toMs)) - Math.min(...own.map((one) => one.fromMs));
  const why = reasons.filter(
    (reason) => (reason.place === `blocks[${at}]` || reason.place === block.kind) && !reason.place.includes("rounds["),
  );
  return (
    <section
      ref={target.setNodeRef}
      className={`block-card block-${block.kind}${target.isOver ? " is-over" : ""}`}
      aria-label={name}
    >
      <header className="block-head" ref={drag.setNodeRef}>
        <button type="button" className="grip" aria-label={t`Move ${name}`} {...drag.listeners} {...drag.attributes}>
          ⠿
        </button>
        <Input
          className="block-name"
          variant="borderless"
          value={block.name}
          placeholder={labelOf(BLOCK_KINDS, block.kind)}
          {...bounds("PlanBlock", "name")}
          aria-label={t`Name of the block`}
          onChange={(event) => put({ name: event.target.value }, true)}
        />
        {isStretchable(block) ? (
          <TimeField
            min={MIN_BLOCK_SECONDS}
            max={3600}
            step={60}
            value={blockSeconds(block)}
            aria-label={t`Length of the block`}
            onChange={(seconds, isTyped) =>
              seconds !== null && change((now) => withBlock(now, at, (b) => stretched(b, seconds)), isTyped)
            }
          />
        ) : (
          <b className="block-time">{clock(ms)}</b>
        )}
        <span className="small">
          <Trans>then </Trans>
          <TimeField
            {...timeBounds("PlanBlock", "changeover")}
            step={15}
            value={block.changeover}
            onChange={(changeover, isTyped) => put({ changeover: changeover ?? 0 }, isTyped)}
            aria-label={t`Pause after the block`}
          />
        </span>
        <CardActions
          copy={t`Copy`}
          remove={t`Remove`}
          lock={t`Lock`}
          isLocked={block.locked}
          onUp={() => change((now) => ({ ...now, blocks: moved(now.blocks, at, at - 1) }))}
          onDown={() => change((now) => ({ ...now, blocks: moved(now.blocks, at, at + 1) }))}
          onCopy={() => change((now) => ({ ...now, blocks: copied(now.blocks, at) }))}
          onLock={() => put({ locked: !block.locked })}
          onRemove={() => change((now) => ({ ...now, blocks: without(now.blocks, at) }))}
        />
      </header>
      {(block.note !== "" || selected?.block === at) && (
        <Input
          size="small"
          className="block-note"
          variant="borderless"
          value={block.note}
          {...bounds("PlanBlock", "note")}
          placeholder={t`What to do before it begins, such as: wrap hands, gloves on`}
          aria-label={t`What to do before the block`}
          onChange={(event) => put({ note: event.target.value }, true)}
        />
      )}
      <Why reasons={why.map((reason) => reason.message)} />
      {block.rounds.map((round, number) => (
        <RoundCard
          // biome-ignore lint/suspicious/noArrayIndexKey: a round is identified by its place
          key={number}
          round={round}
          block={at}
          at={number}
          compact={block.kind !== "rounds" && block.kind !== "conditioning"}
        />
      ))}
      <button
        type="button"
        className="link-button add-round"
        onClick={() => {
          change((now) => withBlock(now, at, (b) => ({ ...b, rounds: [...b.rounds, nextRound(b.rounds)] })));
          focusFirstField(at, block.rounds.length);
        }}
      >
        <Trans>+ round</Trans>
      </button>
    </section>
  );
}

/** Says why a block was generated as it is. */
function Why({ reasons }: { reasons: string[] }) {
  return reasons.length > 0 ? (
    <details className="why">
      <summary>{reasons.length === 1 ? reasons[0] : t`Why: ${reasons.length} reasons`}</summary>
      {reasons.length > 1 && (
        <ul>
          {reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
      )}
    </details>
  ) : null;
}
