import { App } from "antd";
import { useMemo } from "react";
import { refusal } from "../api/client";

/** Short messages that go away by themselves. */
export function useNotice() {
  const { message } = App.useApp();
  return useMemo(
    () => ({
      done: (sentence: string) => void message.success(sentence),
      copy: (text: string, sentence: string) =>
        void navigator.clipboard?.writeText(text).then(() => message.success(sentence)),
      warn: (sentence: string) => void message.warning(sentence),
      /** Why something was refused, in the server's own sentence. */
      failed: (error: unknown) => void message.error(refusal(error).title),
    }),
    [message],
  );
}
