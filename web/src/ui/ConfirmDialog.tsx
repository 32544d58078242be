import { t } from "@lingui/core/macro";
import { Button, Flex } from "antd";
import type { ReactNode } from "react";
import { Dialog } from "./Dialog";

interface Props {
  isOpen: boolean;
  title: string;
  /** What the action does, and for whom. */
  children: ReactNode;
  /** The verb of the button, such as "Block". */
  action: string;
  isDangerous?: boolean;
  isRunning?: boolean;
  onConfirm: () => void;
  onClose: () => void;
}

/** Asks before something is done that other coaches will notice. */
export function ConfirmDialog({ isOpen, title, children, action, isDangerous, isRunning, onConfirm, onClose }: Props) {
  return (
    <Dialog
      open={isOpen}
      onClose={onClose}
      title={title}
      footer={
        <Flex justify="flex-end" gap="small">
          <Button onClick={onClose}>{t`Cancel`}</Button>
          <Button type="primary" danger={isDangerous} loading={isRunning} onClick={onConfirm}>
            {action}
          </Button>
        </Flex>
      }
    >
      {children}
    </Dialog>
  );
}
