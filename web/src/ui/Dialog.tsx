import type { ModalProps } from "antd";
import { type ReactNode, Suspense, useState } from "react";
import { layers } from "./layers";
import { screen } from "./screens";

const Modal = screen<ModalProps>(() => import("antd/es/modal"));

/** A dialog over the screen. Ant Design's part is loaded when the first one opens, or earlier when there is time. */
export function Dialog({
  open = true,
  onClose,
  footer = null,
  ...rest
}: Pick<ModalProps, "title" | "footer" | "width"> & {
  open?: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  const [wasOpen, setWasOpen] = useState(open);
  if (open && !wasOpen) {
    setWasOpen(true);
  }
  return (
    wasOpen && (
      <Suspense>
        <Modal {...rest} getContainer={layers} open={open} onCancel={onClose} footer={footer} destroyOnHidden />
      </Suspense>
    )
  );
}
