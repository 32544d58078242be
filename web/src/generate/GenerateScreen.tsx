import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Checkbox, InputNumber, Select, Slider } from "antd";
import { useSearchParams } from "react-router";
import { bounds } from "../api/bounds";
import { useNumbering } from "../api/useNumbering";
import { useVocabulary } from "../api/useVocabulary";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Segmented } from "../ui/Segmented";
import { GROUPS, LIMBS, RULES, SEVERITIES, STANCES } from "../ui/words";
import { criteriaOf } from "./criteria";
import { Results } from "./Results";
import { useGenerate } from "./useGenerate";
import "./generate.css";

const LEVELS = [
  { value: 0, label: t`any` },
  { value: 1, label: "1" },
  { value: 2, label: "2" },
  { value: 3, label: "3" },
];
const CLEAN = (["must", "should", "hint"] as const).map((value) => ({ value, label: SEVERITIES[value] }));

/** Generates chains from criteria that the library does not have yet. */
export default function GenerateScreen() {
  const [address, setAddress] = useSearchParams();
  const criteria = criteriaOf(address, useNumbering());
  const vocabulary = useVocabulary();
  const generation = useGenerate(criteria);
  const put = (values: Record<string, string | number>) =>
    setAddress(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [name, value] of Object.entries(values)) {
          value === "" ? next.delete(name) : next.set(name, String(value));
        }
        return next;
      },
      { replace: true, preventScrollReset: true },
    );
  return (
    <main className="page generate">
      <section className="panel criteria" aria-label={t`Criteria`}>
        <h1>
          <Trans>Generate</Trans>
        </h1>
        <p className="small">
          <Trans>Chains that pass the check and are not in the library yet.</Trans>
        </p>
        <span className="field-name">
          <Trans>Rules</Trans>
        </span>
        <Segmented
          block
          value={criteria.rules}
          onChange={(rules) => put({ rules })}
          options={RULES}
          aria-label={t`House rules`}
        />
        <span className="field-name">
          <Trans>Weapons</Trans>
        </span>
        <Checkbox.Group
          value={criteria.weapons}
          onChange={(weapons) => put({ weapons: weapons.length === 0 ? "hand" : weapons.join(",") })}
          options={LIMBS}
        />
        <span className="field-name">
          <Trans>Strikes: {criteria.length}</Trans>
        </span>
        <Slider
          min={vocabulary?.limits.generatedStrikes.least ?? 2}
          max={vocabulary?.limits.generatedStrikes.most ?? 10}
          value={criteria.length}
          onChange={(length: number) => put({ length })}
          tooltip={{ open: false }}
          ariaLabelForHandle={t`How many strikes`}
        />
        <label htmlFor="theme">
          <Trans>Theme</Trans>
        </label>
        <Select
          id="theme"
          value={criteria.theme ?? ""}
          onChange={(theme: string) => put({ theme })}
          options={[{ value: "", label: t`any theme` }, ...(vocabulary?.themes ?? [])]}
          getPopupContainer={(node) => node.parentElement ?? document.body}
        />
        <span className="field-name">
          <Trans>For</Trans>
        </span>
        <Segmented
          block
          value={criteria.group}
          onChange={(group) => put({ group: group === "open" ? "" : group })}
          options={GROUPS}
          aria-label={t`For which group`}
        />
        <span className="field-name">
          <Trans>Level</Trans>
        </span>
        <Segmented
          block
          value={criteria.level ?? 0}
          onChange={(level) => put({ level: level || "" })}
          options={LEVELS}
          aria-label={t`Level`}
        />
        <span className="field-name">
          <Trans>No finding of severity</Trans>
        </span>
        <Segmented
          block
          value={criteria.clean}
          onChange={(clean) => put({ clean })}
          options={CLEAN}
          aria-label={t`No finding this serious or worse`}
        />
        <Checkbox
          checked={criteria.switches}
          onChange={(event) => put({ switches: event.target.checked ? "yes" : "" })}
        >
          <Trans>the stance may change</Trans>
        </Checkbox>
        <span className="field-name">
          <Trans>Written for</Trans>
        </span>
        <Segmented
          block
          value={criteria.stance}
          onChange={(stance) => put({ stance })}
          options={STANCES}
          aria-label={t`Written for which stance`}
        />
        <label htmlFor="seed">
          <Trans>Seed</Trans>
        </label>
        <span className="seed">
          <InputNumber
            id="seed"
            {...bounds("GenerateRequest", "seed")}
            precision={0}
            value={criteria.seed}
            onChange={(seed) => put({ seed: seed ?? 1 })}
          />
          <Button type="primary" onClick={() => put({ seed: 1 + Math.floor(Math.random() * 99_999) })}>
            <Trans>Others</Trans>
          </Button>
        </span>
      </section>
      <section className="generation" aria-label={t`Generated chains`} aria-busy={generation.isFetching}>
        {generation.isError ? (
          <Failure error={generation.error} />
        ) : generation.data ? (
          <Results generation={generation.data} criteria={criteria} old={generation.isPlaceholderData} onPut={put} />
        ) : (
          <Loading what={t`Making chains`} />
        )}
      </section>
    </main>
  );
}
