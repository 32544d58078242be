import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { memo } from "react";
import type { Check, Finding, Mend, Mends } from "../api/client";
import { Toolbar } from "../ui/Toolbar";
import { VerdictMark } from "../ui/VerdictMark";
import { SEVERITIES, seconds } from "../ui/words";
import { MendList } from "./MendList";
import "./check.css";

interface Props {
  check: Check;
  selected: number | null;
  onSelect: (at: number | null) => void;
  /** The mends; without them none are offered. */
  mends?: Mends | undefined;
  onMend?: (mend: Mend) => void;
  onCompare?: (mend: Mend) => void;
}

/** The result of a check: waits with their mends first, then findings by severity, then credits. */
export const Findings = memo(function Findings({ check, selected, onSelect, mends, onMend, onCompare }: Props) {
  const waits = check.links.filter((link) => link.verdict !== "flows");
  const offer = (list: Mend[] | undefined, name: string, complete = true) =>
    list && list.length > 0 && onMend && onCompare ? (
      <MendList
        mends={list}
        lengthMs={check.lengthMs ?? 0}
        complete={complete}
        name={name}
        onMend={onMend}
        onCompare={onCompare}
      />
    ) : null;
  return (
    <section className="panel findings" aria-label={t`What the check says`}>
      <header>
        {check.verdict && <VerdictMark verdict={check.verdict} />}
        <span>
          {seconds(check.lengthMs ?? 0)}
          {waits.length > 0 && (
            <small>
              {" "}
              <Trans>· {waits.reduce((sum, link) => sum + link.waitMs, 0)} ms of waiting</Trans>
            </small>
          )}
        </span>
      </header>
      {check.summary && <p className="summary">{check.summary}</p>}
      {waits.length > 0 && (
        <Toolbar label={t`Waits`} className="waits">
          {waits.map((link) => (
            <div key={link.to} className={`finding finding-${link.verdict}`}>
              <button type="button" aria-pressed={selected === link.to} onClick={() => onSelect(link.to)}>
                <b>
                  <Trans>
                    {check.items[link.from]?.text} → {check.items[link.to]?.text}: {link.verdict}, +{link.waitMs} ms
                  </Trans>
                </b>
                <span>{link.reason}</span>
              </button>
            </div>
          ))}
        </Toolbar>
      )}
      <ul>
        {mends && mends.mends.length > 0 && (
          <li className="finding finding-mends">
            <b className="mends-head">
              <Trans>Fix it</Trans>
            </b>
            {offer(mends.mends, t`Mends of the chain`, mends.complete)}
          </li>
        )}
        {check.findings.map((finding) => (
          <li key={`${finding.id}-${finding.at}`} className={`finding finding-${finding.severity}`}>
            <button
              type="button"
              aria-pressed={finding.at !== null && selected === finding.at}
              onClick={() => onSelect(finding.at)}
            >
              <span>
                <em>{SEVERITIES[finding.severity]}</em>
                {finding.message}
              </span>
            </button>
            <MorePlaces {...{ check, finding, selected, onSelect }} />
            {offer(
              // What breaks the chain is mended above.
              finding.severity === "must" && mends?.mends.length
                ? undefined
                : mends?.findings.find((of) => of.id === finding.id && of.at === finding.at)?.mends.slice(0, 2),
              t`Mends: ${finding.message}`,
            )}
          </li>
        ))}
      </ul>
      <Measures check={check} onSelect={onSelect} />
    </section>
  );
});

/** The other places of a finding, each of which can be shown on the line. */
function MorePlaces({
  check,
  finding,
  selected,
  onSelect,
}: Pick<Props, "check" | "selected" | "onSelect"> & { finding: Finding }) {
  const more = finding.places.slice(1);
  return more.length === 0 ? null : (
    <p className="more-places">
      <Trans>as well: </Trans>
      {more.map((at) => (
        <button key={at} type="button" className="chip" aria-pressed={selected === at} onClick={() => onSelect(at)}>
          {check.items[at]?.text}
        </button>
      ))}
    </p>
  );
}

/** How close the hips come to the edge of the feet, the chain as a loop, and its difficulty with the reasons. */
function Measures({ check, onSelect }: Pick<Props, "check" | "onSelect">) {
  const { balance, level, loop } = check;
  const at = balance?.leastAt ?? null;
  return (
    <dl className="measures">
      {balance && at !== null && !balance.overcommitted && (
        <div>
          <dt>
            <Trans>Balance</Trans>
          </dt>
          <dd>
            <button type="button" onClick={() => onSelect(at)}>
              <Trans>
                {balance.leastCm < 0
                  ? t`At the edge of the feet`
                  : t`${balance.leastCm.toFixed(0)} cm margin, tightest`}{" "}
                on the {check.items[at]?.words}
              </Trans>
            </button>
          </dd>
        </div>
      )}
      {loop && (
        <div>
          <dt>
            <Trans>As a loop</Trans>
          </dt>
          <dd>
            {loop.verdict === "flows" ? (
              <Trans>flows from the end back to the start</Trans>
            ) : (
              <Trans>
                {loop.verdict} back to the start, +{loop.waitMs} ms. {loop.reason}
              </Trans>
            )}
          </dd>
        </div>
      )}
      {level && (
        <div>
          <dt>
            <Trans>Level {level.level}</Trans>
          </dt>
          <dd>
            {level.reasons.length === 0
              ? t`nothing makes it hard`
              : level.reasons
                  .slice(0, 4)
                  .map((reason) => reason.message)
                  .join(", ")}
          </dd>
        </div>
      )}
    </dl>
  );
}
