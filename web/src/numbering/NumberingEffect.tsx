import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Select } from "antd";
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
      <section className="panel block" aria-label={t`How the library reads`}>
        <h2>
          <Trans>How the library reads</Trans>
        </h2>
        <Flex wrap align="center" gap="small" className="form-row">
          <span>
            <Trans>compared with</Trans>
          </span>
          <Select
            size="small"
            value={other}
            onChange={setOther}
            options={numberings.map((one) => ({ value: one.id, label: one.name }))}
            aria-label={t`Compared with`}
          />
        </Flex>
        {preview && (
          <Samples
            preview={preview}
            stops={stops}
            names={
              other === numbering.id
                ? [t`Before`, t`After`]
                : [nameOf(other) ?? t`Before`, editing ? t`Yours` : numbering.name]
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
          <section className="panel block" aria-label={t`Without a number`}>
            <h2>
              <Trans>Without a number</Trans>
            </h2>
            <p>
              {preview.gaps.length === 0
                ? t`Every strike has one.`
                : t`${preview.gaps.map((gap) => gap.strike).join(", ")}: written in words.`}
            </p>
          </section>
        </>
      )}
    </aside>
  );
}
