import { t } from "@lingui/core/macro";

/** What a report says should be looked at; nothing without findings. */
export function Findings({ findings }: { findings: string[] }) {
  return findings.length === 0 ? null : (
    <section className="panel block report-findings" aria-label={t`To be reviewed`}>
      <ul>
        {findings.map((finding) => (
          <li key={finding}>{finding}</li>
        ))}
      </ul>
    </section>
  );
}
