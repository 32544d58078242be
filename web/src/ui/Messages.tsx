import { message } from "antd";
import type { MessageInstance } from "antd/es/message/interface";
import { createContext, type ReactNode, useContext } from "react";

const Shown = createContext<MessageInstance | null>(null);

/** Shows the short messages of all screens under it. */
export function Messages({ children }: { children: ReactNode }) {
  const [shown, holder] = message.useMessage({ maxCount: 3 });
  return (
    <Shown value={shown}>
      {holder}
      {children}
    </Shown>
  );
}

/** Returns what shows a message. */
export function useMessages(): MessageInstance {
  const shown = useContext(Shown);
  if (!shown) {
    throw new Error("There is no Messages around this component.");
  }
  return shown;
}
