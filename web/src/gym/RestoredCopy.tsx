import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import type { GymSummary, Status } from "../api/client";
import { dayAndTime } from "../ui/words";

/** Maximum number of names listed for each side. */
const MAX_NAMES = 30;

interface Props {
  copy: NonNullable<Status["copy"]>;
  now: GymSummary;
  busy: boolean;
  onTake: () => void;
  onDiscard: () => void;
}

/** Compares a restored backup with the gym in use: what it contains, and what would be added or lost. */
export function RestoredCopy({ copy, now, busy, onTake, onDiscard }: Props) {
  const { summary } = copy;
  const back = summary.combinations.filter((name) => !now.combinations.includes(name));
  const gone = now.combinations.filter((name) => !summary.combinations.includes(name));
  return (
    <section className="panel block restored-copy" aria-label={t`Restored copy`}>
      <h2>
        <Trans>Copy of {dayAndTime(copy.made)}</Trans>
      </h2>
      <p className="small">
        <Trans>The gym itself has not changed. Review the copy, then replace the gym with it or delete it.</Trans>
      </p>
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">{summary.name}</th>
            <th scope="col">
              <Trans>Copy</Trans>
            </th>
            <th scope="col">
              <Trans>Now</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {Object.entries(summary.counts).map(([what, count]) => (
            <tr key={what}>
              <td>{what}</td>
              <td className="numbers">{count}</td>
              <td className="numbers">{now.counts[what] ?? 0}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Names title={t`Combinations that would be added`} names={back} />
      <Names title={t`Combinations that would be lost`} names={gone} />
      <Flex wrap align="center" gap="small" className="form-row">
        <Button type="primary" danger disabled={busy} onClick={onTake}>
          <Trans>Replace the gym with it</Trans>
        </Button>
        <Button disabled={busy} onClick={onDiscard}>
          <Trans>Delete the copy</Trans>
        </Button>
      </Flex>
    </section>
  );
}

function Names({ title, names }: { title: string; names: string[] }) {
  const more = names.length - MAX_NAMES;
  return names.length === 0 ? null : (
    <p>
      <b>{title}:</b> {names.slice(0, MAX_NAMES).join(", ")}
      {more > 0 && t` and ${more} more`}
    </p>
  );
}
