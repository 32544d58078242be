import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useRef } from "react";
import type { ItemEdit } from "../api/client";
import { Toolbar } from "../ui/Toolbar";
import { VERDICTS } from "../ui/words";

interface Props {
  name: string;
  /** Undefined while loading. */
  edits: ItemEdit[] | undefined;
  /** Whether the panel takes the focus once its edits are there. */
  toFocus: boolean;
  onFocus: (toFocus: boolean) => void;
  onEdit: (edit: ItemEdit) => void;
  onClose: () => void;
}

const SIGNS: Partial<Record<ItemEdit["kind"], string>> = { "leave-out": "✕", earlier: "◀", later: "▶" };
const ROWS: { kinds: ItemEdit["kind"][]; label: string }[] = [
  { kinds: ["leave-out", "earlier", "later", "target", "effort"], label: t`Change it` },
  { kinds: ["exchange"], label: t`Replace it` },
];

/** The changes that can be made to the pressed item, each with the resulting verdict. */
export function ItemPanel({ name, edits, toFocus, onFocus, onEdit, onClose }: Props) {
  const panel = useRef<HTMLElement>(null);
  // What was offered before stays, but cannot be pressed, until the edits for the changed line are there.
  const last = useRef(edits);
  last.current = edits ?? last.current;
  useEffect(() => {
    if (edits && toFocus) {
      onFocus(false);
      panel.current?.querySelector<HTMLElement>(".chip")?.focus();
    }
  }, [edits, toFocus, onFocus]);
  return (
    <section ref={panel} className="panel next item-panel" aria-label={t`Change the selected item`}>
      <div className="next-head">
        <h2>
          <Trans>Change the {name}</Trans>
        </h2>
        <button type="button" className="quiet item-close" onClick={onClose}>
          <Trans>Done</Trans>
        </button>
      </div>
      {ROWS.map(({ kinds, label }) => (
        <Toolbar key={label} label={`${label}: ${name}`} className={edits ? "item-edits" : "item-edits next-old"}>
          {last.current
            ?.filter((edit) => kinds.includes(edit.kind))
            .map((edit) => (
              <button
                key={edit.kind + edit.name}
                type="button"
                className={`chip next-${edit.verdict}`}
                disabled={!edits}
                onClick={() => {
                  onFocus(panel.current?.contains(document.activeElement) ?? false);
                  onEdit(edit);
                }}
                aria-label={t`${edit.name}: then it ${VERDICTS[edit.verdict].word}`}
              >
                {SIGNS[edit.kind] && <span aria-hidden="true">{SIGNS[edit.kind]} </span>}
                {edit.name}{" "}
                <small className={`verdict-${edit.verdict}`} aria-hidden="true">
                  {VERDICTS[edit.verdict].sign}
                </small>
              </button>
            ))}
        </Toolbar>
      ))}
    </section>
  );
}
