import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Input, Popover } from "antd";
import { lazy, Suspense, useState } from "react";
import type { CombinationRow } from "../api/client";
import { useMay } from "../api/session";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";
import { type BulkAction, useBulk } from "./useLibrary";

/** Loaded on demand, because the library is the first page. */
const CardDialog = lazy(() => import("../cards/CardDialog"));
const DONE: Record<BulkAction, string> = {
  archive: "archived",
  restore: "restored",
  tag: "tagged",
  untag: "untagged",
};
const UNDOES: Record<BulkAction, BulkAction> = { archive: "restore", restore: "archive", tag: "untag", untag: "tag" };

interface Props {
  chosen: CombinationRow[];
  /** Whether the chosen combinations are archived. */
  archived: boolean;
  /** The maximum number for printing. */
  paper: number;
  /** The maximum number for an athlete's card. */
  onCard: number;
  onChoose: (rows: CombinationRow[]) => void;
}

/** The actions for several combinations; shown at the foot of the page while some are selected. */
export function BulkBar({ chosen, archived, paper, onCard, onChoose }: Props) {
  const mayEdit = useMay("EDIT_LIBRARY");
  const bulk = useBulk();
  const notice = useNotice();
  const [theme, setTheme] = useState("");
  const [card, setCard] = useState(false);
  if (chosen.length === 0) {
    return null;
  }
  const many = plural(chosen.length, { one: "# combination", other: "# combinations" });
  const run = (action: BulkAction) => {
    const combinations = chosen.map(({ id, version }) => ({ id, version }));
    bulk.mutate(
      { action, combinations, theme },
      {
        onSuccess: (done) => {
          // A combination that had the theme before keeps it when the tag is removed.
          const had =
            action === "tag" ? new Set(chosen.filter((row) => row.themes.includes(theme)).map(({ id }) => id)) : null;
          const back = done.combinations.filter(({ id }) => !had?.has(id));
          notice.undo(
            `${many} ${DONE[action]}.`,
            () =>
              back.length > 0 &&
              bulk.mutate({ action: UNDOES[action], combinations: back, theme }, { onError: notice.failed }),
          );
          onChoose([]);
          setTheme("");
        },
        onError: notice.failed,
      },
    );
  };
  const ids = chosen.map(({ id }) => id).join(",");
  const query = `ids=${ids}${archived ? "&archived=true" : ""}`;
  return (
    <section className="panel chosen-bar" aria-label={t`With what is chosen`}>
      <b role="status">
        <Trans>{many} chosen</Trans>
      </b>
      {mayEdit && !archived && (
        <>
          <Popover
            trigger="click"
            getPopupContainer={layers}
            content={
              <form
                className="bulk-tag"
                onSubmit={(event) => {
                  event.preventDefault();
                  run("tag");
                }}
              >
                <Input
                  value={theme}
                  maxLength={40}
                  onChange={(event) => setTheme(event.target.value.toLowerCase())}
                  aria-label={t`Theme for all of them`}
                  placeholder={t`Theme`}
                />
                <Button type="primary" htmlType="submit" disabled={theme.trim() === ""}>
                  <Trans>Tag</Trans>
                </Button>
                <Button disabled={theme.trim() === ""} onClick={() => run("untag")}>
                  <Trans>Remove the tag</Trans>
                </Button>
              </form>
            }
          >
            <Button>
              <Trans>Tag…</Trans>
            </Button>
          </Popover>
          <Button loading={bulk.isPending} onClick={() => run("archive")}>
            <Trans>Archive</Trans>
          </Button>
        </>
      )}
      {mayEdit && archived && (
        <Button loading={bulk.isPending} onClick={() => run("restore")}>
          <Trans>Restore</Trans>
        </Button>
      )}
      {chosen.length <= paper ? (
        <>
          <Button href={`/api/cards.pdf?${query}`}>
            <Trans>Print cards</Trans>
          </Button>
          <Button href={`/api/wall-sheet.pdf?${query}`}>
            <Trans>Print a wall sheet</Trans>
          </Button>
        </>
      ) : (
        <span className="small">
          <Trans>Paper holds {paper} of them at most.</Trans>
        </span>
      )}
      {!archived && chosen.length <= onCard && (
        <Button onClick={() => setCard(true)}>
          <Trans>Card for athletes</Trans>
        </Button>
      )}
      {card && (
        <Suspense>
          <CardDialog combinations={chosen} onClose={() => setCard(false)} />
        </Suspense>
      )}
      <Button type="text" onClick={() => onChoose([])}>
        <Trans>Choose none</Trans>
      </Button>
    </section>
  );
}
