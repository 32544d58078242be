import { DatePicker, Input, TimePicker } from "antd";
import enGB from "antd/es/date-picker/locale/en_GB";
import dayjs, { type Dayjs } from "dayjs";
import "dayjs/locale/en-gb";
import { hasKeyboard } from "./device";

/** The first format is how a day is shown, as everywhere in Periplus; the others are understood when typed. */
const DAYS = ["D MMM YYYY", "D MMMM YYYY", "D.M.YYYY", "D/M/YYYY", "YYYY-MM-DD"];
const DAYS_WITH_TIME = ["ddd D MMM YYYY, HH:mm", ...DAYS.flatMap((day) => [`${day}, HH:mm`, `${day} HH:mm`])];

interface Props {
  /** Such as 2026-12-10, with the time 2026-12-10T19:00; null while there is none. */
  value: string | null;
  withTime?: boolean;
  /** The last day that can be chosen. */
  max?: string;
  "aria-label": string;
  placeholder?: string;
  className?: string;
  /** Gets null only where a day may be missing, which is where there is a placeholder. */
  onChange: (value: string | null) => void;
}

/**
 * A day, or a day with its time, written as in the rest of Periplus whatever the language of the browser is. Phones and
 * tablets have wheels of their own for it, which fingers know.
 */
export function DayField({ value, withTime = false, max, placeholder, onChange, ...rest }: Props) {
  if (!hasKeyboard()) {
    return (
      <Input
        {...rest}
        type={withTime ? "datetime-local" : "date"}
        value={value ?? ""}
        max={max}
        onChange={({ target }) => (target.value || placeholder !== undefined) && onChange(target.value || null)}
      />
    );
  }
  const take = (chosen: Dayjs | null) =>
    onChange(chosen ? chosen.format(withTime ? "YYYY-MM-DDTHH:mm" : "YYYY-MM-DD") : null);
  return (
    <DatePicker
      {...rest}
      locale={enGB}
      value={value ? dayjs(value) : null}
      format={withTime ? DAYS_WITH_TIME : DAYS}
      showTime={withTime && { format: "HH:mm", minuteStep: 5 }}
      showNow={false}
      needConfirm={false}
      maxDate={max ? dayjs(max) : undefined}
      allowClear={placeholder !== undefined}
      placeholder={placeholder}
      // A choice counts at once, even if the calendar is then left without choosing a time.
      onCalendarChange={(chosen) => !Array.isArray(chosen) && chosen && take(chosen)}
      onChange={take}
    />
  );
}

interface TimeProps {
  id: string;
  /** Such as 19:00. */
  value: string | null;
  onChange: (value: string | null) => void;
}

/** A time of day, of 24 hours. */
export function TimeOfDayField({ id, value, onChange }: TimeProps) {
  if (!hasKeyboard()) {
    return <Input id={id} type="time" value={value ?? ""} onChange={({ target }) => onChange(target.value || null)} />;
  }
  const take = (chosen: Dayjs | null) => onChange(chosen ? chosen.format("HH:mm") : null);
  return (
    <TimePicker
      id={id}
      locale={enGB}
      value={value ? dayjs(`2000-01-01T${value}`) : null}
      format={["HH:mm", "H:mm", "HHmm", "H"]}
      minuteStep={5}
      showNow={false}
      needConfirm={false}
      placeholder=""
      // An hour counts at once, even if the list is then left without choosing minutes.
      onCalendarChange={(chosen) => !Array.isArray(chosen) && chosen && take(chosen)}
      onChange={take}
    />
  );
}
