import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { CombinationRow } from "../api/client";
import { useMay } from "../api/session";
import { CombinationLine } from "../combination-line/CombinationLine";
import { type Pair, useBulk, useMerge, useNearDuplicates } from "../library-search/useLibrary";
import { Loaded } from "../ui/Loaded";
import { Pages } from "../ui/Pages";
import { Trail } from "../ui/Trail";
import { useNotice } from "../ui/useNotice";
import { VerdictMark } from "../ui/VerdictMark";
import "./library.css";

/** Number of pairs on a page. */
const PAGE_SIZE = 15;

/** Pairs of combinations that may be duplicates, closest first; the coach keeps one or both. */
export default function NearDuplicatesScreen() {
  const found = useNearDuplicates();
  const pairs = found.data?.pairs ?? [];
  const [chosen, setPage] = useState(1);
  // The last page may have been emptied by merging.
  const page = Math.min(chosen, Math.max(1, Math.ceil(pairs.length / PAGE_SIZE)));
  return (
    <main className="page">
      <Trail to="/library" place={t`Library`} name={t`Near duplicates`} />
      <h1>
        <Trans>Near duplicates</Trans>
      </h1>
      <p className="small">
        <Trans>
          Chains that differ by one item, by a target or by effort alone. Merging keeps one of the two, with the themes
          and the note of both; the other is archived and can be restored.
        </Trans>
      </p>
      <Loaded query={found} what={t`Comparing the library`} />
      {found.data && pairs.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>No two are that close</Trans>
          </h2>
          <p>
            <Trans>Every combination of the library differs from every other by more than one item.</Trans>
          </p>
        </div>
      )}
      <Flex component="ol" vertical gap="small" className="pairs">
        {pairs.slice((page - 1) * PAGE_SIZE, page * PAGE_SIZE).map((pair) => (
          <li key={`${pair.one.id} ${pair.other.id}`} className="panel">
            <OnePair pair={pair} />
          </li>
        ))}
      </Flex>
      <Pages page={page} size={PAGE_SIZE} total={pairs.length} onPage={setPage} />
    </main>
  );
}

function OnePair({ pair }: { pair: Pair }) {
  const mayMerge = useMay("EDIT_LIBRARY");
  const merge = useMerge();
  const bulk = useBulk();
  const notice = useNotice();
  const keep = (kept: CombinationRow, dropped: CombinationRow) =>
    merge.mutate(
      { keep: kept.id, keepVersion: kept.version, drop: dropped.id, dropVersion: dropped.version },
      {
        onSuccess: () => notice.done(t`“${kept.name}” is kept; “${dropped.name}” is archived and can be restored.`),
        onError: notice.failed,
      },
    );
  const archive = (row: CombinationRow) =>
    bulk.mutate(
      { action: "archive", combinations: [{ id: row.id, version: row.version }] },
      {
        onSuccess: ({ combinations }) =>
          notice.undo(t`“${row.name}” is archived.`, () =>
            bulk.mutate({ action: "restore", combinations }, { onError: notice.failed }),
          ),
        onError: notice.failed,
      },
    );
  const sides: [CombinationRow, CombinationRow][] = [
    [pair.one, pair.other],
    [pair.other, pair.one],
  ];
  return (
    <>
      <p className="pair-words">
        <Trans>
          “{pair.one.name}” is {pair.words} “{pair.other.name}”
        </Trans>
      </p>
      {sides.map(([row, other]) => (
        <div key={row.id} className="pair-side">
          <span className="cell-name">
            <Link to={`/combinations/${row.id}`}>{row.name}</Link>
            <small>{row.themes.join(" · ") || t`no themes`}</small>
          </span>
          <span className="pair-line">
            <CombinationLine drawing={row.line} width={320} name={row.name} />
          </span>
          <b className="numbers">{row.text}</b>
          <VerdictMark verdict={row.verdict} />
          {mayMerge && (
            <Flex component="span" wrap gap="small" className="pair-ways">
              <Button size="small" loading={merge.isPending} onClick={() => keep(row, other)}>
                <Trans>Keep this, merge the other in</Trans>
              </Button>
              <Button size="small" onClick={() => archive(row)}>
                <Trans>Archive this</Trans>
              </Button>
            </Flex>
          )}
        </div>
      ))}
    </>
  );
}
