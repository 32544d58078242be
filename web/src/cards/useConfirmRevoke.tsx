import { t } from "@lingui/core/macro";
import { Modal } from "antd";
import type { ReactNode } from "react";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";

/** Asks before a link is revoked: athletes have it already. */
export function useConfirmRevoke(name: string, revoke: () => Promise<unknown>): [() => void, ReactNode] {
  const notice = useNotice();
  const [modal, holder] = Modal.useModal();
  const ask = () =>
    void modal.confirm({
      getContainer: layers,
      title: t`Revoke “${name}”?`,
      content: t`The link no longer works for anybody.`,
      okText: t`Revoke it`,
      cancelText: t`Keep it`,
      onOk: () =>
        revoke()
          .then(() => notice.done(t`Revoked. The link no longer works.`))
          .catch(notice.failed),
    });
  return [ask, holder];
}
