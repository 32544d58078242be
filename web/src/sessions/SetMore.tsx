import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Input, InputNumber } from "antd";
import { bounds } from "../api/bounds";
import type { Drill } from "../api/client";
import type { PlanSet } from "../api/schema";
import { PaceSelect } from "./PaceSelect";
import { PurposeSelect } from "./PurposeSelect";

interface Props {
  drill: Drill;
  set: PlanSet;
  /** The tempo of its round. */
  usualTempo: number;
  onPut: (values: Partial<PlanSet>, typed?: boolean) => void;
}

/** What every kind of work may have: a tempo, a purpose, an end all out, an easier and a harder form. */
export function SetMore({ drill, set, usualTempo, onPut }: Props) {
  if (!drill.isWork || drill.id === "exercise") {
    return null;
  }
  const form = (name: "easier" | "harder", word: string, label: string) => (
    <Input
      size="small"
      className="set-form"
      value={set[name]?.chain ?? ""}
      {...bounds("PlanCombination", "chain")}
      prefix={<small>{word}</small>}
      aria-label={label}
      onChange={({ target }) =>
        onPut({ [name]: target.value.trim() === "" ? undefined : { chain: target.value, stance: "orthodox" } }, true)
      }
    />
  );
  return (
    <Flex wrap align="center" gap="small" className="set-more">
      <PaceSelect
        value={set.tempo}
        usual={usualTempo}
        label={t`Tempo of the set`}
        onChange={(tempo) => onPut({ tempo })}
      />
      <PurposeSelect
        value={set.purpose}
        label={t`What the set is for`}
        none={t`purpose of the round`}
        onChange={(purpose) => onPut({ purpose })}
      />
      <span className="small">
        <Trans>all out at the end</Trans>{" "}
        <InputNumber
          size="small"
          className="tiny"
          {...bounds("PlanSet", "allOut")}
          value={set.allOut}
          aria-label={t`Seconds all out at the end`}
          onChange={(allOut) => onPut({ allOut: allOut ?? 0 }, true)}
        />{" "}
        s
      </span>
      {drill.most > 0 && form("easier", t`easier`, t`An easier form`)}
      {drill.most > 0 && form("harder", t`harder`, t`A harder form`)}
    </Flex>
  );
}
