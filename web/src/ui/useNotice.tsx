import { Trans } from "@lingui/react/macro";
import { useMemo } from "react";
import { refusal } from "../api/client";
import { useMessages } from "./Messages";

/** Time in s for which an undo is offered. */
const UNDO_SECONDS = 8;

/** Short messages that disappear by themselves. */
export function useNotice() {
  const message = useMessages();
  return useMemo(
    () => ({
      done: (sentence: string) => void message.success(sentence),
      /** Shows a message with an undo button. */
      undo: (sentence: string, undo: () => void) => {
        const key = `undo ${Date.now()}`;
        void message.success({
          key,
          duration: UNDO_SECONDS,
          content: (
            <>
              {sentence}{" "}
              <button
                type="button"
                className="link-button"
                onClick={() => {
                  message.destroy(key);
                  undo();
                }}
              >
                <Trans>Undo</Trans>
              </button>
            </>
          ),
        });
      },
      copy: (text: string, sentence: string) =>
        void navigator.clipboard?.writeText(text).then(() => message.success(sentence)),
      warn: (sentence: string) => void message.warning(sentence),
      /** Shows the server's reason for a refusal. */
      failed: (error: unknown) => void message.error(refusal(error).title),
    }),
    [message],
  );
}
