import { Alert, Button, Drawer, Input, Segmented, Select } from "antd";
import type { FormEvent, ReactNode } from "react";
import type { Check } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { layers } from "../ui/layers";
import { LEVELS, RULES } from "../ui/words";
import type { Draft } from "./draft";

interface Props {
  /** Drawn small, so that one sees what is saved. */
  check: Check | undefined;
  open: boolean;
  draft: Draft;
  isNew: boolean;
  /** What is done with it: a head coach saves, a coach proposes, a proposal is approved or revised. */
  doing: Doing;
  remark: string;
  onRemark: (remark: string) => void;
  /** What is in the library already. */
  similar: ReactNode;
  saving: boolean;
  /** For the connection to come back. */
  waiting: boolean;
  onGiveUp: () => void;
  error: ReactNode;
  onChange: (change: Partial<Draft>) => void;
  onClose: () => void;
  onSave: () => void;
}

export type Doing = "save" | "propose" | "approve" | "revise";

const WORDS: Record<Doing, { isNew: string; change: string; button: string }> = {
  save: { isNew: "Save into the library", change: "Save the change", button: "Save" },
  propose: { isNew: "Propose for the library", change: "Propose the change", button: "Propose" },
  approve: { isNew: "Approve with this edit", change: "Approve with this edit", button: "Approve" },
  revise: { isNew: "Revise the proposal", change: "Revise the proposal", button: "Send the revision" },
};

/** Name and place of a combination in the library. */
export function SaveDrawer({
  check,
  open,
  draft,
  isNew,
  doing,
  remark,
  onRemark,
  similar,
  saving,
  waiting,
  onGiveUp,
  error,
  onChange,
  onClose,
  onSave,
}: Props) {
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSave();
  };
  return (
    <Drawer
      getContainer={layers}
      open={open}
      onClose={onClose}
      title={isNew ? WORDS[doing].isNew : WORDS[doing].change}
      size={420}
      // The name is focused; without motion the drawer would take the focus back.
      autoFocus={false}
      destroyOnHidden
    >
      <form className="save-form" onSubmit={submit}>
        <p className="save-chain">{draft.text}</p>
        {check?.drawings?.card && (
          <CombinationLine drawing={check.drawings.card} name={`Combination line of what is saved: ${check.text}`} />
        )}
        <label htmlFor="name">Name</label>
        <Input
          id="name"
          autoFocus
          value={draft.name}
          maxLength={120}
          onChange={(event) => onChange({ name: event.target.value })}
          placeholder="What coaches will call it"
        />
        <label htmlFor="themes">Themes</label>
        <Select
          id="themes"
          mode="tags"
          value={draft.themes}
          onChange={(themes: string[]) => onChange({ themes })}
          placeholder="such as slips, liver, low kick"
          tokenSeparators={[","]}
          maxCount={8}
          open={false}
          suffixIcon={null}
        />
        <span className="field-name">Level</span>
        <Segmented
          block
          value={draft.level ?? check?.level?.level ?? 0}
          onChange={(level: number) => onChange({ level: level === check?.level?.level ? null : level })}
          options={LEVELS}
          aria-label="Level"
        />
        {!check && draft.level === null && (
          <p className="small save-level">The level follows the check, which has not answered yet.</p>
        )}
        {check?.level && (
          <p className="small save-level">
            The check says {check.level.level}
            {check.level.reasons.length > 0 &&
              `: ${check.level.reasons
                .slice(0, 3)
                .map((reason) => reason.message)
                .join(", ")}`}
            .{draft.level !== null && draft.level !== check.level.level && " You gave it your own."}
          </p>
        )}
        <span className="field-name">Rules</span>
        <Segmented
          block
          value={draft.rules}
          onChange={(rules) => onChange({ rules })}
          options={RULES}
          aria-label="Rules"
        />
        <label htmlFor="note">Note</label>
        <Input.TextArea
          id="note"
          value={draft.note}
          maxLength={2000}
          rows={2}
          onChange={(event) => onChange({ note: event.target.value })}
          placeholder="What to look for, whom it is for"
        />
        {doing !== "save" && (
          <>
            <label htmlFor="save-remark">Remark</label>
            <Input.TextArea
              id="save-remark"
              value={remark}
              maxLength={1000}
              rows={2}
              onChange={(event) => onRemark(event.target.value)}
              placeholder={doing === "approve" ? "What you changed" : "For the head coach"}
            />
          </>
        )}
        {similar}
        <div className="save-foot">
          {error && <Alert type="error" showIcon message={error} role="alert" />}
          {waiting && (
            <Alert
              type="warning"
              className="save-waits"
              showIcon
              role="status"
              title="There is no connection. It waits here, and goes out once as soon as the server is back and has checked it."
              action={<Button onClick={onGiveUp}>Do not send it</Button>}
            />
          )}
          <Button
            type="primary"
            htmlType="submit"
            loading={saving}
            disabled={draft.name.trim() === "" || draft.text.trim() === "" || waiting}
          >
            {doing === "save" && !isNew ? "Save the change" : WORDS[doing].button}
          </Button>
          {draft.name.trim() === "" && <p className="small">It needs a name first.</p>}
        </div>
      </form>
    </Drawer>
  );
}
