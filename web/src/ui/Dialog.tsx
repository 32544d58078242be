import type { ModalProps } from "antd";
import { type ReactNode, Suspense, useState } from "react";
import { hasKeyboard } from "./device";
import { layers } from "./layers";
import { screen } from "./screens";

const Modal = screen<ModalProps>(() => import("antd/es/modal"));

const FIELDS = "input:not([type=hidden], :disabled), textarea:not(:disabled), [role=combobox]";

/** Focuses the first field of the dialog that has opened, or its first button; on a touch screen nothing covers it. */
function focusFirstField(isOpen: boolean): void {
  const [body] = [...document.querySelectorAll<HTMLElement>("#layers .ant-modal-container")].slice(-1);
  if (!isOpen || !body || !hasKeyboard()) {
    return;
  }
  const within = document.activeElement?.matches(FIELDS) ?? false;
  const first =
    body.querySelector<HTMLElement>(`.ant-modal-body :is(${FIELDS})`) ??
    body.querySelector<HTMLElement>(".ant-modal-footer .ant-btn-primary") ??
    body.querySelector<HTMLElement>(".ant-modal-body :is(button, a)");
  if (!(within && body.contains(document.activeElement))) {
    first?.focus({ preventScroll: true });
  }
}

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
        <Modal
          {...rest}
          getContainer={layers}
          open={open}
          onCancel={onClose}
          afterOpenChange={focusFirstField}
          footer={footer}
          destroyOnHidden
        />
      </Suspense>
    )
  );
}
