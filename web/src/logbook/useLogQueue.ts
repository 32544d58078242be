import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { isReachable, onConnection } from "../api/connection";
import { logbookChanged } from "../api/keys";
import { LogQueue, type WaitingEntry } from "./queue";
import { correctEntry, writeEntry } from "./useLogbook";

const queue = new LogQueue(window.localStorage, (entry: WaitingEntry) =>
  entry.corrects ? correctEntry(entry.corrects.id, entry.corrects.version, entry.body) : writeEntry(entry.body),
);

/** What waits for the server; it is sent when the page opens and whenever the server is back. */
export function useLogQueue() {
  const queries = useQueryClient();
  const waiting = useSyncExternalStore(queue.subscribe, queue.all);
  useEffect(() => {
    const send = () => {
      if (isReachable()) {
        void queue.flush().then((taken) => taken > 0 && logbookChanged(queries));
      }
    };
    send();
    return onConnection(send);
  }, [queries]);
  return { waiting, queue };
}
