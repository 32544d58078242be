import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Combination } from "../api/client";
import { useMay } from "../api/session";
import { useNotice } from "../ui/useNotice";
import { day } from "../ui/words";
import { useOffering, useSharing } from "./useOffers";
import "./offers.css";

/** Says which gym a combination came from, and whether this one offers it to others. */
export function CombinationSharing({ combination }: { combination: Combination }) {
  const sharing = useSharing(combination.id).data;
  const mayOffer = useMay("MANAGE_GYM");
  const change = useOffering();
  const notice = useNotice();
  if (!sharing) {
    return null;
  }
  const { origin, isOffered, themes } = sharing;
  const offer = (next: boolean) =>
    change.mutate(
      { kind: "combination", subject: String(combination.id), isOffered: next },
      {
        onSuccess: () => notice.done(next ? t`It is offered to other gyms.` : t`It is no longer offered by itself.`),
        onError: notice.failed,
      },
    );
  return (
    <span className="small combination-sharing">
      {origin && (
        <span>
          <Trans>
            From {origin.gym}, taken over by {origin.who}, {day(origin.at)}.
          </Trans>
        </span>
      )}
      {themes.length > 0 && (
        <span>
          <Trans>Offered to other gyms by its theme {themes.join(", ")}.</Trans>
        </span>
      )}
      {isOffered && (
        <span>
          <Trans>Offered to other gyms.</Trans>
        </span>
      )}
      {mayOffer && !combination.archivedAt && (isOffered || themes.length === 0) && (
        <button type="button" className="link-button" disabled={change.isPending} onClick={() => offer(!isOffered)}>
          {isOffered ? t`Stop offering it` : t`Offer it to other gyms`}
        </button>
      )}
    </span>
  );
}
