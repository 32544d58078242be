import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Checkbox, Input, InputNumber, Select } from "antd";
import { bounds } from "../api/bounds";
import type { CourseRequest } from "../api/client";
import { TimeOfDayField } from "../ui/DayField";
import { Segmented } from "../ui/Segmented";
import { GROUPS, LEVELS, MEDIA, RULES, STANCES } from "../ui/words";

const WEEKDAYS = [
  { value: 0, label: t`no fixed day` },
  { value: 1, label: t`Monday` },
  { value: 2, label: t`Tuesday` },
  { value: 3, label: t`Wednesday` },
  { value: 4, label: t`Thursday` },
  { value: 5, label: t`Friday` },
  { value: 6, label: t`Saturday` },
  { value: 7, label: t`Sunday` },
];

interface Props {
  form: CourseRequest;
  onPut: (values: Partial<CourseRequest>) => void;
}

/** Everything that a coach says of a course. */
export function CourseFields({ form, onPut }: Props) {
  return (
    <>
      <label htmlFor="course-name">
        <Trans>Name</Trans>
      </label>
      <Input
        id="course-name"
        autoFocus
        value={form.name}
        {...bounds("CourseRequest", "name")}
        onChange={(event) => onPut({ name: event.target.value })}
        placeholder={t`Such as Tuesday beginners`}
      />
      <TrainingFields form={form} onPut={onPut} />
      <DayFields form={form} onPut={onPut} />
      <ProgressionFields form={form} onPut={onPut} />
      <label htmlFor="course-note">
        <Trans>Note</Trans>
      </label>
      <Input.TextArea
        id="course-note"
        rows={3}
        {...bounds("CourseRequest", "note")}
        value={form.note}
        onChange={(event) => onPut({ note: event.target.value })}
      />
    </>
  );
}

/** Rules, group and medium, and the athletes’ levels and stances. */
function TrainingFields({ form, onPut }: Props) {
  return (
    <>
      <span className="field-name">
        <Trans>Rules</Trans>
      </span>
      <Segmented
        block
        value={form.rules}
        options={RULES}
        onChange={(rules) => onPut({ rules })}
        aria-label={t`Rules`}
      />
      <span className="field-name">
        <Trans>Group</Trans>
      </span>
      <Segmented
        block
        value={form.group}
        options={GROUPS}
        onChange={(group) => onPut({ group })}
        aria-label={t`Group`}
      />
      <span className="field-name">
        <Trans>Mostly on</Trans>
      </span>
      <Segmented
        block
        value={form.medium}
        options={MEDIA}
        onChange={(medium) => onPut({ medium })}
        aria-label={t`Medium`}
      />
      <span className="field-name">
        <Trans>Levels, a track each</Trans>
      </span>
      <Checkbox.Group value={form.levels} options={LEVELS} onChange={(levels) => onPut({ levels })} />
      <span className="field-name">
        <Trans>Stances</Trans>
      </span>
      <Checkbox.Group value={form.stances} options={STANCES} onChange={(stances) => onPut({ stances })} />
    </>
  );
}

/** When it takes place. */
function DayFields({ form, onPut }: Props) {
  return (
    <span className="pair">
      <span>
        <label htmlFor="course-day">
          <Trans>Day</Trans>
        </label>
        <Select
          id="course-day"
          value={form.weekday ?? 0}
          options={WEEKDAYS}
          onChange={(weekday: number) => onPut({ weekday: weekday === 0 ? null : weekday })}
          getPopupContainer={(node) => node.parentElement ?? document.body}
        />
      </span>
      <span>
        <label htmlFor="course-time">
          <Trans>Time</Trans>
        </label>
        <TimeOfDayField id="course-time" value={form.time ?? null} onChange={(time) => onPut({ time })} />
      </span>
      <span>
        <label htmlFor="course-minutes">
          <Trans>Minutes</Trans>
        </label>
        <InputNumber
          id="course-minutes"
          {...bounds("CourseRequest", "minutes")}
          value={form.minutes}
          onChange={(minutes) => onPut({ minutes: minutes ?? 60 })}
        />
      </span>
    </span>
  );
}

/** How its rounds get longer. */
function ProgressionFields({ form, onPut }: Props) {
  return (
    <>
      <span className="field-name">
        <Trans>From session to session: first shorter rests, then longer rounds</Trans>
      </span>
      <span className="pair">
        <span>
          <label htmlFor="course-work">
            <Trans>Round (s)</Trans>
          </label>
          <InputNumber
            id="course-work"
            {...bounds("CourseRequest", "work")}
            value={form.work}
            onChange={(work) => onPut({ work: work ?? 180 })}
          />
        </span>
        <span>
          <label htmlFor="course-longest">
            <Trans>Longest round (s)</Trans>
          </label>
          <InputNumber
            id="course-longest"
            {...bounds("CourseRequest", "longestWork")}
            value={form.longestWork}
            onChange={(longestWork) => onPut({ longestWork: longestWork ?? 180 })}
          />
        </span>
        <span>
          <label htmlFor="course-step">
            <Trans>Longer by (s) each session</Trans>
          </label>
          <InputNumber
            id="course-step"
            {...bounds("CourseRequest", "workStep")}
            value={form.workStep}
            onChange={(workStep) => onPut({ workStep: workStep ?? 15 })}
          />
        </span>
      </span>
      <label htmlFor="course-rests">
        <Trans>Rest periods (s), in order</Trans>
      </label>
      <Select
        id="course-rests"
        mode="tags"
        value={(form.rests ?? []).map(String)}
        onChange={(rests: string[]) => onPut({ rests: rests.map(Number).filter((rest) => Number.isInteger(rest)) })}
        tokenSeparators={[",", " "]}
        open={false}
        suffixIcon={null}
      />
    </>
  );
}
