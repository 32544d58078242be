import { plural, t } from "@lingui/core/macro";
import { type KeyboardEvent, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { FamilyOverview } from "../api/client";
import { Loaded } from "../ui/Loaded";
import { VerdictMark } from "../ui/VerdictMark";
import { type FamilyRow, familyRows } from "./familyRows";
import { useFamily } from "./useFamily";

/** Width of an item and height of a row, in px. */
const ITEM = 76;
const ROW = 44;

type Root = FamilyOverview["roots"][number];

/** Families as drawn trees: the items of a chain from left to right, and what grew from it below. */
export function FamilyForest({ roots }: { roots: Root[] }) {
  const [opened, setOpened] = useState<ReadonlySet<number>>(new Set(roots.slice(0, 1).map(({ id }) => id)));
  const toggle = (id: number) =>
    setOpened(new Set(opened.has(id) ? [...opened].filter((one) => one !== id) : [...opened, id]));
  return (
    <ul className="forest">
      {roots.map((root) => (
        <li key={root.id} className="panel">
          <button
            type="button"
            className="forest-head"
            aria-expanded={opened.has(root.id)}
            onClick={() => toggle(root.id)}
          >
            <span aria-hidden="true">{opened.has(root.id) ? "▾" : "▸"}</span> <b>{root.name}</b>{" "}
            <span className="numbers">{root.text}</span>{" "}
            <small>
              {plural(root.members, { one: "# combination grew from it", other: "# combinations grew from it" })}
            </small>
          </button>
          {opened.has(root.id) && <Tree root={root} />}
        </li>
      ))}
    </ul>
  );
}

/** One family; arrow keys walk through it, Enter opens a combination. */
function Tree({ root }: { root: Root }) {
  const family = useFamily(root.id);
  const [closed, setClosed] = useState<ReadonlySet<number>>(new Set());
  const [current, setCurrent] = useState(0);
  const box = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const rows = familyRows(root, family.data?.descendants ?? [], closed);
  const columns = Math.max(...rows.map(({ shared, items }) => shared + items.length));
  const setOpen = (row: FamilyRow, isOpen: boolean) =>
    setClosed(new Set(isOpen ? [...closed].filter((id) => id !== row.one.id) : [...closed, row.one.id]));
  const go = (to: number) => {
    if (rows[to]) {
      setCurrent(to);
      box.current?.querySelectorAll<HTMLElement>("[role=treeitem]")[to]?.focus();
    }
  };
  const onKey = (event: KeyboardEvent, at: number) => {
    const row = rows[at] as FamilyRow;
    if (event.target !== event.currentTarget) {
      return;
    }
    const next = stepFrom(rows, at, event.key);
    if (event.key === "Enter") {
      void navigate(`/combinations/${row.one.id}`);
    } else if (event.key === "ArrowRight" && row.children > 0 && !row.isOpen) {
      setOpen(row, true);
    } else if (event.key === "ArrowLeft" && row.isOpen) {
      setOpen(row, false);
    } else if (next !== null) {
      go(next);
    } else {
      return;
    }
    event.preventDefault();
  };
  return (
    <>
      <Loaded query={family} what={t`Loading the family`} />
      {family.data && (
        <div className="tree-scroll">
          <div ref={box} className="tree" role="tree" aria-label={t`Family of ${root.name}`}>
            <Branches rows={rows} width={columns * ITEM} />
            {rows.map((row, at) => (
              // biome-ignore lint/a11y/useSemanticElements: a tree of links has no element of its own
              <div
                key={row.one.id}
                role="treeitem"
                className="tree-row"
                aria-level={row.depth + 1}
                aria-expanded={row.children > 0 ? row.isOpen : undefined}
                aria-selected={at === current}
                aria-label={`${row.one.name}, ${row.one.text}`}
                tabIndex={at === Math.min(current, rows.length - 1) ? 0 : -1}
                onFocus={() => setCurrent(at)}
                onKeyDown={(event) => onKey(event, at)}
              >
                <span className="tree-items" style={{ paddingLeft: row.shared * ITEM }}>
                  {row.items.map((item, place) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: items are known by their place
                    <span key={place} className="tree-item" style={{ width: ITEM - 10 }}>
                      {item}
                    </span>
                  ))}
                </span>
                <Link to={`/combinations/${row.one.id}`} tabIndex={-1}>
                  {row.one.name}
                </Link>
                <VerdictMark verdict={row.one.verdict} />
                {row.children > 0 && (
                  <button type="button" className="link-button" tabIndex={-1} onClick={() => setOpen(row, !row.isOpen)}>
                    {row.isOpen ? t`hide ${row.children}` : t`show ${row.children}`}
                  </button>
                )}
              </div>
            ))}
          </div>
        </div>
      )}
    </>
  );
}

/** Returns the row to which a key goes; null where the key does not move. */
function stepFrom(rows: FamilyRow[], at: number, key: string): number | null {
  const row = rows[at];
  switch (key) {
    case "ArrowDown":
    case "ArrowRight":
      return at + 1;
    case "ArrowUp":
      return at - 1;
    case "ArrowLeft":
      return row?.parent ?? null;
    case "Home":
      return 0;
    case "End":
      return rows.length - 1;
    default:
      return null;
  }
}

/** Draws the branches from each combination to those that grew from it. */
function Branches({ rows, width }: { rows: FamilyRow[]; width: number }) {
  return (
    <svg className="tree-branches" width={width} height={rows.length * ROW} aria-hidden="true">
      {rows.map((row, at) => {
        // One that differs in effort from its first item on shares nothing that could be drawn once.
        if (row.parent === null || row.shared === 0) {
          return null;
        }
        // From the last shared item of the parent down to the row, and on to its first item.
        const x = Math.max(0.5, row.shared - 0.5) * ITEM - 5;
        const top = (row.parent + 0.5) * ROW + 15;
        const y = (at + 0.5) * ROW;
        return <path key={row.one.id} d={`M${x} ${top}V${y - 8}q0 8 8 8H${row.shared * ITEM}`} />;
      })}
    </svg>
  );
}
