import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Flex, Input } from "antd";
import { type FormEvent, useState } from "react";
import { bounds } from "../api/bounds";
import { answered, api } from "../api/client";
import { refresh } from "../api/keys";
import { Dialog } from "../ui/Dialog";
import { Failure } from "../ui/Failure";

/** Saves the search that is shown under a name. */
export default function SaveView({ address, onClose }: { address: string; onClose: () => void }) {
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const [shared, setShared] = useState(false);
  const save = useMutation({
    mutationFn: () => answered(api.POST("/api/views", { body: { name, address, shared } })),
    onSuccess: () => {
      onClose();
      void refresh(queries, "/api/views");
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate();
  };
  return (
    <Dialog onClose={onClose} title={t`Save view`}>
      <Flex component="form" vertical gap="small" className="form-narrow" onSubmit={submit}>
        <label htmlFor="view-name">
          <Trans>Name</Trans>
        </label>
        <Input
          id="view-name"
          autoFocus
          value={name}
          {...bounds("ViewRequest", "name")}
          onChange={(event) => setName(event.target.value)}
          placeholder={t`Such as Liver work for level 2`}
        />
        <label>
          <input type="checkbox" checked={shared} onChange={(event) => setShared(event.target.checked)} />{" "}
          <Trans>Share it with the other coaches</Trans>
        </label>
        <Failure error={save.error} />
        <Button type="primary" htmlType="submit" loading={save.isPending} disabled={name.trim() === ""}>
          <Trans>Save view</Trans>
        </Button>
      </Flex>
    </Dialog>
  );
}
