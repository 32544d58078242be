import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { Link } from "react-router";
import { refusal } from "../api/client";
import { Alert } from "../ui/Alert";
import { Failure } from "../ui/Failure";
import type { Doing, Saving } from "./useSaving";

export const SAVE_WORDS: Record<Doing, { isNew: string; change: string; button: string }> = {
  save: { isNew: t`Save into the library`, change: t`Save the change`, button: t`Save` },
  propose: { isNew: t`Propose for the library`, change: t`Propose the change`, button: t`Propose` },
  approve: { isNew: t`Approve with this edit`, change: t`Approve with this edit`, button: t`Approve` },
  revise: { isNew: t`Revise the proposal`, change: t`Revise the proposal`, button: t`Send the revision` },
};

interface Props {
  saving: Saving;
  isNew: boolean;
  isNameMissing: boolean;
  isDisabled: boolean;
}

/** The button that saves, and why it was refused or waits. */
export function SaveFoot({ saving, isNew, isNameMissing, isDisabled }: Props) {
  const { doing, isWaiting, refused } = saving;
  const existing = refused ? refusal(refused).existing : undefined;
  return (
    <Flex vertical gap="small" className="save-foot">
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
          role="status"
          title={t`There is no connection. It is saved once, as soon as the server is back and has checked it.`}
          action={
            <Button onClick={saving.giveUp}>
              <Trans>Discard it</Trans>
            </Button>
          }
        />
      )}
      <Button type="primary" htmlType="submit" loading={saving.sending} form="save-form" disabled={isDisabled}>
        {doing === "save" && !isNew ? t`Save the change` : SAVE_WORDS[doing].button}
      </Button>
      {isNameMissing && (
        <p className="save-missing" role="alert">
          <Trans>Give it a name first.</Trans>
        </p>
      )}
    </Flex>
  );
}
