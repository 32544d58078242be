import { Button, Input, Popover } from "antd";
import { lazy, Suspense, useState } from "react";
import type { CombinationRow } from "../api/client";
import { useIsHeadCoach } from "../api/session";
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
  const head = useIsHeadCoach();
  const bulk = useBulk();
  const notice = useNotice();
  const [theme, setTheme] = useState("");
  const [card, setCard] = useState(false);
  if (chosen.length === 0) {
    return null;
  }
  const many = `${chosen.length} ${chosen.length === 1 ? "combination" : "combinations"}`;
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
    <section className="panel chosen-bar" aria-label="With what is chosen">
      <b role="status">{many} chosen</b>
      {head && !archived && (
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
                  aria-label="Theme for all of them"
                  placeholder="Theme"
                />
                <Button type="primary" htmlType="submit" disabled={theme.trim() === ""}>
                  Tag
                </Button>
                <Button disabled={theme.trim() === ""} onClick={() => run("untag")}>
                  Take the tag away
                </Button>
              </form>
            }
          >
            <Button>Tag…</Button>
          </Popover>
          <Button loading={bulk.isPending} onClick={() => run("archive")}>
            Archive
          </Button>
        </>
      )}
      {head && archived && (
        <Button loading={bulk.isPending} onClick={() => run("restore")}>
          Restore
        </Button>
      )}
      {chosen.length <= paper ? (
        <>
          <Button href={`/api/cards.pdf?${query}`}>Print cards</Button>
          <Button href={`/api/wall-sheet.pdf?${query}`}>Print a wall sheet</Button>
        </>
      ) : (
        <span className="small">Paper holds {paper} of them at most.</span>
      )}
      {!archived && chosen.length <= onCard && <Button onClick={() => setCard(true)}>Card for athletes</Button>}
      {card && (
        <Suspense>
          <CardDialog combinations={chosen} onClose={() => setCard(false)} />
        </Suspense>
      )}
      <Button type="text" onClick={() => onChoose([])}>
        Choose none
      </Button>
    </section>
  );
}
