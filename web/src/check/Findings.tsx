import type { Check, Finding } from "../api/client";
import { VerdictMark } from "../app/VerdictMark";
import { seconds } from "../app/words";

const WORDS: Record<Finding["severity"], string> = { must: "must", should: "should", hint: "hint", credit: "good" };

interface Props {
  check: Check;
  selected: number | null;
  onSelect: (at: number | null) => void;
}

/** A long chain earns the same credit many times; it is said once, with its count. */
function grouped(findings: Finding[]): { finding: Finding; times: number }[] {
  const rows: { finding: Finding; times: number }[] = [];
  for (const finding of findings) {
    const same = finding.severity === "credit" ? rows.find((row) => row.finding.id === finding.id) : undefined;
    if (same) {
      same.times += 1;
    } else {
      rows.push({ finding, times: 1 });
    }
  }
  return rows;
}

/** What the check says: waits first, then findings by weight, then what is good. */
export function Findings({ check, selected, onSelect }: Props) {
  const waits = check.links.filter((link) => link.verdict !== "flows");
  return (
    <section className="panel findings" aria-label="What the check says">
      <header>
        {check.verdict && <VerdictMark verdict={check.verdict} />}
        <span>
          {seconds(check.lengthMs ?? 0)}
          {waits.length > 0 && <small> · {waits.reduce((sum, link) => sum + link.waitMs, 0)} ms of waiting</small>}
        </span>
      </header>
      <ul>
        {waits.map((link) => (
          <li key={link.to} className={`finding finding-${link.verdict}`}>
            <button type="button" aria-pressed={selected === link.to} onClick={() => onSelect(link.to)}>
              <b>
                {check.items[link.from]?.text} → {check.items[link.to]?.text}: {link.verdict}, +{link.waitMs} ms
              </b>
              <span>{link.reason}</span>
            </button>
          </li>
        ))}
        {waits.length === 0 && check.items.length > 1 && (
          <li className="finding finding-flows">
            <p>
              <b>Every link flows</b>
              <span>Weight and hips arrive where each next strike needs them.</span>
            </p>
          </li>
        )}
        {grouped(check.findings).map(({ finding, times }) => (
          <li key={`${finding.id}-${finding.at}`} className={`finding finding-${finding.severity}`}>
            <button
              type="button"
              aria-pressed={finding.at !== null && selected === finding.at}
              onClick={() => onSelect(finding.at)}
            >
              <span>
                <em>{WORDS[finding.severity]}</em>
                {finding.message}
                {times > 1 && <small> and {times - 1} more like it</small>}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
