import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, InputNumber } from "antd";
import type { HouseRules, Rules } from "../api/client";
import { Segmented } from "../ui/Segmented";
import { Rule } from "./Rule";
import type { Draft } from "./rulesDraft";

interface Props {
  all: HouseRules;
  set: Rules;
  draft: Draft;
  stored: Draft;
  mayEdit: boolean;
  change: (next: Draft) => void;
}

/** The schools, and the severity of each finding. */
export function RulesPart({ all, set, draft, stored, mayEdit, change }: Props) {
  return (
    <>
      <section className="panel schools" aria-label={t`Schools`}>
        <h2>
          <Trans>Where coaches disagree</Trans>
        </h2>
        {all.schools.map((school) => (
          <div key={school.name} className="school">
            <span>{school.question}</span>
            <Segmented
              value={draft.schools[school.name] as string}
              disabled={!mayEdit}
              onChange={(value) => change({ ...draft, schools: { ...draft.schools, [school.name]: value } })}
              options={school.answers}
              aria-label={school.question}
            />
          </div>
        ))}
      </section>
      <section className="panel rules" aria-label={t`Rules`}>
        <h2>
          <Trans>How serious each finding is</Trans>
        </h2>
        <ul>
          {all.rules.map((rule) => (
            <Rule
              key={rule.id}
              rule={rule}
              set={set}
              severity={draft.severities[rule.id] ?? "hint"}
              changed={draft.severities[rule.id] !== stored.severities[rule.id]}
              mayEdit={mayEdit}
              onSeverity={(severity) => change({ ...draft, severities: { ...draft.severities, [rule.id]: severity } })}
            >
              {rule.threshold && (
                <ThresholdField
                  threshold={rule.threshold}
                  value={draft.thresholds[rule.id] ?? null}
                  label={t`${rule.title}: reported ${rule.threshold.word}, ${rule.threshold.unit}`}
                  disabled={!mayEdit}
                  onChange={(value) => change({ ...draft, thresholds: { ...draft.thresholds, [rule.id]: value } })}
                />
              )}
            </Rule>
          ))}
        </ul>
      </section>
      <section className="panel rules" aria-label={t`Warnings of sessions`}>
        <h2>
          <Trans>Sessions: warnings, and when combinations are due again</Trans>
        </h2>
        <ul>
          {all.warnings.map((warning) => (
            <li key={warning.id} className="session-warning">
              <b>{warning.title}</b>
              <Flex component="span" wrap align="center" gap="small">
                <ThresholdField
                  threshold={warning.threshold}
                  value={draft.thresholds[warning.id] ?? warning.threshold.usual}
                  label={`${warning.title}: ${warning.threshold.word}, ${warning.threshold.unit}`}
                  disabled={!mayEdit}
                  onChange={(value) => change({ ...draft, thresholds: { ...draft.thresholds, [warning.id]: value } })}
                />
              </Flex>
              <span className="small">{warning.reason}</span>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

interface ThresholdProps {
  threshold: Pick<HouseRules["warnings"][number]["threshold"], "word" | "unit" | "least" | "most" | "isWhole">;
  value: number | null;
  label: string;
  disabled: boolean;
  onChange: (value: number) => void;
}

/** From which value on something is reported, with its unit. */
function ThresholdField({ threshold, value, label, disabled, onChange }: ThresholdProps) {
  const { word, unit, least, most, isWhole } = threshold;
  return (
    <>
      {word}
      <InputNumber
        size="small"
        min={least}
        max={most}
        step={isWhole ? 1 : 0.05}
        precision={isWhole ? 0 : 2}
        value={value}
        disabled={disabled}
        onChange={(next) => next !== null && onChange(next)}
        aria-label={label}
      />
      {unit}
    </>
  );
}
