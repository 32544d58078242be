import { useDraggable, useDroppable } from "@dnd-kit/core";
import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { Link } from "react-router";
import { bounds, maxItems } from "../api/bounds";
import type { Syllabus } from "../api/client";
import { CombinationPick } from "../library-search/CombinationPick";
import { day } from "../ui/words";
import type { DraftCombination, DraftWeek } from "./syllabusDraft";

interface Props {
  week: DraftWeek;
  at: number;
  /** The place of the last week. */
  last: number;
  /** As it is stored, with what the logbook says. */
  syllabus: Syllabus;
  /** Whether the weeks were moved or filled otherwise since they were stored. */
  isMoved: boolean;
  mayEdit: boolean;
  onChange: (week: DraftWeek) => void;
  onMove: (to: number) => void;
  onRemove: () => void;
}

/** A week: its theme, its combinations with what was reached of them, and its note. */
export function WeekCard({ week, at, last, syllabus, isMoved, mayEdit, onChange, onMove, onRemove }: Props) {
  const number = at + 1;
  const name = t`Week ${number}`;
  const drag = useDraggable({ id: week.key, disabled: !mayEdit, data: { label: name } });
  const drop = useDroppable({ id: week.key });
  const stored = isMoved ? undefined : syllabus.weeks[at];
  const isNow = !isMoved && syllabus.now === at;
  const isFull = week.combinations.length >= maxItems("SyllabusWeekRequest", "combinations");
  return (
    <li
      ref={drop.setNodeRef}
      className={`panel syllabus-week${isNow ? " is-now" : ""}${drop.isOver ? " is-over" : ""}`}
      aria-label={name}
    >
      <Flex component="header" wrap align="center" gap="small">
        {mayEdit && (
          <button
            type="button"
            ref={drag.setNodeRef}
            className="syllabus-handle"
            {...drag.attributes}
            {...drag.listeners}
            aria-label={t`Move week ${number}`}
          >
            ⠿
          </button>
        )}
        <b className="syllabus-number">{number}</b>
        <Input
          value={week.theme}
          {...bounds("SyllabusWeekRequest", "theme")}
          readOnly={!mayEdit}
          placeholder={t`Theme of the week`}
          aria-label={t`Theme of week ${number}`}
          className="syllabus-theme"
          onChange={({ target }) => onChange({ ...week, theme: target.value })}
        />
        <span className="small">
          {stored?.monday && day(stored.monday)}
          {isNow && t`, this week`}
          {stored?.isReached && t`, reached`}
        </span>
        {mayEdit && (
          <Flex component="span" gap="2px" className="syllabus-moves">
            <Button
              size="small"
              disabled={at === 0}
              aria-label={t`Week ${number} earlier`}
              onClick={() => onMove(at - 1)}
            >
              ↑
            </Button>
            <Button
              size="small"
              disabled={at === last}
              aria-label={t`Week ${number} later`}
              onClick={() => onMove(at + 1)}
            >
              ↓
            </Button>
            <Button size="small" aria-label={t`Remove week ${number}`} onClick={onRemove}>
              ✕
            </Button>
          </Flex>
        )}
      </Flex>
      <ul className="syllabus-combinations">
        {week.combinations.map((one) => (
          <Taught
            key={one.id}
            {...{ one, mayEdit }}
            facts={factsOf(one.id, stored ? [stored] : syllabus.weeks)}
            isMoved={isMoved}
            onRemove={() => onChange({ ...week, combinations: week.combinations.filter(({ id }) => id !== one.id) })}
          />
        ))}
      </ul>
      <div className="syllabus-more">
        {mayEdit && !isFull && (
          <CombinationPick
            label={t`Add to week ${number}`}
            placeholder={t`Add a combination: a name, or numbers`}
            className="syllabus-add"
            first={{ sort: "level", direction: "up" }}
            without={week.combinations.map(({ id }) => id)}
            onChoose={({ id, name, text }) =>
              onChange({ ...week, combinations: [...week.combinations, { id, name, text }] })
            }
          />
        )}
        {(mayEdit || week.note !== "") && (
          <Input
            value={week.note}
            {...bounds("SyllabusWeekRequest", "note")}
            readOnly={!mayEdit}
            placeholder={t`Note`}
            aria-label={t`Note of week ${number}`}
            onChange={({ target }) => onChange({ ...week, note: target.value })}
          />
        )}
      </div>
    </li>
  );
}

const factsOf = (id: number, weeks: Syllabus["weeks"]) =>
  weeks.flatMap(({ combinations }) => combinations).find(({ combination }) => combination.id === id);

/** Says how often something that was drilled fell apart. */
function fellApart({ times, fell }: { times: number; fell: number }): string {
  if (times < 2) {
    return times === 0 ? "" : fell === 0 ? t`, held` : t`, fell apart`;
  }
  if (fell === 0 || fell === times) {
    return fell === 0 ? t`, held every time` : t`, fell apart every time`;
  }
  return plural(fell, { one: ", fell apart once", other: ", fell apart # times" });
}

interface TaughtProps {
  one: DraftCombination;
  /** Undefined for what is not saved yet. */
  facts: ReturnType<typeof factsOf>;
  isMoved: boolean;
  mayEdit: boolean;
  onRemove: () => void;
}

/** A combination of a week: what is new in it, what it builds on, and how often it was drilled. */
function Taught({ one, facts, isMoved, mayEdit, onRemove }: TaughtProps) {
  return (
    <li>
      <Link to={`/combinations/${one.id}`}>
        <b>{one.text}</b> {one.name}
      </Link>
      {mayEdit && (
        <Button size="small" type="text" aria-label={t`Remove ${one.name}`} onClick={onRemove}>
          ✕
        </Button>
      )}
      {facts && (
        <span className="small">
          {!isMoved && facts.buildsOn && <Trans>builds on {facts.buildsOn} · </Trans>}
          {!isMoved && facts.new.length > 0 && <Trans>new: {facts.new.join(", ")} · </Trans>}
          {plural(facts.now.times, { 0: "not drilled yet", one: "drilled once", other: "drilled # times" })}
          {fellApart(facts.now)}
          {facts.held === false && facts.now.fell < facts.now.times && (
            <span className="syllabus-fell">{t`, fell apart the last time`}</span>
          )}
          {facts.before.times > 0 && (
            <>
              {" · "}
              {plural(facts.before.times, {
                one: "before this syllabus began once",
                other: "before this syllabus began # times",
              })}
              {fellApart(facts.before)}
            </>
          )}
        </span>
      )}
    </li>
  );
}
