import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Modal, Select } from "antd";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import type { Numbering } from "../api/client";
import { useMay } from "../api/session";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";
import { NumberingEffect } from "./NumberingEffect";
import { NumberingFoot, NumberingForm } from "./NumberingForm";
import { NumberTable } from "./NumberTable";
import { useChooseNumbering } from "./useChooseNumbering";
import { useNumberingEditor } from "./useNumberingEditor";
import "./numbering.css";

/** The gym's numberings; the head coach creates and edits those that are not built in. */
export default function NumberingScreen() {
  const { id } = useParams();
  const numberings = useNumberings();
  const mine = useNumbering();
  const shown = numberings.data?.numberings.find((numbering) => numbering.id === (id ?? mine));
  return (
    <main className="page">
      <GymNav />
      <Loaded query={numberings} what={t`Loading the numberings`} />
      {numberings.data && !shown && (
        <p>
          <Trans>There is no such numbering. Choose another above.</Trans>
        </p>
      )}
      {numberings.data && shown && (
        <Editor key={`${shown.id} ${shown.version}`} numbering={shown} numberings={numberings.data.numberings} />
      )}
    </main>
  );
}

function Editor({ numbering, numberings }: { numbering: Numbering; numberings: Numbering[] }) {
  const readers = useNumberings().data?.readers[numbering.id] ?? [];
  const [editing, setEditing] = useState(false);
  const editor = useNumberingEditor(numbering, numberings);
  return (
    <>
      <NumberingHead
        numbering={numbering}
        numberings={numberings}
        onEdit={() => {
          setEditing(true);
          editor.setOther(numbering.id);
        }}
        editing={editing}
      />
      <p className="small" role="note">
        {readers.length === 0 ? t`No coach uses this numbering.` : t`Read by ${readers.join(", ")}.`}
      </p>
      <p className="small">
        <Trans>{numbering.about} A numbering is only a way of writing: changing it never changes a stored chain.</Trans>
      </p>
      <div className="columns">
        <section className="panel numbering-numbers" aria-label={t`Numbers`}>
          {editing && <NumberingForm editor={editor} />}
          <NumberTable
            rows={editor.rows}
            boundTo={editor.boundTo}
            editing={editing}
            problems={editor.problems}
            onChange={editor.change}
            onRemove={editor.remove}
          />
          {editing && <NumberingFoot editor={editor} onEnd={() => setEditing(false)} />}
        </section>
        <NumberingEffect numbering={numbering} numberings={numberings} editor={editor} editing={editing} />
      </div>
    </>
  );
}

interface HeadProps {
  numbering: Numbering;
  numberings: Numbering[];
  editing: boolean;
  onEdit: () => void;
}

/** Chooses which numbering is shown, and takes it for oneself or for the gym. */
function NumberingHead({ numbering, numberings, editing, onEdit }: HeadProps) {
  const mayEdit = useMay("EDIT_NUMBERINGS");
  const ofGym = useNumberings().data?.ofGym;
  const mine = useNumbering();
  const navigate = useNavigate();
  const chooseMine = useChooseNumbering("me");
  const { giveToGym, isGiving, modalHolder } = useGiveToGym(numbering, numberings);
  return (
    <Flex wrap align="center" gap="var(--space-4) var(--space-7)">
      {modalHolder}
      <h1>
        <Trans>Numbering</Trans>
      </h1>
      <Select
        value={numbering.id}
        onChange={(value) => navigate(`/numbering/${value}`)}
        options={numberings.map((one) => ({
          value: one.id,
          label: one.name + (one.id === ofGym ? t` · the gym’s` : "") + (one.id === mine ? t` · you read it` : ""),
        }))}
        aria-label={t`Which numbering`}
        className="numbering-which"
      />
      {mine !== numbering.id && (
        <Button onClick={() => chooseMine.mutate(numbering.id)} loading={chooseMine.isPending}>
          <Trans>Use for me</Trans>
        </Button>
      )}
      {mayEdit && ofGym !== numbering.id && (
        <Button onClick={giveToGym} loading={isGiving}>
          <Trans>Use for the gym</Trans>
        </Button>
      )}
      {mayEdit && !editing && (
        <Button type="primary" onClick={onEdit}>
          {numbering.isBuiltIn ? t`Start a numbering from this` : t`Edit`}
        </Button>
      )}
    </Flex>
  );
}

/** Asks, and then gives the gym a numbering. */
function useGiveToGym(numbering: Numbering, numberings: Numbering[]) {
  const known = useNumberings().data;
  const ofGym = known?.ofGym;
  const chooseGym = useChooseNumbering("gym");
  const [modal, modalHolder] = Modal.useModal();
  const notice = useNotice();
  const nameOf = (id: string | undefined) => numberings.find((one) => one.id === id)?.name ?? "";
  // Changes what every coach reads who has not chosen a numbering.
  const giveToGym = () => {
    const before = ofGym;
    const followers = before === undefined ? [] : (known?.followers ?? []);
    modal.confirm({
      getContainer: layers,
      title: t`Read everything in ${numbering.name}?`,
      content: t`The gym reads in ${nameOf(before)} now. ${
        followers.length === 0
          ? t`Every coach has chosen a numbering of their own, so no screen changes.`
          : t`The screens of ${followers.join(", ")} change, and so do the walls.`
      } No combination changes.`,
      okText: t`Use for the gym`,
      onOk: () =>
        chooseGym
          .mutateAsync(numbering.id)
          .then(
            () =>
              notice.undo(
                t`The gym reads in ${numbering.name}.`,
                () => before !== undefined && chooseGym.mutate(before),
              ),
            notice.failed,
          ),
    });
  };
  return { giveToGym, isGiving: chooseGym.isPending, modalHolder };
}
