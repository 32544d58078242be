import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Checkbox, Input, InputNumber, Select } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";
import type { Advice, Exercise, Reminder } from "../api/client";
import { useMay } from "../api/session";
import { useAdvice } from "../api/useAdvice";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loading } from "../ui/Loading";
import { useNotice } from "../ui/useNotice";
import { nameOf } from "../ui/words";
import { useSaveExercises, useSaveReminders } from "./useSaveAdvice";
import "./advice.css";

/** Edits the gym's reminders and its exercises for warm-up, conditioning and cool-down. */
export default function AdviceScreen() {
  const advice = useAdvice();
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Reminders and exercises</Trans>
      </h1>
      <p className="small">
        <Trans>
          Common practice, in the words of this gym. At most two reminders are shown with a combination on paper and in
          a session: first the one for its worst link, then those for its techniques.
        </Trans>
      </p>
      <Failure error={advice.error} onRetry={advice.refetch} />
      {advice.data ? (
        <div className="columns">
          <Reminders key={`r${advice.data.remindersVersion}`} advice={advice.data} />
          <Exercises key={`e${advice.data.exercisesVersion}`} advice={advice.data} />
        </div>
      ) : (
        !advice.isError && <Loading what={t`Loading the lists`} />
      )}
    </main>
  );
}

function Reminders({ advice }: { advice: Advice }) {
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
      <span className="form-row">
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
      </span>
      <ul className="advice-rows">
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
      </ul>
      {rows.every((row) => row.for !== of) && (
        <p className="small">
          <Trans>None for this yet.</Trans>
        </p>
      )}
      {mayEdit && (
        <Keep
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

const PARTS = [
  { value: "warm-up", label: t`warm-up` },
  { value: "conditioning", label: t`conditioning` },
  { value: "cool-down", label: t`cool-down` },
];

function Exercises({ advice }: { advice: Advice }) {
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
      <ul className="advice-rows">
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
              <div className="exercise-form">
                <label htmlFor={`${row.id}-name`}>
                  <Trans>Name</Trans>
                </label>
                <Input
                  id={`${row.id}-name`}
                  value={row.name}
                  {...bounds("Exercise", "name")}
                  readOnly={!mayEdit}
                  onChange={(event) => put(row.id, { name: event.target.value })}
                />
                <label htmlFor={`${row.id}-does`}>
                  <Trans>What it does</Trans>
                </label>
                <Input
                  id={`${row.id}-does`}
                  value={row.does}
                  {...bounds("Exercise", "does")}
                  readOnly={!mayEdit}
                  onChange={(event) => put(row.id, { does: event.target.value })}
                />
                <span className="exercise-label">
                  <Trans>Belongs to</Trans>
                </span>
                <Checkbox.Group
                  value={row.for}
                  options={PARTS}
                  disabled={!mayEdit}
                  onChange={(parts) => put(row.id, { for: parts as Exercise["for"] })}
                />
                <span className="exercise-pair">
                  <span>
                    <span className="small">
                      <Trans>Seconds</Trans>
                    </span>
                    <InputNumber
                      aria-label={t`Seconds`}
                      {...bounds("Exercise", "seconds")}
                      value={row.seconds}
                      readOnly={!mayEdit}
                      onChange={(seconds) => put(row.id, { seconds: seconds ?? 30 })}
                    />
                  </span>
                  <span>
                    <span className="small">
                      <Trans>or times</Trans>
                    </span>
                    <InputNumber
                      aria-label={t`Times`}
                      {...bounds("Exercise", "count")}
                      value={row.count}
                      readOnly={!mayEdit}
                      onChange={(count) => put(row.id, { count })}
                    />
                  </span>
                </span>
                <label htmlFor={`${row.id}-easier`}>
                  <Trans>Easier</Trans>
                </label>
                <Input
                  id={`${row.id}-easier`}
                  value={row.easier}
                  {...bounds("Exercise", "easier")}
                  readOnly={!mayEdit}
                  onChange={(event) => put(row.id, { easier: event.target.value })}
                />
                <label htmlFor={`${row.id}-caution`}>
                  <Trans>Caution</Trans>
                </label>
                <Input
                  id={`${row.id}-caution`}
                  value={row.caution}
                  {...bounds("Exercise", "caution")}
                  readOnly={!mayEdit}
                  onChange={(event) => put(row.id, { caution: event.target.value })}
                />
                {mayEdit && (
                  <Button onClick={() => setRows((now) => now.filter((one) => one !== row))}>
                    <Trans>Remove from the list</Trans>
                  </Button>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
      {mayEdit && (
        <Keep
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

function Keep({
  changed,
  pending,
  own,
  onSave,
  onDrop,
  onShipped,
}: {
  changed: boolean;
  pending: boolean;
  own: boolean;
  onSave: () => void;
  onDrop: () => void;
  onShipped: () => void;
}) {
  return (
    <p className="form-row">
      <Button type="primary" disabled={!changed} loading={pending} onClick={onSave}>
        <Trans>Save</Trans>
      </Button>
      {changed && (
        <Button onClick={onDrop}>
          <Trans>Discard the changes</Trans>
        </Button>
      )}
      {own && !changed && (
        <Button onClick={onShipped}>
          <Trans>Reset to the built-in list</Trans>
        </Button>
      )}
    </p>
  );
}

/** Returns the topic of a reminder in words. */
export function topicWords(topic: string): string {
  return topic === "all"
    ? t`everything`
    : topic.startsWith("cause:")
      ? t`a wait for: ${topic.slice(6)}`
      : topic.replaceAll("-", " ");
}

/** Returns an id that none of the rows has. */
export function freshId(stem: string, rows: { id: string }[]): string {
  let number = rows.length + 1;
  while (rows.some((row) => row.id === `${stem}-${number}`)) {
    number++;
  }
  return `${stem}-${number}`;
}
