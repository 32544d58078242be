import { Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import type { Proposal } from "../api/client";

interface Props {
  name: string | undefined;
  combinationId: number | null;
  proposal: Proposal | null;
  untouched: boolean;
  /** Discards the changes; undo brings them back. */
  onDiscard: () => void;
}

/** Names the combination or proposal that is being changed; nothing for a new one. */
export function WhatIsChanged({ name, combinationId, proposal, untouched, onDiscard }: Props) {
  return proposal ? (
    <span className="bench-name">
      <Trans>
        proposal <Link to={`/review/${proposal.id}`}>{name}</Link>
      </Trans>
    </span>
  ) : combinationId === null ? null : (
    <span className="bench-name">
      <Link to={`/combinations/${combinationId}`}>{name}</Link>
      {!untouched && (
        <>
          <Trans> · not saved yet </Trans>
          <button type="button" className="link-button" onClick={onDiscard}>
            <Trans>Discard my changes</Trans>
          </button>
        </>
      )}
    </span>
  );
}
