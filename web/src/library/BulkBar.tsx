import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Popover } from "antd";
import { lazy, Suspense, useState } from "react";
import { Link } from "react-router";
import { bounds } from "../api/bounds";
import type { CombinationRow } from "../api/client";
import { useMay } from "../api/session";
import { compareAddress } from "../compare/address";
import { type BulkAction, useBulk } from "../library-search/useLibrary";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";

/** Loaded on demand, because the library is the first page. */
const CardDialog = lazy(() => import("../cards/CardDialog"));
const AddToSession = lazy(() => import("../sessions/AddToSession"));
const StartDialog = lazy(() => import("../run/StartDialog").then((part) => ({ default: part.StartDialog })));

/** Returns the URL of the comparison of two combinations, each in the stance it was written for. */
function compareAddressOf([first, second]: [CombinationRow, CombinationRow]): string {
  return compareAddress({
    first: first.notation,
    second: second.notation,
    rules: first.rules,
    firstStance: first.stance,
    secondStance: second.stance,
    firstTitle: first.name,
    secondTitle: second.name,
    from: window.location.pathname + window.location.search,
    fromName: t`Library`,
  });
}
const said = (count: number): Record<BulkAction, string> => ({
  archive: t`${plural(count, { one: "# combination", other: "# combinations" })} archived.`,
  restore: t`${plural(count, { one: "# combination", other: "# combinations" })} restored.`,
  tag: t`${plural(count, { one: "# combination", other: "# combinations" })} tagged.`,
  untag: t`${plural(count, { one: "# combination is", other: "# combinations are" })} without the tag.`,
});
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
  const [theme, setTheme] = useState("");
  const { run, isRunning } = useRun(chosen, theme, () => {
    onChoose([]);
    setTheme("");
  });
  const [dialog, setDialog] = useState<"card" | "session" | "wall" | null>(null);
  const close = () => setDialog(null);
  if (chosen.length === 0) {
    return null;
  }
  const many = plural(chosen.length, { one: "# combination", other: "# combinations" });
  const ids = chosen.map(({ id }) => id).join(",");
  return (
    <Flex
      component="section"
      wrap
      align="center"
      gap="small"
      className="panel chosen-bar"
      aria-label={t`With what is chosen`}
    >
      <b role="status">
        <Trans>{many} chosen</Trans>
      </b>
      {mayEdit && !archived && (
        <>
          <Popover
            trigger="click"
            getPopupContainer={layers}
            content={<TagForm theme={theme} onTheme={setTheme} onTag={() => run("tag")} onUntag={() => run("untag")} />}
          >
            <Button>
              <Trans>Tag…</Trans>
            </Button>
          </Popover>
          <Button loading={isRunning} onClick={() => run("archive")}>
            <Trans>Archive</Trans>
          </Button>
        </>
      )}
      {mayEdit && archived && (
        <Button loading={isRunning} onClick={() => run("restore")}>
          <Trans>Restore</Trans>
        </Button>
      )}
      <PaperButtons count={chosen.length} paper={paper} query={`ids=${ids}${archived ? "&archived=true" : ""}`} />
      {!archived && (
        <>
          <Button onClick={() => setDialog("session")}>
            <Trans>Add to a session</Trans>
          </Button>
          <Button onClick={() => setDialog("wall")}>
            <Trans>Show on a wall</Trans>
          </Button>
        </>
      )}
      {chosen.length === 2 && (
        <Link to={compareAddressOf(chosen as [CombinationRow, CombinationRow])} className="chosen-link">
          <Trans>Compare these two</Trans>
        </Link>
      )}
      {!archived && chosen.length <= onCard && (
        <Button onClick={() => setDialog("card")}>
          <Trans>Card for athletes</Trans>
        </Button>
      )}
      <Suspense>
        {dialog === "card" && <CardDialog combinations={chosen} onClose={close} />}
        {dialog === "session" && <AddToSession combinations={chosen} onClose={close} />}
        {dialog === "wall" && <StartDialog plan={null} combinations={chosen} onClose={close} />}
      </Suspense>
      <Button type="text" onClick={() => onChoose([])}>
        <Trans>Choose none</Trans>
      </Button>
    </Flex>
  );
}

/** Does something with all that are chosen, and offers to undo it. */
function useRun(chosen: CombinationRow[], theme: string, onDone: () => void) {
  const bulk = useBulk();
  const notice = useNotice();
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
            said(chosen.length)[action],
            () =>
              back.length > 0 &&
              bulk.mutate({ action: UNDOES[action], combinations: back, theme }, { onError: notice.failed }),
          );
          onDone();
        },
        onError: notice.failed,
      },
    );
  };
  return { run, isRunning: bulk.isPending };
}

interface TagProps {
  theme: string;
  onTheme: (theme: string) => void;
  onTag: () => void;
  onUntag: () => void;
}

function TagForm({ theme, onTheme, onTag, onUntag }: TagProps) {
  return (
    <Flex
      component="form"
      gap="small"
      onSubmit={(event) => {
        event.preventDefault();
        onTag();
      }}
    >
      <Input
        value={theme}
        {...bounds("BulkRequest", "theme")}
        onChange={(event) => onTheme(event.target.value.toLowerCase())}
        aria-label={t`Theme for all of them`}
        placeholder={t`Theme`}
      />
      <Button type="primary" htmlType="submit" disabled={theme.trim() === ""}>
        <Trans>Tag</Trans>
      </Button>
      <Button disabled={theme.trim() === ""} onClick={onUntag}>
        <Trans>Remove the tag</Trans>
      </Button>
    </Flex>
  );
}

/** Prints what is chosen, where paper has room for it. */
function PaperButtons({ count, paper, query }: { count: number; paper: number; query: string }) {
  return count <= paper ? (
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
  );
}
