import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Alert, Button, Drawer, Input, type InputRef } from "antd";
import { type FormEvent, useRef, useState } from "react";
import { Link } from "react-router";
import { bounds } from "../api/bounds";
import { type Check, type Matches, refusal } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Failure } from "../ui/Failure";
import { layers } from "../ui/layers";
import { Segmented } from "../ui/Segmented";
import { ThemeSelect } from "../ui/ThemeSelect";
import { LEVELS, RULES } from "../ui/words";
import type { Draft } from "./draft";
import { Similar } from "./Similar";
import { useSameName } from "./useSameName";
import type { Doing, Saving } from "./useSaving";

interface Props {
  /** Shows the picture of what is saved; undefined while loading. */
  check: Check | undefined;
  draft: Draft;
  isNew: boolean;
  /** The combination being changed; null for a new one. */
  except: number | null;
  saving: Saving;
  similar: Matches | null | undefined;
  onChange: (change: Partial<Draft>, typed?: boolean) => void;
}

const WORDS: Record<Doing, { isNew: string; change: string; button: string }> = {
  save: { isNew: t`Save into the library`, change: t`Save the change`, button: t`Save` },
  propose: { isNew: t`Propose for the library`, change: t`Propose the change`, button: t`Propose` },
  approve: { isNew: t`Approve with this edit`, change: t`Approve with this edit`, button: t`Approve` },
  revise: { isNew: t`Revise the proposal`, change: t`Revise the proposal`, button: t`Send the revision` },
};

/** The drawer for the name and other fields of a combination. */
export function SaveDrawer({ check, draft, isNew, except, saving, similar, onChange }: Props) {
  const { doing, isWaiting, refused } = saving;
  const existing = refused ? refusal(refused).existing : undefined;
  const give = (part: Partial<Draft>) => onChange(part, true);
  const nameless = draft.name.trim() === "";
  const [isAsked, setAsked] = useState(false);
  const field = useRef<InputRef>(null);
  const sameName = useSameName(draft.name, except);
  // One entry serves both stances, because a chain is stored by lead and rear.
  const there = similar?.matches.find(({ relation, notation }) => relation === "same" && notation === check?.notation);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    setAsked(true);
    if (nameless) {
      field.current?.focus();
    } else if (!isWaiting) {
      saving.send();
    }
  };
  return (
    <Drawer
      getContainer={layers}
      open={saving.isOpen}
      onClose={saving.close}
      title={isNew ? WORDS[doing].isNew : WORDS[doing].change}
      size={420}
      // The name has the focus; without motion the drawer would take it back.
      autoFocus={false}
      destroyOnHidden
      footer={
        <div className="save-foot">
          <Failure
            error={refused}
            more={
              existing && (
                <Link to={`/combinations/${existing.id}`}>
                  <Trans>Open it</Trans>
                </Link>
              )
            }
          />
          {isWaiting && (
            <Alert
              type="warning"
              className="save-waits"
              showIcon
              role="status"
              title={t`There is no connection. It is saved once, as soon as the server is back and has checked it.`}
              action={
                <Button onClick={saving.giveUp}>
                  <Trans>Discard it</Trans>
                </Button>
              }
            />
          )}
          <Button
            type="primary"
            htmlType="submit"
            loading={saving.sending}
            form="save-form"
            disabled={draft.text.trim() === "" || isWaiting || there !== undefined}
          >
            {doing === "save" && !isNew ? t`Save the change` : WORDS[doing].button}
          </Button>
          {nameless && isAsked && (
            <p className="save-missing" role="alert">
              <Trans>Give it a name first.</Trans>
            </p>
          )}
        </div>
      }
    >
      <form className="save-form" id="save-form" onSubmit={submit}>
        <p className="save-chain">{draft.text}</p>
        <p className="small">
          <Trans>Written for {draft.stance}.</Trans>
        </p>
        {there && (
          <Alert
            type="info"
            showIcon
            role="status"
            title={
              <Trans>
                This chain is in the library already: <Link to={`/combinations/${there.id}`}>{there.name}</Link>. One
                entry serves both stances; open it to read it as a southpaw. To keep it as another combination, change
                the chain.
              </Trans>
            }
          />
        )}
        {check?.drawings?.card && (
          <CombinationLine
            drawing={check.drawings.card}
            name={t`Combination line of what is saved: ${check.text ?? ""}`}
          />
        )}
        <label htmlFor="name">
          <Trans>Name</Trans>
        </label>
        <Input
          id="name"
          ref={field}
          status={nameless && isAsked ? "error" : undefined}
          autoFocus
          value={draft.name}
          {...bounds("SaveRequest", "name")}
          onChange={(event) => give({ name: event.target.value })}
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
        <ThemeSelect id="themes" value={draft.themes} onChange={(themes) => give({ themes })} />
        <span className="field-name">
          <Trans>Level</Trans>
        </span>
        <Segmented
          block
          value={draft.level ?? check?.level?.level ?? 0}
          onChange={(level: number) => give({ level: level === check?.level?.level ? null : level })}
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
        <span className="field-name">
          <Trans>Rules</Trans>
        </span>
        <Segmented
          block
          value={draft.rules ?? check?.rules ?? "all-limbs"}
          onChange={(rules) => give({ rules })}
          options={RULES}
          aria-label={t`Rules`}
        />
        {draft.rules === null && check?.rules && (
          <p className="small save-level">
            <Trans>
              {check.rules === "boxing" ? t`Hands alone, so boxing.` : t`Inferred from the chain.`} Choose others to
              keep them.
            </Trans>
          </p>
        )}
        <label htmlFor="note">
          <Trans>Note</Trans>
        </label>
        <Input.TextArea
          id="note"
          value={draft.note}
          {...bounds("SaveRequest", "note")}
          rows={2}
          onChange={(event) => give({ note: event.target.value })}
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
        <Similar similar={similar} />
      </form>
    </Drawer>
  );
}
