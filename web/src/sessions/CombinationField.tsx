import { t } from "@lingui/core/macro";
import { AutoComplete, Input } from "antd";
import { useRef, useState } from "react";
import { bounds } from "../api/bounds";
import type { PlanCombination } from "../api/schema";
import { useLibrary } from "../library-search/useLibrary";
import { useDebounced } from "../ui/useDebounced";
import { focusNextPlace } from "./nextField";
import { usePlanContext } from "./planContext";
import { MAX_OFFERED, planned, useLinkedChain } from "./useLinkedChain";

interface Props {
  /** Whether the set has no combination yet. */
  isEmpty: boolean;
  /** Whether the set takes another combination after this one. */
  takesMore?: boolean;
  /** The chain that is being changed. */
  initial?: string;
  onAdd: (combination: PlanCombination) => void;
  /** Leaves the field without a change; only while a chain is changed. */
  onCancel?: () => void;
}

/** A field for a combination: its name, or numbers or words; semicolons separate several. */
export function CombinationField({ isEmpty, takesMore = false, initial = "", onAdd, onCancel }: Props) {
  const { content } = usePlanContext();
  const [text, setText] = useState(initial);
  const [isOpen, setOpen] = useState(false);
  const box = useRef<HTMLSpanElement>(null);
  const isChosen = useRef(false);
  const isTaken = useRef(false);
  const linked = useLinkedChain();
  const q = useDebounced(text.trim(), 150);
  const isAsked = isOpen && q !== "" && q !== initial;
  const found = useLibrary({ q: isAsked ? q : "", size: isAsked ? MAX_OFFERED : 1, closest: true });
  const rows = isAsked && !found.isPlaceholderData ? (found.data?.combinations ?? []) : [];

  const put = (combination: PlanCombination) => {
    setText("");
    onAdd(combination);
    if (box.current && !takesMore) {
      focusNextPlace(box.current);
    }
  };
  /** Adds what is typed; several chains in their order. */
  const take = async (isDone: boolean) => {
    const chains = text
      .split(";")
      .map((part) => part.trim())
      .filter((part) => part !== "");
    if (chains.length === 0 || text === initial) {
      onCancel?.();
      return;
    }
    // Moving on takes the focus away, which must not add the same again.
    isTaken.current = true;
    setText("");
    setOpen(false);
    if (isDone && box.current && !takesMore) {
      focusNextPlace(box.current);
    }
    for (const combination of await Promise.all(chains.map(linked))) {
      onAdd(combination);
    }
  };
  return (
    <span ref={box} className={isEmpty ? "set-field is-empty" : "set-field"}>
      <AutoComplete
        value={text}
        open={isOpen && rows.length > 0}
        onOpenChange={setOpen}
        defaultActiveFirstOption={false}
        popupMatchSelectWidth={false}
        getPopupContainer={(node) => node.closest("main") ?? node}
        options={rows.map((row) => ({
          value: String(row.id),
          label: (
            <span className="set-offer">
              <b>{row.name}</b> <span className="numbers">{row.text}</span>
            </span>
          ),
        }))}
        onSearch={(next) => {
          isTaken.current = false;
          setText(next);
          setOpen(true);
        }}
        onSelect={(id: string) => {
          isChosen.current = true;
          const row = rows.find((one) => String(one.id) === id);
          if (row) {
            setOpen(false);
            put(planned(row, content.numbering));
          }
        }}
      >
        <Input
          size="small"
          {...bounds("PlanCombination", "chain")}
          autoFocus={initial !== ""}
          placeholder={isEmpty ? t`type a name or a combination, or drop one in` : t`another`}
          aria-label={initial === "" ? t`Type a combination` : t`Change ${initial}`}
          onPressEnter={() => {
            // An offer that the arrow keys have chosen is taken with the same key, just after this.
            isChosen.current = false;
            setTimeout(() => !isChosen.current && void take(true));
          }}
          onKeyDown={(event) => {
            if (event.key === "Escape" && onCancel) {
              event.stopPropagation();
              onCancel();
            }
          }}
          onBlur={() => !isTaken.current && void take(false)}
        />
      </AutoComplete>
    </span>
  );
}
