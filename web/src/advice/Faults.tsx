import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { bounds } from "../api/bounds";
import type { Advice } from "../api/client";
import { useNotice } from "../ui/useNotice";
import { TopicRows } from "./TopicRows";
import { useSaveFaults } from "./useSaveAdvice";

/** The faults that coaches look for, each with what mends it. */
export function Faults({ advice }: { advice: Advice }) {
  const notice = useNotice();
  const save = useSaveFaults();
  return (
    <TopicRows
      title={t`Faults to look for`}
      intro={
        <p className="small">
          <Trans>
            Shown with a demonstration and on paper, and offered in the logbook where a link fell apart; each with the
            words that mend it.
          </Trans>
        </p>
      }
      topicLabel={t`Topic of the faults`}
      topics={advice.faultTopics}
      stored={advice.faults}
      isOwn={advice.faultsVersion > 1}
      isSaving={save.isPending}
      error={save.error}
      fields={[
        { of: "text", label: t`Fault`, placeholder: t`What is seen`, bounds: bounds("Fault", "text") },
        { of: "mend", label: t`What mends it`, placeholder: t`What mends it`, bounds: bounds("Fault", "mend") },
      ]}
      empty={(row) => ({ ...row, text: "", mend: "" })}
      onSave={(faults) =>
        save.mutate(
          { version: advice.faultsVersion, faults },
          { onSuccess: () => notice.done(faults === null ? t`The faults are built-in.` : t`The faults are saved.`) },
        )
      }
    />
  );
}
