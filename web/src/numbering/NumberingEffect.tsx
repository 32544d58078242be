import { Select } from "antd";
import type { Numbering } from "../api/client";
import { Differences } from "./Differences";
import { Samples } from "./Samples";
import type { NumberingEditor } from "./useNumberingEditor";

interface Props {
  numbering: Numbering;
  numberings: Numbering[];
  editor: NumberingEditor;
  editing: boolean;
}

/** Compares a numbering with another one: how the library reads, different numbers, and strikes without a number. */
export function NumberingEffect({ numbering, numberings, editor, editing }: Props) {
  const { other, setOther, preview, stops } = editor;
  const nameOf = (id: string) => numberings.find((one) => one.id === id)?.name;
  return (
    <aside>
      <section className="panel block" aria-label="How the library reads">
        <h2>How the library reads</h2>
        <div className="form-row">
          <span>compared with</span>
          <Select
            size="small"
            value={other}
            onChange={setOther}
            options={numberings.map((one) => ({ value: one.id, label: one.name }))}
            aria-label="Compared with"
          />
        </div>
        {preview && (
          <Samples
            preview={preview}
            stops={stops}
            names={
              other === numbering.id
                ? ["Before", "After"]
                : [nameOf(other) ?? "Before", editing ? "Yours" : numbering.name]
            }
          />
        )}
      </section>
      {preview && !stops && (
        <>
          <Differences
            differences={preview.differences}
            one={editor.name.trim() || numbering.name}
            other={nameOf(other) ?? other}
          />
          <section className="panel block" aria-label="Without a number">
            <h2>Without a number</h2>
            <p>
              {preview.gaps.length === 0
                ? "Every strike has one."
                : `${preview.gaps.map((gap) => gap.strike).join(", ")}: written in words.`}
            </p>
          </section>
        </>
      )}
    </aside>
  );
}
