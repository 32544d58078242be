import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { QrCode } from "../ui/QrCode";

interface Props {
  address: string;
  name: string;
  /** Whether it is open from the start. */
  isOpen: boolean;
}

/** The address of a card or of a session at home, as a code for a phone to scan. */
export function CodeToScan({ address, name, isOpen }: Props) {
  return (
    <details className="card-code" open={isOpen}>
      <summary>
        <Trans>Code to scan</Trans>
      </summary>
      <QrCode address={address} label={t`Address of ${name}`} />
    </details>
  );
}
