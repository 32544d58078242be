import { t } from "@lingui/core/macro";
import { Select } from "antd";
import { useState } from "react";
import { BOUNDS } from "../api/bounds.gen";
import { useThemes } from "../api/useThemes";

const MAX_THEMES = BOUNDS.SaveRequest.themes.maxItems;
const MAX_LENGTH = BOUNDS.SaveRequest.themes.maxLength;

interface Props {
  id: string;
  value: string[];
  onChange: (themes: string[]) => void;
}

/** The themes of a combination: existing ones are offered first, a new one last and marked as new. */
export function ThemeSelect({ id, value, onChange }: Props) {
  const known = useThemes().data ?? [];
  const [typed, setTyped] = useState("");
  const text = typed.trim().toLowerCase().slice(0, MAX_LENGTH);
  const rest = known.map(({ theme }) => theme).filter((theme) => !value.includes(theme));
  const begins = rest.filter((theme) => theme.startsWith(text));
  const holds = rest.filter((theme) => !theme.startsWith(text) && theme.includes(text));
  const isNew = text !== "" && !rest.includes(text) && !value.includes(text);
  return (
    <Select<string[]>
      id={id}
      mode="multiple"
      value={value}
      maxCount={MAX_THEMES}
      placeholder={t`such as slips, liver, low kick`}
      showSearch={{
        filterOption: false,
        searchValue: typed,
        // A comma ends a theme, for pasted lists.
        onSearch: (next) => {
          const parts = next.split(",");
          const last = parts.pop() ?? "";
          const done = parts
            .map((part) => part.trim().toLowerCase().slice(0, MAX_LENGTH))
            .filter((part) => part !== "");
          if (done.length > 0) {
            onChange([...new Set([...value, ...done])].slice(0, MAX_THEMES));
          }
          setTyped(last);
        },
      }}
      notFoundContent={null}
      options={[
        ...[...begins, ...holds].map((theme) => ({ value: theme, label: theme })),
        ...(isNew ? [{ value: text, label: t`new theme: ${text}` }] : []),
      ]}
      labelRender={({ value: theme }) => theme}
      onChange={(themes) => {
        setTyped("");
        onChange(themes);
      }}
    />
  );
}
