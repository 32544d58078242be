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

type Lists = Pick<PassedOverWords, "own" | "kept">;

interface Change {
  /** Returns what is to be saved, from what is there. */
  to: (now: Lists) => Lists;
  says: string;
}

/** Saves a change of the words at once, and offers to undo it. */
export function useSaveWords() {
  const queries = useQueryClient();
  const notice = useNotice();
  const put = async (to: Change["to"]) => {
    // The newest, so that what somebody else has changed meanwhile stays.
    const before = await queries.fetchQuery({ ...words(), staleTime: 0 });
    const after = await answered(
      api.PUT("/api/passed-over-words", {
        params: { header: { "If-Match": ifMatch(before.version)["If-Match"] } },
        body: to(before),
      }),
    );
    queries.setQueryData(words().queryKey, after);
    void queries.invalidateQueries({ queryKey: keys.checks });
    return { before, after };
  };
  return useMutation({
    mutationFn: ({ to }: Change) => put(to),
    onSuccess: ({ before, after }, { says }) =>
      notice.undo(
        says,
        () =>
          void put((now) => ({
            own: undone(before.own, after.own, now.own),
            kept: undone(before.kept, after.kept, now.kept),
          })).catch(notice.failed),
      ),
  });
}

/** Takes one change back, and leaves what was changed since. */
function undone(before: string[], after: string[], now: string[]): string[] {
  const added = after.filter((word) => !before.includes(word));
  const removed = before.filter((word) => !after.includes(word));
  return [...now.filter((word) => !added.includes(word)), ...removed];
}

/** Passes over a word: one that ships and was kept, or another one of the gym's own. */
export function passOver(phrase: string): Change {
  return {
    to: ({ own, kept }) =>
      kept.includes(phrase) ? { own, kept: kept.filter((one) => one !== phrase) } : { own: [...own, phrase], kept },
    says: t`“${phrase}” is passed over from now on.`,
  };
}

/** Reads a word again, be it the gym's own or one that ships. */
export function readAgain(phrase: string): Change {
  return {
    to: ({ own, kept }) =>
      own.includes(phrase) ? { own: own.filter((one) => one !== phrase), kept } : { own, kept: [...kept, phrase] },
    says: t`“${phrase}” is no longer passed over.`,
  };
}
