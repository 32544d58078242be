import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useState } from "react";
import type { Advice, Exercise } from "../api/client";
import { useMay } from "../api/session";
import { Failure } from "../ui/Failure";
import { useNotice } from "../ui/useNotice";
import { nameOf } from "../ui/words";
import { ExerciseForm, PARTS } from "./ExerciseForm";
import { freshId } from "./freshId";
import { SaveButtons } from "./SaveButtons";
import { useSaveExercises } from "./useSaveAdvice";

/** The gym's exercises for warm-up, conditioning and cool-down. */
export function Exercises({ advice }: { advice: Advice }) {
  const mayEdit = useMay("EDIT_ADVICE");
  const notice = useNotice();
  const save = useSaveExercises();
  const [rows, setRows] = useState(advice.exercises);
  const [open, setOpen] = useState<string | null>(null);
  const put = (id: string, values: Partial<Exercise>) =>
    setRows((now) => now.map((row) => (row.id === id ? { ...row, ...values } : row)));
  const changed = JSON.stringify(rows) !== JSON.stringify(advice.exercises);
  const store = (exercises: Exercise[] | null) =>
    save.mutate(
      { version: advice.exercisesVersion, exercises },
      {
        onSuccess: () => notice.done(exercises === null ? t`The exercises are built-in.` : t`The exercises are saved.`),
      },
    );
  const add = () => {
    const id = freshId("own", rows);
    setRows((now) => [
      ...now,
      { id, name: "", for: ["conditioning"], does: "", seconds: 30, count: null, easier: "", caution: "" },
    ]);
    setOpen(id);
  };
  return (
    <section className="panel block" aria-label={t`Exercises`}>
      <h2>
        <Trans>Exercises </Trans>
        {mayEdit && (
          <Button size="small" onClick={add}>
            <Trans>Add one</Trans>
          </Button>
        )}
      </h2>
      <Failure error={save.error} />
      <Flex component="ul" vertical gap="small" className="advice-rows">
        {rows.map((row) => (
          <li key={row.id} className="exercise-row">
            <button
              type="button"
              className="exercise-name"
              aria-expanded={open === row.id}
              onClick={() => setOpen(open === row.id ? null : row.id)}
            >
              <b>{row.name || t`New exercise`}</b>{" "}
              <small>
                {row.for.map((part) => nameOf(PARTS, part)).join(", ")} ·{" "}
                {row.count ? t`${row.count} times` : `${row.seconds} s`}
                {row.caution && ` · ${row.caution}`}
              </small>
            </button>
            {open === row.id && (
              <ExerciseForm
                exercise={row}
                onChange={(values) => put(row.id, values)}
                onRemove={() => setRows((now) => now.filter((one) => one !== row))}
              />
            )}
          </li>
        ))}
      </Flex>
      {mayEdit && (
        <SaveButtons
          changed={changed}
          pending={save.isPending}
          own={advice.exercisesVersion > 1}
          onSave={() => store(rows)}
          onDrop={() => setRows(advice.exercises)}
          onShipped={() => store(null)}
        />
      )}
    </section>
  );
}
