import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { type ReactNode, useState } from "react";
import { useMay } from "../api/session";
import { Failure } from "../ui/Failure";
import { freshId } from "./freshId";
import { SaveButtons } from "./SaveButtons";
import { topicWords } from "./topicWords";

interface Row {
  id: string;
  for: string;
  text: string;
}

interface Props<Kind extends Row> {
  title: string;
  intro?: ReactNode;
  /** The name of the choice of a topic. */
  topicLabel: string;
  topics: string[];
  /** As they are stored. */
  stored: Kind[];
  isOwn: boolean;
  isSaving: boolean;
  error: unknown;
  /** The fields of a row besides its topic, each with its name for screen readers. */
  fields: { of: Exclude<keyof Kind, "id" | "for"> & string; label: string; placeholder?: string; bounds: object }[];
  /** Makes an empty row. */
  empty: (row: Pick<Row, "id" | "for">) => Kind;
  /** Null takes the built-in ones again. */
  onSave: (rows: Kind[] | null) => void;
}

/** Rows of words, one topic at a time: reminders, or faults. */
export function TopicRows<Kind extends Row>({
  title,
  intro,
  topicLabel,
  topics,
  stored,
  fields,
  ...props
}: Props<Kind>) {
  const mayEdit = useMay("EDIT_ADVICE");
  const [rows, setRows] = useState(stored);
  const [of, setOf] = useState(topics[0] ?? "");
  const put = (id: string, values: object) =>
    setRows((now) => now.map((row) => (row.id === id ? { ...row, ...values } : row)));
  const shown = rows.filter((row) => row.for === of);
  return (
    <section className="panel block" aria-label={title}>
      <h2>{title}</h2>
      {intro}
      <Failure error={props.error} />
      <Flex component="span" wrap align="center" gap="small" className="form-row">
        <Select
          value={of}
          aria-label={topicLabel}
          options={topics.map((topic) => ({ value: topic, label: topicWords(topic) }))}
          onChange={setOf}
          popupMatchSelectWidth={false}
        />
        {mayEdit && (
          <Button onClick={() => setRows((now) => [...now, props.empty({ id: freshId("own", now), for: of })])}>
            <Trans>Add one</Trans>
          </Button>
        )}
      </Flex>
      <Flex component="ul" vertical gap="small" className="advice-rows">
        {shown.map((row) => (
          <li key={row.id}>
            {fields.map(({ of: field, label, placeholder, bounds }) => (
              <Input
                key={field}
                value={String(row[field])}
                {...bounds}
                readOnly={!mayEdit}
                aria-label={label}
                placeholder={placeholder}
                onChange={(event) => put(row.id, { [field]: event.target.value })}
              />
            ))}
            {mayEdit && (
              <Button
                aria-label={t`Remove ${row.text}`}
                onClick={() => setRows((now) => now.filter((one) => one !== row))}
              >
                ✕
              </Button>
            )}
          </li>
        ))}
      </Flex>
      {shown.length === 0 && (
        <p className="small">
          <Trans>None for this yet.</Trans>
        </p>
      )}
      {mayEdit && (
        <SaveButtons
          changed={JSON.stringify(rows) !== JSON.stringify(stored)}
          pending={props.isSaving}
          own={props.isOwn}
          onSave={() => props.onSave(rows)}
          onDrop={() => setRows(stored)}
          onShipped={() => props.onSave(null)}
        />
      )}
    </section>
  );
}
