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
      proposal <Link to={`/review/${proposal.id}`}>{name}</Link>
    </span>
  ) : combinationId === null ? null : (
    <span className="bench-name">
      <Link to={`/combinations/${combinationId}`}>{name}</Link>
      {!untouched && (
        <>
          {" "}
          · not saved yet{" "}
          <button type="button" className="link-button" onClick={onDiscard}>
            Discard my changes
          </button>
        </>
      )}
    </span>
  );
}
