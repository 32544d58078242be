import { Trans } from "@lingui/react/macro";
import { useMay } from "../api/session";
import { useNotice } from "../ui/useNotice";
import { passOver, useSaveWords } from "./useSaveWords";

/** Passes over a word that the reader does not know, here and from now on; for who may change the gym's words. */
export function PassOverWord({ word }: { word: string }) {
  const mayEdit = useMay("EDIT_NUMBERINGS");
  const save = useSaveWords();
  const notice = useNotice();
  return (
    mayEdit && (
      <button
        type="button"
        className="chip"
        disabled={save.isPending}
        onClick={() => save.mutate(passOver(word), { onError: notice.failed })}
      >
        <Trans>Always pass over “{word}”</Trans>
      </button>
    )
  );
}
