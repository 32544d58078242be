import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { bounds } from "../api/bounds";
import type { CardRequest, CombinationRow } from "../api/client";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { Dialog } from "../ui/Dialog";
import { Failure } from "../ui/Failure";
import { Segmented } from "../ui/Segmented";
import { GROUPS, STANCES } from "../ui/words";
import SessionLinkDialog from "./SessionLinkDialog";
import { useCreateCard } from "./useCards";
import "./cards.css";

type Draft = Omit<CardRequest, "combinations">;

interface Props {
  combinations: CombinationRow[];
  onClose: () => void;
}

/** Makes a card for an athlete. */
export default function CardDialog({ combinations, onClose }: Props) {
  const read = useNumbering();
  const create = useCreateCard();
  const navigate = useNavigate();
  const [draft, setDraft] = useState<Draft>({
    name: t`Take home`,
    stance: "orthodox",
    group: "open",
  });
  const [asSession, setAsSession] = useState(false);
  const put = (change: Partial<Draft>) => setDraft((now) => ({ ...now, ...change }));
  if (asSession) {
    return (
      <SessionLinkDialog name={draft.name} of={{ combinations: combinations.map(({ id }) => id) }} onClose={onClose} />
    );
  }
  return (
    <Dialog
      title={t`Card for athletes`}
      onClose={onClose}
      footer={[
        <Button key="cancel" onClick={onClose}>
          <Trans>Cancel</Trans>
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
          <Trans>Make it</Trans>
        </Button>,
      ]}
    >
      <Flex vertical gap="small" className="card-form">
        <p className="small">{combinations.map(({ name }) => name).join(", ")}</p>
        <CardFields draft={draft} onChange={put} />
        <p className="small">
          <Trans>
            The link needs no account and contains no names. It shows the combinations as they are today, and stops
            working once it is revoked.
          </Trans>
        </p>
        <p className="small">
          <button type="button" className="link-button" onClick={() => setAsSession(true)}>
            <Trans>Make a session of it that a phone plays: each is shown, then two minutes of it</Trans>
          </button>
        </p>
        <Failure error={create.error} />
      </Flex>
    </Dialog>
  );
}

interface FieldProps {
  draft: Draft;
  onChange: (change: Partial<Draft>) => void;
}

function CardFields({ draft, onChange }: FieldProps) {
  const read = useNumbering();
  const numberings = useNumberings().data?.numberings ?? [];
  return (
    <>
      <div>
        <span>
          <Trans>Name</Trans>
        </span>
        <Input
          aria-label={t`Name`}
          value={draft.name}
          {...bounds("CardRequest", "name")}
          onChange={(event) => onChange({ name: event.target.value })}
        />
      </div>
      <div>
        <span>
          <Trans>Stance</Trans>
        </span>
        <Segmented
          value={draft.stance ?? "orthodox"}
          onChange={(stance) => onChange({ stance })}
          options={STANCES}
          aria-label={t`Stance`}
        />
      </div>
      <div>
        <span>
          <Trans>Numbers</Trans>
        </span>
        <Select
          value={draft.numbering ?? read}
          onChange={(numbering) => onChange({ numbering })}
          aria-label={t`Numbers`}
          options={numberings.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </div>
      <div>
        <span>
          <Trans>For</Trans>
        </span>
        <Select value={draft.group} onChange={(group) => onChange({ group })} aria-label={t`For`} options={GROUPS} />
      </div>
    </>
  );
}
