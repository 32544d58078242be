import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Modal } from "antd";
import type { PlanContent } from "../api/schema";
import { layers } from "../ui/layers";

/** Imports a plan from a file in the format of docs/formats/session.md. */
export function PlanImport({ onContent }: { onContent: (name: string, content: PlanContent) => unknown }) {
  const [modal, modalHolder] = Modal.useModal();
  const read = async (file: File) => {
    try {
      const content: unknown = JSON.parse(await file.text());
      if (typeof content !== "object" || content === null || Array.isArray(content)) {
        throw new Error("It holds no object.");
      }
      const { name } = content as { name?: unknown };
      onContent(
        typeof name === "string" && name.trim() !== "" ? name : file.name.replace(/\.json$/i, ""),
        content as PlanContent,
      );
    } catch (error) {
      modal.error({
        title: t`This file cannot be read`,
        content: t`${file.name} is no plan in JSON. ${error instanceof Error ? error.message : ""}`,
        getContainer: layers,
      });
    }
  };
  return (
    <label className="bring-in small">
      {modalHolder}
      <span>
        <Trans>Import a plan (JSON)</Trans>
      </span>
      <input
        type="file"
        accept="application/json,.json"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) {
            void read(file);
          }
        }}
      />
    </label>
  );
}
