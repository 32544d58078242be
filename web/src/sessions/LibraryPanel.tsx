import { useDraggable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { useState } from "react";
import type { CombinationRow } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { useLibrary, useViews } from "../library-search/useLibrary";
import { useDebounced } from "../ui/useDebounced";
import { useNotice } from "../ui/useNotice";
import { useWords } from "../ui/useWords";
import { WordsSwitch } from "../ui/WordsSwitch";
import { withAdded } from "./added";
import type { Dragged } from "./drag";
import { dropped, setsAt, withSet } from "./plan";
import { usePlanContext } from "./planContext";
import { planned } from "./useLinkedChain";

const PAGE_SIZE = 20;

/** The library beside the plan: combinations to drag into a set or add to the selected one. */
export function LibraryPanel() {
  const { content, selected, change, drills } = usePlanContext();
  const views = useViews().data?.views ?? [];
  const notice = useNotice();
  const [typed, setTyped] = useState("");
  const [view, setView] = useState(0);
  const [all, setAll] = useState(false);
  const kept = new URLSearchParams(views.find((one) => one.id === view)?.address ?? "");
  const q = useDebounced([kept.get("q") ?? "", typed].filter((part) => part.trim() !== "").join(" "), 200);
  const level = kept.get("level") ?? "";
  const found = useLibrary({
    q,
    size: PAGE_SIZE,
    ...(level !== "" && { level }),
    ...(!all && q.trim() === "" && { rules: content.rules }),
    verdict: "flows",
    ...(typed.trim() !== "" && { closest: true }),
  });
  const rows = found.data?.combinations ?? [];
  const put = (row: CombinationRow) => {
    const place = selected?.set === undefined ? null : selected;
    const set = place && setsAt(content, place)[place.set ?? -1];
    if (!place || !set) {
      const added = withAdded(content, [planned(row, content.numbering)], drills);
      change(() => added.content);
      notice.done(t`“${row.name}” is in round ${added.round + 1}.`);
      return;
    }
    const most = drills.find((drill) => drill.id === set.drill)?.most ?? 1;
    if (most === 0) {
      notice.warn(t`This drill takes no combination. Choose another drill, or another set.`);
      return;
    }
    change((now) => withSet(now, place, (one) => dropped(one, planned(row, now.numbering), most)));
    notice.done(t`“${row.name}” is in round ${(place.round ?? 0) + 1}.`);
  };
  return (
    <section className="library-panel panel" aria-label={t`Library`}>
      <Input.Search
        allowClear
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        placeholder={t`Search the library`}
        aria-label={t`Search the library`}
      />
      <Flex component="span" align="center" justify="space-between" className="library-narrow">
        <Select
          size="small"
          value={view}
          aria-label={t`Saved view`}
          options={[{ value: 0, label: t`no saved view` }, ...views.map((one) => ({ value: one.id, label: one.name }))]}
          onChange={setView}
          popupMatchSelectWidth={false}
          getPopupContainer={(node) => node.closest("main") ?? node}
        />
        <label className="small">
          <input type="checkbox" checked={all} onChange={(event) => setAll(event.target.checked)} />{" "}
          <Trans>all rules</Trans>
        </label>
        <WordsSwitch />
      </Flex>
      <ul className={found.isPlaceholderData ? "library-rows is-old" : "library-rows"} aria-busy={found.isFetching}>
        {rows.map((row) => (
          <Row key={row.id} row={row} onPut={() => put(row)} />
        ))}
      </ul>
      {found.data && rows.length === 0 && (
        <p className="small">
          <Trans>Nothing that flows fits. {all ? t`Search for less.` : t`Search in all rules, or for less.`}</Trans>
        </p>
      )}
      {(found.data?.total ?? 0) > rows.length && (
        <p className="small">
          <Trans>{found.data?.total} fit; narrow the search to see others.</Trans>
        </p>
      )}
    </section>
  );
}

function Row({ row, onPut }: { row: CombinationRow; onPut: () => void }) {
  const { content } = usePlanContext();
  const [withWords] = useWords();
  const drag = useDraggable({
    id: `library ${row.id}`,
    data: { kind: "chain", chain: planned(row, content.numbering), label: row.text } satisfies Dragged,
  });
  return (
    <li ref={drag.setNodeRef} className={drag.isDragging ? "library-row is-dragged" : "library-row"}>
      <button
        type="button"
        className="library-grip"
        {...drag.listeners}
        {...drag.attributes}
        aria-label={t`Drag ${row.name} into a set`}
      >
        <b className="numbers">{row.text}</b>
        <small>
          {row.name} · {row.level}
        </small>
        {withWords && <span className="chain-words">{row.line.words}</span>}
        <CombinationLine drawing={row.line} name={row.name} />
      </button>
      <Button size="small" aria-label={t`Add ${row.name} to the selected set`} onClick={onPut}>
        +
      </Button>
    </li>
  );
}
