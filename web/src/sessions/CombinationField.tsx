import { t } from "@lingui/core/macro";
import { Input } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";

/** A field for a combination in numbers or words; semicolons separate several. */
export function CombinationField({ empty, onAdd }: { empty: boolean; onAdd: (chain: string) => void }) {
  const [text, setText] = useState("");
  const add = () => {
    for (const chain of text.split(";").map((part) => part.trim())) {
      if (chain !== "") {
        onAdd(chain);
      }
    }
    setText("");
  };
  return (
    <Input
      size="small"
      className="set-field"
      value={text}
      {...bounds("PlanCombination", "chain")}
      placeholder={empty ? t`type a combination, or drop one in` : t`another`}
      aria-label={t`Type a combination`}
      onChange={(event) => setText(event.target.value)}
      onPressEnter={add}
      onBlur={add}
    />
  );
}
