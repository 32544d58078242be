import { App } from "antd";
import { useMemo } from "react";
import { refusal } from "../api/client";

/** How long something can be undone where it is said, s. */
const UNDO = 8;

/** Short messages that go away by themselves. */
export function useNotice() {
  const { message } = App.useApp();
  return useMemo(
    () => ({
      done: (sentence: string) => void message.success(sentence),
      /** Said with a button that takes it back. */
      undo: (sentence: string, undo: () => void) => {
        const key = `undo ${Date.now()}`;
        void message.success({
          key,
          duration: UNDO,
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
                Undo
              </button>
            </>
          ),
        });
      },
      copy: (text: string, sentence: string) =>
        void navigator.clipboard?.writeText(text).then(() => message.success(sentence)),
      warn: (sentence: string) => void message.warning(sentence),
      /** Why something was refused, in the server's own sentence. */
      failed: (error: unknown) => void message.error(refusal(error).title),
    }),
    [message],
  );
}
