import { useDroppable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Input } from "antd";
import { bounds } from "../api/bounds";
import type { PlanRound } from "../api/schema";
import type { Dropped } from "./drag";
import { LaneColumn } from "./LaneColumn";
import { withRound } from "./plan";
import { usePlanContext } from "./planContext";
import { RoundHead } from "./RoundHead";
import { RoundMore } from "./RoundMore";
import { RoundWords } from "./RoundWords";

/** A round: work and rest, and the tracks side by side. */
export function RoundCard({
  round,
  block,
  at,
  compact,
}: {
  round: PlanRound;
  block: number;
  at: number;
  compact: boolean;
}) {
  const { content, change, selected, select, reasons } = usePlanContext();
  const place = { block, round: at };
  const label = t`Round ${at + 1}`;
  const target = useDroppable({
    id: `round-target ${block} ${at}`,
    data: { kind: "round", block, round: at } satisfies Dropped,
  });
  const put = (values: Partial<PlanRound>, typed = false) =>
    change((now) => withRound(now, place, (r) => ({ ...r, ...values })), typed);
  const chosen = selected?.block === block && selected.round === at;
  const apart = round.tracks.length > 0;
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
      <RoundHead round={round} place={place} compact={compact} onPut={put} />
      {(chosen || round.name) && !compact && (
        <Input
          size="small"
          className="round-name"
          variant="borderless"
          value={round.name}
          {...bounds("PlanRound", "name")}
          placeholder={t`Name of the round`}
          aria-label={t`Name of the round`}
          onChange={(event) => put({ name: event.target.value }, true)}
        />
      )}
      {why.length > 0 && <p className="why small">{why.map((reason) => reason.message).join(" ")}</p>}
      <div className={apart ? `lanes lanes-${lanes.length}` : "lanes"}>
        {lanes.map((track) => (
          <LaneColumn key={track ?? "all"} place={{ ...place, track }} round={round} compact={compact} />
        ))}
      </div>
      {chosen && !compact && <RoundMore round={round} onPut={put} />}
      {!chosen && !compact && <RoundWords round={round} />}
    </article>
  );
}
