import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Input } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { bounds } from "../api/bounds";
import type { Numbering } from "../api/client";
import { useNumberings } from "../api/useNumbering";
import { useChooseNumbering } from "../numbering/useChooseNumbering";
import { useTranslation } from "../numbering/useTranslation";
import { Failure } from "../ui/Failure";
import { useDebounced } from "../ui/useDebounced";

/** Pause in ms after the last key before the line is translated. */
const PAUSE_MS = 250;
const EXAMPLE = "jab, cross, lead hook to the body, rear low kick";

/** Shows the numberings side by side, each with the line that the coach types. */
export function NumberingChoice() {
  const numberings = useNumberings();
  const choose = useChooseNumbering("gym");
  const [typed, setTyped] = useState(EXAMPLE);
  const line = useDebounced(typed, PAUSE_MS);
  const ofGym = numberings.data?.ofGym;
  return (
    <>
      <p>
        <Trans>
          Type a combination in words and see how each numbering writes it. The library reads the same in all of them,
          and every coach can choose another for their own screen.
        </Trans>
      </p>
      <Input
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        {...bounds("PlanCombination", "chain")}
        aria-label={t`A combination in words`}
      />
      <Failure error={numberings.error ?? choose.error} />
      <fieldset className="numbering-choices">
        <legend className="visually-hidden">
          <Trans>The numbering of the gym</Trans>
        </legend>
        {numberings.data?.numberings.map((numbering) => (
          <label key={numbering.id} className={numbering.id === ofGym ? "numbering-card is-chosen" : "numbering-card"}>
            <input
              type="radio"
              name="numbering"
              checked={numbering.id === ofGym}
              onChange={() => choose.mutate(numbering.id)}
            />
            <b>{numbering.name}</b>
            <Written line={line} numbering={numbering} />
            <small>{numbering.about}</small>
          </label>
        ))}
      </fieldset>
      <p className="small">
        <Trans>
          Do you use other numbers? <Link to={`/numbering/${ofGym ?? "parity"}`}>Make a numbering of your own</Link>{" "}
          from the nearest one, then come back with “Set up”.
        </Trans>
      </p>
    </>
  );
}

function Written({ line, numbering }: { line: string; numbering: Numbering }) {
  const translation = useTranslation({ text: line, from: numbering.id, to: numbering.id, stance: "orthodox" });
  const row = translation.data?.lines[0];
  return row?.written != null ? (
    <span className="numbers">{row.written}</span>
  ) : (
    <span className="entry-problem">{row?.problems[0]?.message ?? " "}</span>
  );
}
