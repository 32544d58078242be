import { t } from "@lingui/core/macro";
import { useQuery } from "@tanstack/react-query";
import { Flex } from "antd";

import { type ReactNode, useId, useState } from "react";
import type { HouseRules, Rules } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { checkOf } from "../check/checkOf";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Segmented } from "../ui/Segmented";
import { labelOf, MEDIA, SEVERITIES } from "../ui/words";

type RuleInfo = HouseRules["rules"][number];
type Severity = HouseRules["sets"][number]["severities"][string];

const CHOICES: { value: Severity; label: string }[] = [
  { value: "off", label: t`off` },
  ...(["hint", "should", "must"] as const).map((value) => ({ value, label: SEVERITIES[value] })),
];
const LINE_WIDTH = 300;

interface Props {
  rule: RuleInfo;
  set: Rules;
  severity: Severity;
  changed: boolean;
  mayEdit: boolean;
  onSeverity: (severity: Severity) => void;
  /** The threshold, where the rule has one. */
  children?: ReactNode;
}

/** A rule with its severity, and on request its reason and two examples. */
export function Rule({ rule, set, severity, changed, mayEdit, onSeverity, children }: Props) {
  const [open, setOpen] = useState(false);
  const more = useId();
  return (
    <li className={changed ? "rule rule-changed" : "rule"}>
      <button
        type="button"
        className="rule-title"
        aria-expanded={open}
        aria-controls={more}
        onClick={() => setOpen(!open)}
      >
        <span aria-hidden="true">{open ? "▾" : "▸"}</span> {rule.title}
      </button>
      <Flex component="span" align="center" gap="small" className="rule-threshold">
        {children}
      </Flex>
      <Segmented
        size="small"
        value={severity}
        disabled={!mayEdit}
        onChange={onSeverity}
        options={CHOICES}
        aria-label={t`Severity of “${rule.title}”`}
      />
      {open && (
        <div id={more} className="rule-more">
          <p>{rule.reason}</p>
          <Example title={t`Shows it`} example={rule.shows} set={set} />
          <Example title={t`Does not`} example={rule.doesNotShow} set={set} />
        </div>
      )}
    </li>
  );
}

function Example({ title, example, set }: { title: string; example: RuleInfo["shows"]; set: Rules }) {
  const { chain, medium, group, tempo } = example;
  const readIn = useNumbering();
  const check = useQuery(checkOf({ text: chain, rules: set, medium, group, tempo, readIn, draw: ["row"] })).data?.check;
  const where = [
    medium === "shadow" ? "" : labelOf(MEDIA, medium),
    group === "open" ? "" : t`for ${group}`,
    tempo === 1 ? "" : t`at tempo ${tempo}`,
  ].filter((part) => part !== "");
  return (
    <figure className="example">
      <figcaption>
        <span className="small">{title}</span>
        <b>{check?.text ?? chain}</b>
        {where.length > 0 && <span className="small">{where.join(", ")}</span>}
      </figcaption>
      {check?.drawings?.row && <CombinationLine drawing={check.drawings.row} width={LINE_WIDTH} name={chain} />}
    </figure>
  );
}
