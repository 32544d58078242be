import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useSyncExternalStore } from "react";
import { isReachable, onConnection } from "../api/connection";
import { logbookChanged } from "../api/keys";
import { useSession } from "../api/session";
import { LogQueue, type WaitingEntry } from "./queue";
import { correctEntry, writeEntry } from "./useLogbook";

const queue = new LogQueue(window.localStorage, (entry: WaitingEntry) =>
  entry.corrects ? correctEntry(entry.corrects.id, entry.corrects.version, entry.body) : writeEntry(entry.body),
);

/**
 * The waiting entries of the signed-in coach; they are sent when the page opens and whenever the server is reachable
 * again.
 */
export function useLogQueue() {
  const queries = useQueryClient();
  const writer = useSession().data?.user?.id ?? null;
  const all = useSyncExternalStore(queue.subscribe, queue.all);
  const waiting = useMemo(() => all.filter((entry) => entry.writer === writer || entry.writer === null), [all, writer]);
  useEffect(() => {
    const send = () => {
      if (writer !== null && isReachable()) {
        void queue.flush(writer).then((taken) => taken > 0 && logbookChanged(queries));
      }
    };
    send();
    return onConnection(send);
  }, [queries, writer]);
  return { waiting, queue, writer };
}
