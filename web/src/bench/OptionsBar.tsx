import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Select } from "antd";
import { memo } from "react";
import type { NumberingId, Rules, Stance } from "../api/client";
import { useNumberings } from "../api/useNumbering";
import { Segmented } from "../ui/Segmented";
import { GROUPS, MEDIA, RULES, STANCES, TEMPOS } from "../ui/words";
import { ATHLETES, type CheckOptions } from "./checkOptions";

interface Props {
  stance: Stance;
  /** The chosen rules; null to infer them from the chain. */
  rules: Rules | null;
  /** The rules of the current check. */
  found: Rules | null;
  numbering: NumberingId;
  options: CheckOptions;
  onStance: (stance: Stance) => void;
  onRules: (rules: Rules | null) => void;
  onNumbering: (numbering: NumberingId) => void;
  onOptions: (part: Partial<CheckOptions>) => void;
}

const RULE_SETS = RULES.map((rule) => ({ ...rule, label: t`${rule.label} rules` }));
const CHOICES: {
  name: "tempo" | "medium" | "group" | "athlete";
  choices: { value: string | number; label: string }[];
  label: string;
}[] = [
  { name: "tempo", choices: TEMPOS.map(({ value, name }) => ({ value, label: t`${name} tempo` })), label: t`Tempo` },
  { name: "medium", choices: MEDIA, label: t`What it is thrown at` },
  { name: "group", choices: GROUPS, label: t`For which group` },
  { name: "athlete", choices: ATHLETES, label: t`Which athlete` },
];
/** Explains why these rules were inferred. */
function inferred(found: Rules | null): string {
  const name = RULES.find((rule) => rule.value === found)?.label;
  return name === undefined ? t`Rules: automatic` : t`Automatic: ${name.toLowerCase()}`;
}

const PARITY: { id: NumberingId; name: string }[] = [{ id: "parity", name: t`Parity` }];

/** The options of the check: group, opponent, rules and numbering. */
export const OptionsBar = memo(function OptionsBar(props: Props) {
  const { stance, rules, found, numbering, options, onStance, onRules, onNumbering, onOptions } = props;
  // Without the list of numberings the bench uses the parity numbers that every gym has.
  const numberings = useNumberings().data?.numberings ?? PARITY;
  return (
    <>
      <span className="option">
        <span>
          <Trans>For</Trans>
        </span>
        <Segmented
          size="small"
          value={stance}
          onChange={onStance}
          options={STANCES}
          aria-label={t`Written for which stance`}
        />
      </span>
      <span className="option">
        <span>
          <Trans>against</Trans>
        </span>
        <Segmented
          size="small"
          value={options.opponent}
          onChange={(opponent) => onOptions({ opponent })}
          options={STANCES}
          aria-label={t`Opponent's stance`}
        />
      </span>
      {CHOICES.map(({ name, choices, label }) => (
        <Select<string | number>
          key={name}
          size="small"
          value={options[name]}
          onChange={(value) => onOptions({ [name]: value })}
          options={choices}
          aria-label={label}
        />
      ))}
      <Select<Rules | "">
        size="small"
        value={rules ?? ""}
        onChange={(value) => onRules(value === "" ? null : value)}
        options={[{ value: "", label: inferred(found) }, ...RULE_SETS]}
        aria-label={t`House rules`}
      />
      <Select
        size="small"
        value={numbering}
        onChange={onNumbering}
        options={numberings.map(({ id, name }) => ({ value: id, label: t`${name} numbers` }))}
        aria-label={t`Numbering`}
      />
    </>
  );
});
