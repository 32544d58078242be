import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Checkbox, Flex, InputNumber, Select, Slider } from "antd";
import { bounds } from "../api/bounds";
import { useVocabulary } from "../api/useVocabulary";
import { Segmented } from "../ui/Segmented";
import { GROUPS, LIMBS, RULES, SEVERITIES, STANCES } from "../ui/words";
import type { Criteria } from "./criteria";

const LEVELS = [
  { value: 0, label: t`any` },
  { value: 1, label: "1" },
  { value: 2, label: "2" },
  { value: 3, label: "3" },
];
const CLEAN = (["must", "should", "hint"] as const).map((value) => ({ value, label: SEVERITIES[value] }));

interface Props {
  criteria: Criteria;
  onPut: (values: Record<string, string | number>) => void;
}

/** What generated chains should be like; each field is in the address. */
export function CriteriaForm({ criteria, onPut }: Props) {
  return (
    <Flex component="section" vertical gap="var(--space-2)" className="panel criteria" aria-label={t`Criteria`}>
      <h1>
        <Trans>Generate</Trans>
      </h1>
      <p className="small">
        <Trans>Chains that pass the check and are not in the library yet.</Trans>
      </p>
      <StrikeFields criteria={criteria} onPut={onPut} />
      <SurpriseField surprise={criteria.surprise} onPut={onPut} />
      <GroupFields criteria={criteria} onPut={onPut} />
      <SeedField seed={criteria.seed} onPut={onPut} />
    </Flex>
  );
}

function StrikeFields({ criteria, onPut }: Props) {
  const vocabulary = useVocabulary();
  return (
    <>
      <span className="field-name">
        <Trans>Rules</Trans>
      </span>
      <Segmented
        block
        value={criteria.rules}
        onChange={(rules) => onPut({ rules })}
        options={RULES}
        aria-label={t`House rules`}
      />
      <span className="field-name">
        <Trans>Weapons</Trans>
      </span>
      <Checkbox.Group
        value={criteria.weapons}
        onChange={(weapons) => onPut({ weapons: weapons.length === 0 ? "hand" : weapons.join(",") })}
        options={LIMBS}
      />
      <span className="field-name">
        <Trans>Strikes: {criteria.length}</Trans>
      </span>
      <Slider
        min={vocabulary?.limits.generatedStrikes.least ?? 2}
        max={vocabulary?.limits.generatedStrikes.most ?? 10}
        value={criteria.length}
        onChange={(length: number) => onPut({ length })}
        tooltip={{ open: false }}
        ariaLabelForHandle={t`How many strikes`}
      />
      <label htmlFor="theme">
        <Trans>Theme</Trans>
      </label>
      <Select
        id="theme"
        value={criteria.theme ?? ""}
        onChange={(theme: string) => onPut({ theme })}
        options={[{ value: "", label: t`any theme` }, ...(vocabulary?.themes ?? [])]}
        getPopupContainer={(node) => node.parentElement ?? document.body}
      />
    </>
  );
}

/** From what coaches call to all that the body can do. */
function SurpriseField({ surprise, onPut }: { surprise: number; onPut: Props["onPut"] }) {
  return (
    <>
      <span className="field-name">
        <Trans>What follows what</Trans>
      </span>
      <Slider
        className="surprise"
        {...bounds("GenerateRequest", "surprise")}
        step={25}
        marks={{ 0: t`usual`, 100: t`surprising` }}
        value={surprise}
        onChange={(value: number) => onPut({ surprise: value || "" })}
        tooltip={{ open: false }}
        ariaLabelForHandle={t`How surprising`}
      />
      <p className="small">
        {surprise === 0 ? (
          <Trans>What coaches call, and what your library and logbook have.</Trans>
        ) : surprise < 100 ? (
          <Trans>Now and then a link that few coaches call.</Trans>
        ) : (
          <Trans>Anything that flows, leaps and spins among it.</Trans>
        )}
      </p>
    </>
  );
}

function GroupFields({ criteria, onPut }: Props) {
  return (
    <>
      <span className="field-name">
        <Trans>For</Trans>
      </span>
      <Segmented
        block
        value={criteria.group}
        onChange={(group) => onPut({ group: group === "open" ? "" : group })}
        options={GROUPS}
        aria-label={t`For which group`}
      />
      <span className="field-name">
        <Trans>Level</Trans>
      </span>
      <Segmented
        block
        value={criteria.level ?? 0}
        onChange={(level) => onPut({ level: level || "" })}
        options={LEVELS}
        aria-label={t`Level`}
      />
      <span className="field-name">
        <Trans>No finding of severity</Trans>
      </span>
      <Segmented
        block
        value={criteria.clean}
        onChange={(clean) => onPut({ clean })}
        options={CLEAN}
        aria-label={t`No finding this serious or worse`}
      />
      <Checkbox
        checked={criteria.switches}
        onChange={(event) => onPut({ switches: event.target.checked ? "yes" : "" })}
      >
        <Trans>the stance may change</Trans>
      </Checkbox>
      <span className="field-name">
        <Trans>Written for</Trans>
      </span>
      <Segmented
        block
        value={criteria.stance}
        onChange={(stance) => onPut({ stance })}
        options={STANCES}
        aria-label={t`Written for which stance`}
      />
    </>
  );
}

/** The same seed makes the same chains again. */
function SeedField({ seed, onPut }: { seed: number; onPut: Props["onPut"] }) {
  return (
    <>
      <label htmlFor="seed">
        <Trans>Seed</Trans>
      </label>
      <span className="seed">
        <InputNumber
          id="seed"
          {...bounds("GenerateRequest", "seed")}
          precision={0}
          value={seed}
          onChange={(value) => onPut({ seed: value ?? 1 })}
        />
        <Button type="primary" onClick={() => onPut({ seed: 1 + Math.floor(Math.random() * 99_999) })}>
          <Trans>Others</Trans>
        </Button>
      </span>
    </>
  );
}
