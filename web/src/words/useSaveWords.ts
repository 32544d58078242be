import { t } from "@lingui/core/macro";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, ifMatch, type PassedOverWords, server } from "../api/client";
import { keys } from "../api/keys";
import { useNotice } from "../ui/useNotice";

const words = () => server.queryOptions("get", "/api/passed-over-words");

/** The words that are passed over in this gym. */
export function useWordsOfGym() {
  return server.useQuery("get", "/api/passed-over-words");
}

interface Change {
  /** Returns what is to be saved, from what is there. */
  to: (now: PassedOverWords) => Pick<PassedOverWords, "own" | "kept">;
  says: string;
}

/** Saves a change of the words at once, and offers to undo it. */
export function useSaveWords() {
  const queries = useQueryClient();
  const notice = useNotice();
  const put = async (to: Change["to"]) => {
    const now = await queries.ensureQueryData(words());
    const { own, kept } = to(now);
    const saved = await answered(
      api.PUT("/api/passed-over-words", {
        params: { header: { "If-Match": ifMatch(now.version)["If-Match"] } },
        body: { own, kept },
      }),
    );
    queries.setQueryData(words().queryKey, saved);
    void queries.invalidateQueries({ queryKey: keys.checks });
    return now;
  };
  return useMutation({
    mutationFn: ({ to }: Change) => put(to),
    onSuccess: (before, { says }) =>
      notice.undo(says, () => void put(() => ({ own: before.own, kept: before.kept })).catch(notice.failed)),
    // Somebody else may have changed them; the newest is shown.
    onError: () => queries.invalidateQueries({ queryKey: words().queryKey }),
  });
}

/** Passes over one more word of the gym's own. */
export function passOver(phrase: string): Change {
  return {
    to: ({ own, kept }) => ({ own: [...own, phrase], kept: kept.filter((one) => one !== phrase) }),
    says: t`“${phrase}” is passed over from now on.`,
  };
}

/** Reads a word again, be it the gym's own or one that ships. */
export function readAgain(phrase: string, isOwn: boolean): Change {
  return {
    to: ({ own, kept }) =>
      isOwn ? { own: own.filter((one) => one !== phrase), kept } : { own, kept: [...kept, phrase] },
    says: t`“${phrase}” is no longer passed over.`,
  };
}
