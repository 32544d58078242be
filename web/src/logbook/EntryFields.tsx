import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Input, Select } from "antd";
import { bounds } from "../api/bounds";
import { useCourses } from "../api/useCourses";
import { DayField } from "../ui/DayField";
import { Toolbar } from "../ui/Toolbar";
import { day, todayInGym } from "../ui/words";
import type { EntryDraft } from "./entryDraft";
import { useCoachNames, useLastAttendance } from "./useLogbook";

interface Props {
  draft: EntryDraft;
  onChange: (change: Partial<EntryDraft>) => void;
}

const MAX_ATHLETES = bounds("EntryRequest", "orthodox").max ?? Number.POSITIVE_INFINITY;
const EFFORT = Array.from({ length: 11 }, (_, at) => at);

/** The fields for attendance, coach and effort. */
export function EntryFields({ draft, isNew = false, onChange }: Props & { isNew?: boolean }) {
  const courses = useCourses().data ?? [];
  const last = useLastAttendance(draft.course);
  const levels = courses.find(({ id }) => id === draft.course)?.levels ?? [1, 2, 3];
  return (
    <>
      <WhenAndWho draft={draft} onChange={onChange} />
      <fieldset className="log-entry-counts">
        <legend>
          <Trans>Who was there</Trans>
        </legend>
        {last && (isNew || isUncounted(draft)) && (
          <p className="small">
            {isAsLast(draft, last) ? (
              <Trans>As last time, on {day(last.day)}. Change what differs.</Trans>
            ) : (
              <button
                type="button"
                className="link-button"
                onClick={() => onChange({ orthodox: last.orthodox, southpaw: last.southpaw, levels: last.levels })}
              >
                <Trans>As last time, on {day(last.day)}</Trans>
              </button>
            )}
          </p>
        )}
        <Counter name={t`orthodox`} value={draft.orthodox} onChange={(orthodox) => onChange({ orthodox })} />
        <Counter name={t`southpaw`} value={draft.southpaw} onChange={(southpaw) => onChange({ southpaw })} />
        {levels.length > 1 &&
          levels.map((level) => (
            <Counter
              key={level}
              name={t`level ${level}`}
              value={draft.levels[level] ?? null}
              onChange={(athletes) => onChange({ levels: { ...draft.levels, [level]: athletes ?? 0 } })}
            />
          ))}
      </fieldset>
      <Effort value={draft.effort} onChange={(effort) => onChange({ effort })} />
      <div className="log-entry-note">
        <span>
          <Trans>Note</Trans>
        </span>
        <Input.TextArea
          aria-label={t`Note`}
          value={draft.note}
          {...bounds("EntryRequest", "note")}
          rows={3}
          onChange={(event) => onChange({ note: event.target.value })}
        />
      </div>
    </>
  );
}

/** Tells whether the number of athletes has not been entered yet. */
function isUncounted({ orthodox, southpaw, levels }: EntryDraft): boolean {
  return orthodox === null && southpaw === null && Object.keys(levels).length === 0;
}

function isAsLast(draft: EntryDraft, last: Pick<EntryDraft, "orthodox" | "southpaw" | "levels">): boolean {
  const of = ({ orthodox, southpaw, levels }: typeof last) => JSON.stringify([orthodox, southpaw, levels]);
  return of(draft) === of(last);
}

function WhenAndWho({ draft, onChange }: Props) {
  const courses = useCourses().data ?? [];
  const coaches = useCoachNames();
  return (
    <Flex wrap gap="small" className="log-entry-row">
      <div>
        <span>
          <Trans>Day</Trans>
        </span>
        <DayField
          aria-label={t`Day`}
          value={draft.day}
          max={todayInGym()}
          onChange={(day) => day && onChange({ day })}
        />
      </div>
      <div>
        <span>
          <Trans>Course</Trans>
        </span>
        <Select
          value={draft.course ?? 0}
          onChange={(course) => onChange({ course: course === 0 ? null : course })}
          popupMatchSelectWidth={false}
          aria-label={t`Course`}
          options={[
            { value: 0, label: t`none` },
            ...courses
              .filter(({ id, archived }) => !archived || id === draft.course)
              .map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
      </div>
      <div>
        <span>
          <Trans>Coached by</Trans>
        </span>
        <Select
          value={draft.coach ?? undefined}
          placeholder={t`you`}
          onChange={(coach) => onChange({ coach })}
          popupMatchSelectWidth={false}
          aria-label={t`Coached by`}
          options={coaches.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </div>
    </Flex>
  );
}

/** How hard the session was; a second press takes the answer back. */
function Effort({ value, onChange }: { value: number | null; onChange: (effort: number | null) => void }) {
  return (
    <div className="log-entry-effort">
      <span>
        <Trans>Effort</Trans>
      </span>
      <Toolbar label={t`Effort, 0 to 10`} className="effort-row">
        {EFFORT.map((effort) => (
          <button
            key={effort}
            type="button"
            aria-pressed={value === effort}
            onClick={() => onChange(value === effort ? null : effort)}
          >
            {effort}
          </button>
        ))}
      </Toolbar>
    </div>
  );
}

/** A number of athletes: typed, or changed by one. */
function Counter({
  name,
  value,
  onChange,
}: {
  name: string;
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  return (
    <div className="counter">
      <span>{name}</span>
      <button
        type="button"
        aria-label={t`One ${name} fewer`}
        disabled={value === null}
        onClick={() => onChange(value === null || value === 0 ? null : value - 1)}
      >
        −
      </button>
      <input
        type="text"
        inputMode="numeric"
        aria-label={name}
        value={value ?? ""}
        placeholder="–"
        onFocus={(event) => event.target.select()}
        onChange={(event) => {
          const digits = event.target.value.replace(/\D/g, "");
          onChange(digits === "" ? null : Math.min(MAX_ATHLETES, Number(digits)));
        }}
      />
      <button
        type="button"
        aria-label={t`One ${name} more`}
        onClick={() => onChange(Math.min(MAX_ATHLETES, (value ?? 0) + 1))}
      >
        +
      </button>
    </div>
  );
}
