import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";
import type { Advice, Fault } from "../api/client";
import { useMay } from "../api/session";
import { Failure } from "../ui/Failure";
import { useNotice } from "../ui/useNotice";
import { freshId } from "./freshId";
import { SaveButtons } from "./SaveButtons";
import { topicWords } from "./topicWords";
import { useSaveFaults } from "./useSaveAdvice";

/** The faults that coaches look for, one topic at a time, each with what mends it. */
export function Faults({ advice }: { advice: Advice }) {
  const mayEdit = useMay("EDIT_ADVICE");
  const notice = useNotice();
  const save = useSaveFaults();
  const [rows, setRows] = useState(advice.faults);
  const [of, setOf] = useState(advice.faultTopics[0] ?? "");
  const put = (id: string, values: Partial<Fault>) =>
    setRows((now) => now.map((row) => (row.id === id ? { ...row, ...values } : row)));
  const store = (faults: Fault[] | null) =>
    save.mutate(
      { version: advice.faultsVersion, faults },
      { onSuccess: () => notice.done(faults === null ? t`The faults are built-in.` : t`The faults are saved.`) },
    );
  const shown = rows.filter((row) => row.for === of);
  return (
    <section className="panel block" aria-label={t`Faults to look for`}>
      <h2>
        <Trans>Faults to look for</Trans>
      </h2>
      <p className="small">
        <Trans>
          Shown with a demonstration and on paper, and offered in the logbook where a link fell apart; each with the
          words that mend it.
        </Trans>
      </p>
      <Failure error={save.error} />
      <Flex component="span" wrap align="center" gap="small" className="form-row">
        <Select
          value={of}
          aria-label={t`Topic of the faults`}
          options={advice.faultTopics.map((topic) => ({ value: topic, label: topicWords(topic) }))}
          onChange={setOf}
          popupMatchSelectWidth={false}
        />
        {mayEdit && (
          <Button onClick={() => setRows((now) => [...now, { id: freshId("own", now), for: of, text: "", mend: "" }])}>
            <Trans>Add one</Trans>
          </Button>
        )}
      </Flex>
      <Flex component="ul" vertical gap="small" className="advice-rows">
        {shown.map((row) => (
          <li key={row.id} className="fault-row">
            <Input
              value={row.text}
              {...bounds("Fault", "text")}
              readOnly={!mayEdit}
              aria-label={t`Fault`}
              placeholder={t`What is seen`}
              onChange={(event) => put(row.id, { text: event.target.value })}
            />
            <Input
              value={row.mend}
              {...bounds("Fault", "mend")}
              readOnly={!mayEdit}
              aria-label={t`What mends it`}
              placeholder={t`What mends it`}
              onChange={(event) => put(row.id, { mend: event.target.value })}
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
      {shown.length === 0 && (
        <p className="small">
          <Trans>None for this yet.</Trans>
        </p>
      )}
      {mayEdit && (
        <SaveButtons
          changed={JSON.stringify(rows) !== JSON.stringify(advice.faults)}
          pending={save.isPending}
          own={advice.faultsVersion > 1}
          onSave={() => store(rows)}
          onDrop={() => setRows(advice.faults)}
          onShipped={() => store(null)}
        />
      )}
    </section>
  );
}
