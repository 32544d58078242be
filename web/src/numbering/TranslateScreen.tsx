import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { bounds } from "../api/bounds";
import type { NumberingId, Stance } from "../api/client";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Segmented } from "../ui/Segmented";
import { useDebounced } from "../ui/useDebounced";
import { useNotice } from "../ui/useNotice";
import { STANCES } from "../ui/words";
import { Differences } from "./Differences";
import { useTranslation } from "./useTranslation";
import "./numbering.css";

const PAUSE_MS = 250;
const EXAMPLE = `1 2 7 exit # Cellar window
1-1-2
jab cross K4 # From the whiteboard`;

/** Translates a list from one numbering to another. */
export default function TranslateScreen() {
  const [address, setAddress] = useSearchParams();
  const numberings = useNumberings();
  const mine = useNumbering();
  const from: NumberingId = address.get("from") ?? (mine === "body-pairs" ? "parity" : "body-pairs");
  const to: NumberingId = address.get("to") ?? mine;
  const stance = (address.get("stance") as Stance | null) ?? "orthodox";
  const [text, setText] = useState("");
  const asked = useDebounced(text, PAUSE_MS);
  const translation = useTranslation({ text: asked, from, to, stance });
  const put = (name: string, value: string) =>
    setAddress(
      (now) => {
        now.set(name, value);
        return now;
      },
      { replace: true, preventScrollReset: true },
    );
  const options =
    numberings.data?.numberings.map((numbering) => ({ value: numbering.id, label: numbering.name })) ?? [];
  const nameOf = (id: string) => options.find((option) => option.value === id)?.label ?? id;
  const lines = asked.trim() === "" ? [] : (translation.data?.lines ?? []);
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Translate</Trans>
      </h1>
      <Directions {...{ from, to, stance, options }} onPut={put} />
      <div className="columns">
        <section className="panel block" aria-label={t`The list`}>
          <h2>
            <Trans>In {nameOf(from)}</Trans>
          </h2>
          <Input.TextArea
            value={text}
            onChange={(event) => setText(event.target.value)}
            rows={14}
            {...bounds("TranslateRequest", "text")}
            placeholder={EXAMPLE}
            aria-label={t`List to translate, one chain a line, its name after #`}
          />
          <p className="small">
            <Trans>One chain a line; a name may follow after #. Words are read in every numbering.</Trans>
          </p>
        </section>
        <div>
          <section className="panel block" aria-label={t`Translated`}>
            <h2>
              <Trans>In {nameOf(to)}</Trans>
            </h2>
            <Failure error={translation.error} />
            {lines.length === 0 ? (
              <p className="small">
                <Trans>Paste or type a list; it is translated as you type. Nothing is stored.</Trans>
              </p>
            ) : (
              <TranslatedLines lines={lines} />
            )}
          </section>
          <Differences
            differences={translation.data?.differences ?? []}
            one={String(nameOf(from))}
            other={String(nameOf(to))}
          />
        </div>
      </div>
    </main>
  );
}

interface DirectionProps {
  from: NumberingId;
  to: NumberingId;
  stance: Stance;
  options: { value: NumberingId; label: string }[];
  onPut: (name: "from" | "to" | "stance", value: string) => void;
}

/** From which numbering to which, and for which stance. */
function Directions({ from, to, stance, options, onPut }: DirectionProps) {
  return (
    <Flex wrap align="center" gap="small" className="form-row">
      <span>
        <Trans>from</Trans>
      </span>
      <Select value={from} onChange={(value) => onPut("from", value)} options={options} aria-label={t`From`} />
      <span>
        <Trans>to</Trans>
      </span>
      <Select value={to} onChange={(value) => onPut("to", value)} options={options} aria-label={t`To`} />
      <span>
        <Trans>left and right are meant for</Trans>
      </span>
      <Segmented
        value={stance}
        onChange={(value) => onPut("stance", value)}
        options={STANCES}
        aria-label={t`Stance of the list`}
      />
    </Flex>
  );
}

type Lines = NonNullable<ReturnType<typeof useTranslation>["data"]>["lines"];

/** The translated lines; one that could not be read is shown unchanged, with the reason. */
function TranslatedLines({ lines }: { lines: Lines }) {
  const notice = useNotice();
  const written = lines.map((line) => line.written ?? line.text).join("\n");
  const unread = lines.filter((line) => line.problems.length > 0).length;
  return (
    <>
      <Flex wrap align="center" gap="small" className="form-row">
        <Button onClick={() => notice.copy(written, t`The translated list is copied.`)}>
          <Trans>Copy it</Trans>
        </Button>
        <span className="small" role="status">
          {unread === 0
            ? t`Every line could be read.`
            : t`${plural(unread, { one: "# line", other: "# lines" })} could not be read and stand as they were.`}
        </span>
      </Flex>
      <ol className="translate-result">
        {lines.map((line) => (
          <li key={line.line}>
            <span className="small">{line.line}</span>
            {line.written === null ? (
              <span>
                <span className="numbers">{line.text}</span>
                <br />
                <span className="entry-problem">{line.problems[0]?.message}</span>
              </span>
            ) : (
              <span>
                <span className="numbers">{line.written}</span>
                {line.notes.length > 0 && <span className="small translate-notes">{line.notes.join(" ")}</span>}
              </span>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}
