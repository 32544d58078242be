import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import type { Check, CheckRequest, Mend } from "../api/client";
import { useCheck } from "../check/useCheck";
import { Compare } from "../compare/Compare";
import { Dialog } from "../ui/Dialog";
import { Loading } from "../ui/Loading";

interface Props {
  check: Check | undefined;
  mend: Mend | null;
  request: CheckRequest;
  onMend: (mend: Mend) => void;
  onClose: () => void;
}

/** A preview of a mend: the chain before and after on one time axis. */
export function MendCompare({ check, mend, request, onMend, onClose }: Props) {
  const mended = useCheck({ ...request, text: mend?.text ?? "" });
  const ready = mend && check && mended.current && mended.readable;
  return (
    <Dialog
      open={mend !== null}
      title={mend?.words}
      width={980}
      onClose={onClose}
      footer={[
        <Button key="close" onClick={onClose}>
          <Trans>Cancel</Trans>
        </Button>,
        <Button key="mend" type="primary" disabled={!ready} onClick={() => mend && onMend(mend)}>
          <Trans>Apply</Trans>
        </Button>,
      ]}
    >
      {ready && mended.readable ? (
        <Compare
          first={{ title: t`Unchanged`, check, stance: request.stance ?? "orthodox" }}
          second={{ title: t`Mended`, check: mended.readable, stance: request.stance ?? "orthodox" }}
        />
      ) : (
        <Loading what={t`Checking the mend`} />
      )}
    </Dialog>
  );
}
