import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Fragment } from "react";
import { Link } from "react-router";
import type { Combination, ProposalRow, Version } from "../api/client";
import { useMay } from "../api/session";
import { compareAddress } from "../compare/address";
import { ChainDiff } from "../compare/ChainDiff";
import { useProposals } from "../review/useReview";
import { useNotice } from "../ui/useNotice";
import { dayAndTime } from "../ui/words";
import { useRestoreVersion, useVersions } from "./useCombination";
import "./combination.css";

const CHANGES: Record<Version["change"], string> = {
  created: t`created it`,
  updated: t`changed`,
  archived: t`archived it`,
  restored: t`restored it`,
  "brought-back": t`restored an earlier version:`,
  imported: t`changed by an import:`,
};
const FIELDS = {
  name: t`name`,
  notation: t`chain`,
  stance: t`stance`,
  rules: t`rules`,
  themes: t`themes`,
  level: t`level`,
  note: t`note`,
} as const;

/** Lists every version with its changes. */
export function History({ combination }: { combination: Combination }) {
  const versions = useVersions(combination.id).data?.versions ?? [];
  const mayRestore = useMay("EDIT_LIBRARY");
  const approvals = (useProposals("decided", false, combination.id).data?.proposals ?? []).filter(
    ({ state }) => state === "approved",
  );
  const bringBack = useRestoreVersion(combination.id);
  const notice = useNotice();
  return (
    <section className="panel history" aria-label={t`History`}>
      <h2>
        <Trans>History</Trans>
      </h2>
      <ol>
        {versions.map((version, at) => (
          <Fragment key={version.version}>
            {approvedBetween(approvals, version, versions[at - 1]).map((approval) => (
              <Approval key={approval.id} approval={approval} />
            ))}
            <li>
              <span className="history-when">{dayAndTime(version.createdAt)}</span>
              <span>
                <b>{version.editor.name}</b> {CHANGES[version.change]}{" "}
                <Difference now={version} before={versions[at + 1]} />
                {versions[at + 1] && versions[at + 1]?.notation !== version.notation && (
                  <>
                    {" "}
                    <Link to={compareVersions(versions[at + 1] as Version, version, combination)}>
                      <Trans>compare</Trans>
                    </Link>
                  </>
                )}
                {at > 0 && mayRestore && (
                  <button
                    type="button"
                    className="quiet history-back"
                    onClick={() =>
                      bringBack.mutate(
                        { version: combination.version, back: version.version },
                        {
                          onSuccess: () => notice.done(t`Version ${version.version} is restored, as the newest.`),
                          onError: notice.failed,
                        },
                      )
                    }
                  >
                    <Trans>restore this version</Trans>
                  </button>
                )}
              </span>
            </li>
          </Fragment>
        ))}
      </ol>
    </section>
  );
}

/** Returns the approvals from a version on until the next newer one. */
function approvedBetween(approvals: ProposalRow[], version: Version, newer: Version | undefined): ProposalRow[] {
  return approvals.filter(
    ({ updatedAt }) => updatedAt >= version.createdAt && (newer === undefined || updatedAt < newer.createdAt),
  );
}

/** Who approved a proposal, and with which remark. */
function Approval({ approval }: { approval: ProposalRow }) {
  return (
    <li>
      <span className="history-when">{dayAndTime(approval.updatedAt)}</span>
      <span>
        <b>{approval.answer?.who}</b>{" "}
        <Trans>
          approved <Link to={`/review/${approval.id}`}>the proposal</Link> of {approval.author.name}
        </Trans>
        {approval.answer?.remark && (
          <>
            {": "}
            <q>{approval.answer.remark}</q>
          </>
        )}
      </span>
    </li>
  );
}

function compareVersions(before: Version, now: Version, { id, name }: Combination): string {
  return compareAddress({
    first: before.notation,
    second: now.notation,
    rules: now.rules,
    firstStance: before.stance,
    secondStance: now.stance,
    firstTitle: t`Version ${before.version}`,
    secondTitle: t`Version ${now.version}`,
    from: `/combinations/${id}`,
    fromName: name,
  });
}

/** Returns a field in plain words. */
function shown(version: Version, field: keyof typeof FIELDS): string {
  const value = version[field];
  return Array.isArray(value) ? value.join(", ") || "none" : String(value);
}

function Difference({ now, before }: { now: Version; before: Version | undefined }) {
  if (!before || now.change === "archived" || now.change === "restored") {
    return <b className="history-chain">{now.change === "created" ? now.text : ""}</b>;
  }
  const fields = (Object.keys(FIELDS) as (keyof typeof FIELDS)[]).filter(
    (field) => JSON.stringify(now[field]) !== JSON.stringify(before[field]),
  );
  if (fields.length === 0) {
    return <Trans>nothing</Trans>;
  }
  return (
    <>
      {fields.map((field, at) => (
        <span key={field}>
          {at > 0 && "; "}
          {FIELDS[field]}{" "}
          {field === "note" ? null : field === "notation" ? (
            <ChainDiff before={before.text} after={now.text} />
          ) : (
            <>
              <del>{shown(before, field)}</del> → <b>{shown(now, field)}</b>
            </>
          )}
        </span>
      ))}
    </>
  );
}
