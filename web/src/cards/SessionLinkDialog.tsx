import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { bounds } from "../api/bounds";
import { DayField } from "../ui/DayField";
import { Dialog } from "../ui/Dialog";
import { Failure } from "../ui/Failure";
import { todayInGym } from "../ui/words";
import { useCreateSessionLink } from "./useSessionLinks";
import "./cards.css";

/** Days for which a link opens unless the coach says otherwise. */
const USUAL_DAYS = 28;

interface Props {
  name: string;
  /** The plan, or the card or combinations that are repeated one after the other. */
  of: { plan: number } | { card: number } | { combinations: number[] };
  onClose: () => void;
}

/** Makes a link under which athletes do a session alone. */
export default function SessionLinkDialog({ name: usual, of, onClose }: Props) {
  const create = useCreateSessionLink();
  const navigate = useNavigate();
  const [name, setName] = useState(usual);
  const [endsOn, setEndsOn] = useState(() => daysFrom(todayInGym(), USUAL_DAYS));
  return (
    <Dialog
      title={t`Session to do at home`}
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
            create.mutate({ name, endsOn, ...of }, { onSuccess: ({ id }) => navigate(`/cards?link=${id}`) })
          }
        >
          <Trans>Make the link</Trans>
        </Button>,
      ]}
    >
      <Flex vertical gap="small" className="card-form">
        <div>
          <span>
            <Trans>Name</Trans>
          </span>
          <Input
            aria-label={t`Name`}
            value={name}
            {...bounds("SessionLinkRequest", "name")}
            onChange={(event) => setName(event.target.value)}
          />
        </div>
        <div>
          <span>
            <Trans>Opens until</Trans>
          </span>
          <DayField value={endsOn} onChange={(day) => day && setEndsOn(day)} aria-label={t`Opens until`} />
        </div>
        <p className="small">
          <Trans>
            A phone plays it without an account and without a coach: clock, line, calls and voice, in the athlete’s own
            stance and numbers. It stays as it is now, can be revoked, and counts how often somebody came to its end,
            without names.
          </Trans>
        </p>
        <Failure error={create.error} />
      </Flex>
    </Dialog>
  );
}

/** Returns the day that many days later, such as 2026-12-29. */
function daysFrom(day: string, days: number): string {
  const later = new Date(`${day}T12:00:00Z`);
  later.setUTCDate(later.getUTCDate() + days);
  return later.toISOString().slice(0, 10);
}
