import { t } from "@lingui/core/macro";
import { Input } from "antd";
import { type KeyboardEvent, useState } from "react";
import { clockOf, secondsOf } from "./clock";

interface Props {
  /** Seconds; null where the field may be empty. */
  value: number | null;
  min: number;
  max: number;
  /** Seconds that the arrow keys add or take. */
  step: number;
  "aria-label": string;
  placeholder?: string;
  id?: string;
  /** @param isTyped whether it belongs to the change before it */
  onChange: (seconds: number | null, isTyped: boolean) => void;
}

/** A length in minutes and seconds, as coaches say it; arrow keys change it in steps. */
export function TimeField({ value, min, max, step, placeholder, id, onChange, "aria-label": label }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? (value === null ? "" : clockOf(value));
  const isEmpty = shown.trim() === "";
  const seconds = secondsOf(shown);
  const isValid = isEmpty ? placeholder !== undefined : seconds !== null && seconds >= min && seconds <= max;
  const take = (next: string) => {
    setTyped(next);
    const read = secondsOf(next);
    if (next.trim() === "" && placeholder !== undefined) {
      onChange(null, true);
    } else if (read !== null && read >= min && read <= max) {
      onChange(read, true);
    }
  };
  const onKey = (event: KeyboardEvent) => {
    const way = event.key === "ArrowUp" ? 1 : event.key === "ArrowDown" ? -1 : 0;
    if (way !== 0) {
      event.preventDefault();
      setTyped(null);
      onChange(Math.min(max, Math.max(min, (value ?? 0) + way * step)), true);
    }
  };
  return (
    <Input
      id={id}
      size="small"
      className="time-field"
      inputMode="text"
      value={shown}
      placeholder={placeholder}
      aria-label={label}
      title={t`${label}: 3:00 or 3 are three minutes, 45 is 45 seconds`}
      status={isValid ? undefined : "error"}
      aria-invalid={!isValid}
      onChange={(event) => take(event.target.value)}
      onFocus={(event) => event.target.select()}
      onBlur={() => setTyped(null)}
      onPressEnter={() => setTyped(null)}
      onKeyDown={onKey}
    />
  );
}
