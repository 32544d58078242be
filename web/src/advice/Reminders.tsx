import { t } from "@lingui/core/macro";
import { bounds } from "../api/bounds";
import type { Advice } from "../api/client";
import { useNotice } from "../ui/useNotice";
import { TopicRows } from "./TopicRows";
import { useSaveReminders } from "./useSaveAdvice";

/** The gym's reminders. */
export function Reminders({ advice }: { advice: Advice }) {
  const notice = useNotice();
  const save = useSaveReminders();
  return (
    <TopicRows
      title={t`Reminders`}
      topicLabel={t`Topic of the reminders`}
      topics={advice.reminderTopics}
      stored={advice.reminders}
      isOwn={advice.remindersVersion > 1}
      isSaving={save.isPending}
      error={save.error}
      fields={[{ of: "text", label: t`Reminder`, bounds: bounds("Reminder", "text") }]}
      empty={(row) => ({ ...row, text: "" })}
      onSave={(reminders) =>
        save.mutate(
          { version: advice.remindersVersion, reminders },
          {
            onSuccess: () =>
              notice.done(reminders === null ? t`The reminders are built-in.` : t`The reminders are saved.`),
          },
        )
      }
    />
  );
}
