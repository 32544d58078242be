import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { keepPreviousData, useMutation, useQueryClient } from "@tanstack/react-query";
import { Flex, Select } from "antd";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { answered, api, server } from "../api/client";
import { useMay } from "../api/session";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { Pages } from "../ui/Pages";
import { useNotice } from "../ui/useNotice";
import { dayAndTime } from "../ui/words";

const KINDS = [
  { value: "", label: t`Every change` },
  { value: "combination", label: t`Combinations` },
  { value: "proposal", label: t`Proposals` },
  { value: "library", label: t`Imports` },
  { value: "rules", label: t`House rules` },
  { value: "numbering", label: t`Numbering` },
  { value: "gym", label: t`Settings and voice` },
  { value: "coach", label: t`Coaches` },
  { value: "sign-in", label: t`Sign-ins` },
];

/** Lists everything that changed the library or the gym. */
export default function AuditScreen() {
  const [address, setAddress] = useSearchParams();
  const page = Number(address.get("page")) || 1;
  const what = address.get("what") ?? "";
  const log = useAuditLog(page, what);
  const entries = log.data?.entries ?? [];
  return (
    <main className="page">
      <GymNav />
      <Flex wrap align="center" gap="small" className="form-row">
        <h1>
          <Trans>Audit log</Trans>
        </h1>
        <Select
          value={what}
          onChange={(value) =>
            setAddress(value === "" ? {} : { what: value }, { replace: true, preventScrollReset: true })
          }
          options={KINDS}
          aria-label={t`Which entries`}
          style={{ width: 160 }}
        />
        <span className="small" role="status">
          {log.data ? plural(log.data.total, { one: "# entry", other: "# entries" }) : ""}
        </span>
      </Flex>
      <Loaded query={log} what={t`Loading the audit log`} />
      {log.data && entries.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>Nothing is recorded yet</Trans>
          </h2>
          <p>
            <Trans>
              Every change of the library, the numbering, the rules and the coaches is listed here with its author.
            </Trans>
          </p>
        </div>
      )}
      {entries.length > 0 && <Entries entries={entries} />}
      {log.data && (
        <Pages
          page={page}
          size={log.data.size}
          total={log.data.total}
          onPage={(to) =>
            setAddress((now) => {
              now.set("page", String(to));
              return now;
            })
          }
        />
      )}
    </main>
  );
}

function useAuditLog(page: number, what: string) {
  return server.useQuery(
    "get",
    "/api/audit-log",
    { params: { query: { page, what } } },
    { placeholderData: keepPreviousData, staleTime: 0 },
  );
}

/** Undoes a change of the whole gym; house rules are previewed first. */
function UndoEntry({ entry }: { entry: Entry }) {
  const mayUndo = useMay("MANAGE_GYM");
  const [asks, setAsks] = useState(false);
  const queries = useQueryClient();
  const notice = useNotice();
  const undo = useMutation({
    mutationFn: () => answered(api.POST("/api/audit-log/{id}/undo", { params: { path: { id: entry.id } } })),
    onSuccess: () => {
      notice.done(t`Undone.`);
      return queries.invalidateQueries();
    },
    onError: notice.failed,
    onSettled: () => setAsks(false),
  });
  if (!mayUndo) {
    return null;
  }
  if (entry.what === "rules.saved") {
    return (
      <Link to={`/${entry.subject}&undo=${entry.id}`}>
        <Trans>undo…</Trans>
      </Link>
    );
  }
  return (
    <>
      <button type="button" className="link-button" onClick={() => setAsks(true)}>
        <Trans>undo…</Trans>
      </button>
      <ConfirmDialog
        isOpen={asks}
        title={t`Undo this change?`}
        action={t`Undo`}
        isRunning={undo.isPending}
        onConfirm={() => undo.mutate()}
        onClose={() => setAsks(false)}
      >
        <Trans>
          {entry.who} {entry.says}. It goes back to what it was before, for every coach and on all walls.
        </Trans>
      </ConfirmDialog>
    </>
  );
}

type Entry = NonNullable<ReturnType<typeof useAuditLog>["data"]>["entries"][number];

function Entries({ entries }: { entries: Entry[] }) {
  return (
    <div className="panel plain-scroll">
      <table className="plain-table">
        <tbody>
          {entries.map((entry) => (
            <tr key={entry.id}>
              <td className="small">{dayAndTime(entry.at)}</td>
              <td>
                <b>{entry.who}</b> <span translate="no">{entry.says}</span>
              </td>
              <td className="audit-actions">
                {entry.canUndo && <UndoEntry entry={entry} />}
                {entry.subject && (
                  <Link to={`/${entry.subject}`}>
                    <Trans>open</Trans>
                  </Link>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
