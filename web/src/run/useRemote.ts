import { t } from "@lingui/core/macro";
import { useCallback, useEffect, useRef } from "react";
import { isAway, type Run, type RunCommand } from "../api/client";
import { newId } from "../api/newId";
import { useNotice } from "../ui/useNotice";
import { stretchAfter, stretchBefore } from "../wall/moment";
import type { useScreen } from "../wall/useScreen";
import { useCommand } from "./useRuns";

export type Press = Partial<RunCommand> & Pick<RunCommand, "kind">;
type Client = ReturnType<typeof useScreen>["client"];

/** Returns a function that sends a command to a run. */
export function usePresses(run: Run, client: Client): (what: Press) => void {
  const command = useCommand(run.id);
  const notice = useNotice();
  // Commands are sent one after the other, each with the previous answer, so that two presses count twice.
  const answered = useRef({ revision: run.revision, last: Promise.resolve() });
  const { mutateAsync } = command;
  return useCallback(
    (what: Press) => {
      const id = newId();
      const next = async () => {
        const seen = Math.max(answered.current.revision, client.view.run?.revision ?? 0);
        try {
          answered.current.revision = (await mutateAsync({ id, seen, ...what })).revision;
          await client.refresh();
        } catch (error) {
          if (isAway(error)) {
            notice.warn(t`That did not get through. The walls continue by themselves; try again.`);
          } else {
            notice.failed(error);
          }
        }
      };
      answered.current.last = answered.current.last.then(next);
    },
    [mutateAsync, client, notice],
  );
}

/** Takes the space bar and the arrows: pause or resume, a step back, a step on. */
export function useRemoteKeys(client: Client, stopped: boolean, press: (what: Press) => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey || /^(INPUT|TEXTAREA|SELECT|BUTTON|A)$/.test(target.tagName)) {
        return;
      }
      const { programme: played } = client.view;
      const at = client.position() ?? 0;
      if (event.key === " ") {
        event.preventDefault();
        press({ kind: stopped ? "resume" : "pause" });
      } else if (event.key === "ArrowRight" && played) {
        press({ kind: "jump", toMs: stretchAfter(played, at) });
      } else if (event.key === "ArrowLeft" && played) {
        press({ kind: "jump", toMs: stretchBefore(played, at) });
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
