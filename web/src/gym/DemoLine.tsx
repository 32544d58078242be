import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { type FormEvent, useState } from "react";
import { bounds } from "../api/bounds";
import { Alert } from "../ui/Alert";
import { Dialog } from "../ui/Dialog";
import { useJob } from "./useStatus";
import "./demo-line.css";

/** Tells the head coach of the demo how to set up a real gym. */
export default function DemoLine() {
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState("");
  // The link opens a page with the new gym behind it.
  const job = useJob((_, link) => window.location.assign(link ? new URL(link).hash.replace(/^#/, "/join#") : "/"));
  const start = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== "") {
      job.ask({ kind: "found", name });
    }
  };
  return (
    <aside className="demo-line small" aria-label={t`The demo`}>
      <Trans>This is the demo gym; nothing in it is real. </Trans>
      <button type="button" className="link-button" onClick={() => setOpen(true)}>
        <Trans>Start your own gym</Trans>
      </button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} title={t`Start your own gym`}>
        <Flex component="form" vertical gap="small" className="form-narrow" onSubmit={start}>
          <p>
            <Trans>
              Your gym takes the place of the demo: an empty library, no accounts but yours. A backup of the demo is
              kept on this machine. It takes about a minute, and everybody who is signed in to the demo is signed out.
            </Trans>
          </p>
          <label htmlFor="own-gym">
            <Trans>Name of your gym</Trans>
          </label>
          <Input
            id="own-gym"
            autoFocus
            value={name}
            {...bounds("GymRequest", "name")}
            onChange={(event) => setName(event.target.value)}
            disabled={job.running !== null}
          />
          {job.failure && <Alert type="error" role="alert" title={job.failure} />}
          <Button type="primary" htmlType="submit" disabled={name.trim() === ""} loading={job.running !== null}>
            {job.running ? t`Backing up the demo and founding your gym` : t`Start my gym`}
          </Button>
        </Flex>
      </Dialog>
    </aside>
  );
}
