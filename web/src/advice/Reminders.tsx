import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";
import type { Advice, Reminder } from "../api/client";
import { useMay } from "../api/session";
import { Failure } from "../ui/Failure";
import { useNotice } from "../ui/useNotice";
import { freshId } from "./freshId";
import { SaveButtons } from "./SaveButtons";
import { topicWords } from "./topicWords";
import { useSaveReminders } from "./useSaveAdvice";

/** The gym's reminders, one topic at a time. */
export function Reminders({ advice }: { advice: Advice }) {
  const mayEdit = useMay("EDIT_ADVICE");
  const notice = useNotice();
  const save = useSaveReminders();
  const [rows, setRows] = useState(advice.reminders);
  const [of, setOf] = useState("all");
  const put = (id: string, values: Partial<Reminder>) =>
    setRows((now) => now.map((row) => (row.id === id ? { ...row, ...values } : row)));
  const changed = JSON.stringify(rows) !== JSON.stringify(advice.reminders);
  const store = (reminders: Reminder[] | null) =>
    save.mutate(
      { version: advice.remindersVersion, reminders },
      {
        onSuccess: () => notice.done(reminders === null ? t`The reminders are built-in.` : t`The reminders are saved.`),
      },
    );
  return (
    <section className="panel block" aria-label={t`Reminders`}>
      <h2>
        <Trans>Reminders</Trans>
      </h2>
      <Failure error={save.error} />
      <Flex component="span" wrap align="center" gap="small" className="form-row">
        <Select
          value={of}
          aria-label={t`Topic of the reminders`}
          options={advice.reminderTopics.map((topic) => ({ value: topic, label: topicWords(topic) }))}
          onChange={setOf}
          popupMatchSelectWidth={false}
        />
        {mayEdit && (
          <Button onClick={() => setRows((now) => [...now, { id: freshId("own", now), for: of, text: "" }])}>
            <Trans>Add one</Trans>
          </Button>
        )}
      </Flex>
      <Flex component="ul" vertical gap="small" className="advice-rows">
        {rows
          .filter((row) => row.for === of)
          .map((row) => (
            <li key={row.id}>
              <Input
                value={row.text}
                {...bounds("Reminder", "text")}
                readOnly={!mayEdit}
                aria-label={t`Reminder`}
                onChange={(event) => put(row.id, { text: event.target.value })}
              />
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
      {rows.every((row) => row.for !== of) && (
        <p className="small">
          <Trans>None for this yet.</Trans>
        </p>
      )}
      {mayEdit && (
        <SaveButtons
          changed={changed}
          pending={save.isPending}
          own={advice.remindersVersion > 1}
          onSave={() => store(rows)}
          onDrop={() => setRows(advice.reminders)}
          onShipped={() => store(null)}
        />
      )}
    </section>
  );
}
