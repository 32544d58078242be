import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Input, type InputRef } from "antd";
import { type FormEvent, useRef, useState } from "react";
import { bounds } from "../api/bounds";
import { type NumberingId, type Stance, server } from "../api/client";
import { replaceCharacters } from "../ui/characters";
import { Failure } from "../ui/Failure";
import { useDebounced } from "../ui/useDebounced";

/** Pause in ms after the last key before the text is read. */
const PAUSE_MS = 200;

interface Props {
  name: string;
  chain: string;
  numbering: NumberingId;
  stance: Stance;
  saving: boolean;
  error: unknown;
  onSave: (chain: string, name: string) => void;
  onClose: () => void;
}

/** Edits one entry of a file in place, with problems and suggestions while typing. */
export function EditLine({ name, chain, numbering, stance, saving, error, onSave, onClose }: Props) {
  const field = useRef<InputRef>(null);
  const [text, setText] = useState(chain);
  const [called, setCalled] = useState(name);
  const settled = useDebounced(text, PAUSE_MS);
  const body = { text: settled, numbering, stance };
  const read = server.useQuery("post", "/api/check", { body }, { enabled: settled.trim() !== "" });
  const problem = settled === text ? read.data?.problems[0] : undefined;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSave(text, called);
  };
  return (
    <form className="edit-line" onSubmit={submit}>
      <Input
        ref={field}
        autoFocus
        value={text}
        onChange={(event) => setText(event.target.value)}
        aria-label={t`Chain`}
      />
      <Input
        value={called}
        {...bounds("ImportLineRequest", "name")}
        onChange={(event) => setCalled(event.target.value)}
        aria-label={t`Name`}
        placeholder={t`Name`}
      />
      <Button type="primary" htmlType="submit" loading={saving} disabled={text.trim() === ""}>
        <Trans>Save</Trans>
      </Button>
      <Button onClick={onClose}>
        <Trans>Cancel</Trans>
      </Button>
      <span className="edit-line-help" role="status">
        {problem ? (
          <span className="entry-problem">
            {problem.message}{" "}
            {problem.nearest.map((nearest) => (
              <button
                key={nearest}
                type="button"
                className="chip"
                onClick={() => {
                  setText(replaceCharacters(text, problem, nearest));
                  // Enter saves the corrected line.
                  field.current?.focus();
                }}
              >
                {nearest}
              </button>
            ))}
          </span>
        ) : (
          <span className="small">{read.data?.words ?? ""}</span>
        )}
      </span>
      <Failure error={error} />
    </form>
  );
}
