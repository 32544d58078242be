import { Alert, Button, Input, Modal } from "antd";
import { type FormEvent, useState } from "react";
import { layers } from "../ui/layers";
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
    <aside className="demo-line small" aria-label="The demo">
      This is the demo gym; nothing in it is real.{" "}
      <button type="button" className="link-button" onClick={() => setOpen(true)}>
        Start your own gym
      </button>
      <Modal
        getContainer={layers}
        open={isOpen}
        onCancel={() => setOpen(false)}
        footer={null}
        title="Start your own gym"
        destroyOnHidden
      >
        <form className="stack" onSubmit={start}>
          <p>
            Your gym takes the place of the demo: an empty library, no accounts but yours. A backup of the demo is kept
            on this machine. It takes about a minute, and everybody who is signed in to the demo is signed out.
          </p>
          <label htmlFor="own-gym">Name of your gym</label>
          <Input
            id="own-gym"
            autoFocus
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
            disabled={job.running !== null}
          />
          {job.failure && <Alert type="error" showIcon role="alert" title={job.failure} />}
          <Button type="primary" htmlType="submit" disabled={name.trim() === ""} loading={job.running !== null}>
            {job.running ? "Backing up the demo and founding your gym" : "Start my gym"}
          </Button>
        </form>
      </Modal>
    </aside>
  );
}
