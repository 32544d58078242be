import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { useNavigate } from "react-router";
import { bounds } from "../api/bounds";
import { Failure } from "../ui/Failure";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { AddNumber } from "./NumberTable";
import type { BoundTo } from "./rows";
import type { NumberingEditor } from "./useNumberingEditor";
import { useSaveNumbering } from "./useSaveNumbering";

const BOUND_TO: { value: BoundTo; label: string }[] = [
  { value: "role", label: t`the role: 1 is the jab of either stance` },
  { value: "hand", label: t`the hand: odd stays left` },
];

/** The fields for the name of a numbering and what its numbers are bound to. */
export function NumberingForm({ editor }: { editor: NumberingEditor }) {
  return (
    <div className="numbering-form">
      <label htmlFor="numbering-name">
        <Trans>Name</Trans>
      </label>
      <Input
        id="numbering-name"
        value={editor.name}
        {...bounds("NumberingRequest", "name")}
        onChange={(event) => editor.setName(event.target.value)}
        placeholder={t`Such as Saltworks numbers`}
      />
      <label htmlFor="numbering-about">
        <Trans>In short</Trans>
      </label>
      <Input
        id="numbering-about"
        value={editor.about}
        {...bounds("NumberingRequest", "about")}
        onChange={(event) => editor.setAbout(event.target.value)}
      />
      <span>
        <Trans>A number is bound to</Trans>
      </span>
      <Segmented
        value={editor.boundTo}
        onChange={editor.bind}
        options={BOUND_TO}
        aria-label={t`What a number is bound to`}
      />
    </div>
  );
}

/** The buttons to add a number, save or cancel. */
export function NumberingFoot({ editor, onEnd }: { editor: NumberingEditor; onEnd: () => void }) {
  const save = useSaveNumbering();
  const notice = useNotice();
  const navigate = useNavigate();
  const { toSave, stops } = editor;
  const store = () =>
    toSave &&
    save.mutate(toSave, {
      onSuccess: (saved) => {
        notice.done(t`“${saved.name}” is saved. No stored chain changed.`);
        onEnd();
        void navigate(`/numbering/${saved.id}`);
      },
    });
  return (
    <>
      <Flex wrap align="center" gap="small" className="form-row numbering-foot">
        <AddNumber onAdd={editor.add} boundTo={editor.boundTo} />
      </Flex>
      <Flex wrap align="center" gap="small" className="form-row numbering-foot numbering-save">
        <Button
          type="primary"
          onClick={store}
          loading={save.isPending}
          disabled={stops || toSave === null}
          title={stops ? t`Fix what is marked first` : undefined}
        >
          <Trans>Save the numbering</Trans>
        </Button>
        <Button
          onClick={() => {
            editor.reset();
            onEnd();
          }}
        >
          <Trans>Discard the changes</Trans>
        </Button>
        {toSave === null && (
          <span className="small">
            <Trans>It needs a name first.</Trans>
          </span>
        )}
        <Failure error={save.error} />
      </Flex>
    </>
  );
}
