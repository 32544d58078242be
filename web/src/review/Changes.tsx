import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { ReactNode } from "react";
import type { Check, Content, Proposal } from "../api/client";
import { ChainDiff } from "../compare/ChainDiff";
import { VerdictMark } from "../ui/VerdictMark";
import { LEVELS, RULES } from "../ui/words";
import "./review.css";

const FIELDS: { name: keyof Content; label: string; show: (content: Content) => ReactNode }[] = [
  { name: "name", label: t`name`, show: (content) => content.name },
  { name: "notation", label: t`chain`, show: (content) => <span className="numbers">{content.text}</span> },
  { name: "stance", label: t`stance`, show: (content) => content.stance },
  {
    name: "rules",
    label: t`rules`,
    show: (content) => RULES.find((rule) => rule.value === content.rules)?.label ?? content.rules,
  },
  { name: "themes", label: t`themes`, show: (content) => content.themes.join(", ") || t`none` },
  {
    name: "level",
    label: t`level`,
    show: (content) => LEVELS.find((level) => level.value === content.level)?.label ?? content.level,
  },
  { name: "note", label: t`note`, show: (content) => content.note || t`none` },
];

/** Compares the current and the proposed version field by field. */
export function Fields({ proposal }: { proposal: Proposal }) {
  const { newest, result, kind } = proposal;
  const shown =
    kind === "change" && newest
      ? FIELDS.filter(({ name }) => JSON.stringify(newest[name]) !== JSON.stringify(result[name]))
      : FIELDS;
  if (shown.length === 0) {
    return (
      <p className="small">
        <Trans>Already applied: the current version is like this.</Trans>
      </p>
    );
  }
  return (
    <table className="proposal-changes">
      <tbody>
        {shown.map(({ name, label, show }) => (
          <tr key={name}>
            <th scope="row">{label}</th>
            {kind === "change" && newest && name === "notation" ? (
              <td colSpan={2}>
                <ChainDiff before={newest.text} after={result.text} />
              </td>
            ) : (
              <>
                {kind === "change" && newest && (
                  <td>
                    <del>{show(newest)}</del>
                  </td>
                )}
                <td>{show(result)}</td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Compares the checks of the current and the proposed version. */
export function CheckBeforeAfter({ before, after }: { before: Check | undefined; after: Check }) {
  const sides: [string, Check][] = before
    ? [
        [t`Current version`, before],
        [t`Proposed`, after],
      ]
    : [[t`The check`, after]];
  return (
    <section className="panel block" aria-label={t`The check before and after`}>
      <h2>
        <Trans>The check{before ? t`, before and after` : ""}</Trans>
      </h2>
      <div className="changes-before-after">
        {sides.map(([title, check]) => (
          <div key={title}>
            <b>{title}</b> {check.verdict && <VerdictMark verdict={check.verdict} />}
            <ul>
              {check.findings
                .filter((finding) => finding.severity !== "credit")
                .map((finding) => (
                  <li key={finding.id + String(finding.at)}>{finding.message}</li>
                ))}
              {check.links
                .filter((link) => link.verdict !== "flows")
                .map((link) => (
                  <li key={link.to}>{link.reason}</li>
                ))}
              {check.mirror?.changes.map((change) => (
                <li key={change.id + String(change.at)}>
                  <Trans>Mirrored: {change.message}</Trans>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}
