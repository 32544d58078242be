import { Button, Input, Modal, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { CardRequest, CombinationRow } from "../api/client";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { Failure } from "../ui/Failure";
import { layers } from "../ui/layers";
import { Segmented } from "../ui/Segmented";
import { GROUPS, STANCES } from "../ui/words";
import { useCreateCard } from "./useCards";
import "./cards.css";

interface Props {
  combinations: CombinationRow[];
  onClose: () => void;
}

/** Makes a card for an athlete. */
export default function CardDialog({ combinations, onClose }: Props) {
  const read = useNumbering();
  const numberings = useNumberings().data?.numberings ?? [];
  const create = useCreateCard();
  const navigate = useNavigate();
  const [draft, setDraft] = useState<Omit<CardRequest, "combinations">>({
    name: "Take home",
    stance: "orthodox",
    group: "open",
  });
  const put = (change: Partial<CardRequest>) => setDraft((now) => ({ ...now, ...change }));
  return (
    <Modal
      getContainer={layers}
      open
      title="Card for athletes"
      onCancel={onClose}
      footer={[
        <Button key="cancel" onClick={onClose}>
          Cancel
        </Button>,
        <Button
          key="make"
          type="primary"
          loading={create.isPending}
          onClick={() =>
            create.mutate(
              { ...draft, numbering: draft.numbering ?? read, combinations: combinations.map(({ id }) => id) },
              { onSuccess: (card) => navigate(`/cards?show=${card.id}`) },
            )
          }
        >
          Make it
        </Button>,
      ]}
    >
      <div className="card-form">
        <p className="small">{combinations.map(({ name }) => name).join(", ")}</p>
        <div>
          <span>Name</span>
          <Input
            aria-label="Name"
            value={draft.name}
            maxLength={120}
            onChange={(event) => put({ name: event.target.value })}
          />
        </div>
        <div>
          <span>Stance</span>
          <Segmented
            value={draft.stance ?? "orthodox"}
            onChange={(stance) => put({ stance })}
            options={STANCES}
            aria-label="Stance"
          />
        </div>
        <div>
          <span>Numbers</span>
          <Select
            value={draft.numbering ?? read}
            onChange={(numbering) => put({ numbering })}
            aria-label="Numbers"
            options={numberings.map(({ id, name }) => ({ value: id, label: name }))}
          />
        </div>
        <div>
          <span>For</span>
          <Select value={draft.group} onChange={(group) => put({ group })} aria-label="For" options={GROUPS} />
        </div>
        <p className="small">
          The link needs no account and names nobody. It shows the combinations as they are today, and opens nothing
          once it is revoked.
        </p>
        <Failure error={create.error} />
      </div>
    </Modal>
  );
}
