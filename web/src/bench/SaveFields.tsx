import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Input, type InputRef } from "antd";
import { type RefObject, useEffect } from "react";
import { Link } from "react-router";
import { bounds } from "../api/bounds";
import type { Check, Rules } from "../api/client";
import { Segmented } from "../ui/Segmented";
import { ThemeSelect } from "../ui/ThemeSelect";
import { LEVELS, RULES } from "../ui/words";
import type { Draft } from "./draft";
import { useSameName } from "./useSameName";
import type { Saving } from "./useSaving";

/** Why these rules were chosen for the chain. */
const CHOSEN_FOR: Record<Rules, string> = {
  boxing: t`Hands alone, so boxing.`,
  kickboxing: t`Hands and kicks, so kickboxing.`,
  "all-limbs": t`Knees or elbows, so all limbs.`,
};

interface Props {
  draft: Draft;
  check: Check | undefined;
  onGive: (part: Partial<Draft>) => void;
}

/** Name, themes, level, rules and note of a combination, and the remark of a proposal. */
export function SaveFields({
  draft,
  check,
  saving,
  except,
  field,
  isNameMissing,
  onGive,
}: Props & { saving: Saving; except: number | null; field: RefObject<InputRef | null>; isNameMissing: boolean }) {
  const { doing } = saving;
  const sameName = useSameName(draft.name, except);
  // Whoever types at once gives it another name.
  useEffect(() => field.current?.select(), [field]);
  return (
    <>
      <label htmlFor="name">
        <Trans>Name</Trans>
      </label>
      <Input
        id="name"
        ref={field}
        status={isNameMissing ? "error" : undefined}
        autoFocus
        value={draft.name}
        {...bounds("SaveRequest", "name")}
        onChange={(event) => onGive({ name: event.target.value })}
        placeholder={t`What coaches will call it`}
      />
      {sameName && (
        <p className="save-same" role="status">
          <Trans>
            <Link to={`/combinations/${sameName.id}`}>{sameName.text}</Link> has this name already. Combinations with
            the same name are hard to tell apart.
          </Trans>
        </p>
      )}
      <label htmlFor="themes">
        <Trans>Themes</Trans>
      </label>
      <ThemeSelect id="themes" value={draft.themes} onChange={(themes) => onGive({ themes })} />
      <LevelField draft={draft} check={check} onGive={onGive} />
      <RulesField draft={draft} check={check} onGive={onGive} />
      <label htmlFor="note">
        <Trans>Note</Trans>
      </label>
      <Input.TextArea
        id="note"
        value={draft.note}
        {...bounds("SaveRequest", "note")}
        rows={2}
        onChange={(event) => onGive({ note: event.target.value })}
        placeholder={t`What to look for, whom it is for`}
      />
      {doing !== "save" && (
        <>
          <label htmlFor="save-remark">
            <Trans>Remark</Trans>
          </label>
          <Input.TextArea
            id="save-remark"
            value={saving.remark}
            {...bounds("ProposalRequest", "remark")}
            rows={2}
            onChange={(event) => saving.setRemark(event.target.value)}
            placeholder={doing === "approve" ? t`What you changed` : t`For the head coach`}
          />
        </>
      )}
    </>
  );
}

/** The level, which follows the check unless a coach gives another. */
function LevelField({ draft, check, onGive }: Props) {
  return (
    <>
      <span className="field-name">
        <Trans>Level</Trans>
      </span>
      <Segmented
        block
        value={draft.level ?? check?.level?.level ?? 0}
        onChange={(level: number) => onGive({ level: level === check?.level?.level ? null : level })}
        options={LEVELS}
        aria-label={t`Level`}
      />
      {!check && draft.level === null && (
        <p className="small save-level">
          <Trans>The level follows the check, which has not answered yet.</Trans>
        </p>
      )}
      {check?.level && (
        <p className="small save-level">
          <Trans>
            The check says {check.level.level}
            {check.level.reasons.length > 0 &&
              `: ${check.level.reasons
                .slice(0, 3)
                .map((reason) => reason.message)
                .join(", ")}`}
            .{draft.level !== null && draft.level !== check.level.level && t` Set by you.`}
          </Trans>
        </p>
      )}
    </>
  );
}

/** The rules, which follow the chain unless a coach chooses others. */
function RulesField({ draft, check, onGive }: Props) {
  return (
    <>
      <span className="field-name">
        <Trans>Rules</Trans>
      </span>
      <Segmented
        block
        value={draft.rules ?? check?.rules ?? "all-limbs"}
        onChange={(rules) => onGive({ rules })}
        options={RULES}
        aria-label={t`Rules`}
      />
      {draft.rules === null && check?.rules && (
        <p className="small save-level">
          <Trans>{CHOSEN_FOR[check.rules]} Choose others to override.</Trans>
        </p>
      )}
    </>
  );
}
