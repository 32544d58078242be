import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { PassedOverWords } from "../api/client";
import { useMay } from "../api/session";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { passOver, readAgain, useSaveWords, useWordsOfGym } from "./useSaveWords";
import "./words.css";

/** The words that are passed over in typed lines: the gym's own, and those that ship. */
export default function WordsScreen() {
  const words = useWordsOfGym();
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Passed-over words</Trans>
      </h1>
      <p className="small">
        <Trans>
          Coaches say more than strikes. These words are passed over wherever a combination is typed, pasted or searched
          for, and a note names them. A strike, a side, a target, a count or an effort is never passed over. No stored
          combination changes. <Link to="/bench">Try a line on the bench.</Link>
        </Trans>
      </p>
      <Loaded query={words} what={t`Loading the words`}>
        {(all) => (
          <div className="columns">
            <OwnWords words={all} />
            <ShippedWords words={all} />
          </div>
        )}
      </Loaded>
    </main>
  );
}

function OwnWords({ words }: { words: PassedOverWords }) {
  const mayEdit = useMay("EDIT_NUMBERINGS");
  const save = useSaveWords();
  const [typed, setTyped] = useState("");
  const add = () => {
    const phrase = typed.trim();
    if (phrase !== "") {
      save.mutate(passOver(phrase), { onSuccess: () => setTyped("") });
    }
  };
  return (
    <section className="panel block" aria-label={t`Words of this gym`}>
      <h2>
        <Trans>Words of this gym</Trans>
      </h2>
      <Failure error={save.error} />
      {mayEdit && (
        <Flex component="form" gap="small" className="form-row" onSubmit={(event) => event.preventDefault()}>
          <Input
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onPressEnter={add}
            placeholder={t`A word or phrase, such as “come on champ”`}
            aria-label={t`A word or phrase to pass over`}
          />
          <Button onClick={add} loading={save.isPending} disabled={typed.trim() === ""}>
            <Trans>Pass over</Trans>
          </Button>
        </Flex>
      )}
      {words.own.length === 0 && (
        <p className="small">
          {mayEdit
            ? t`None yet. The bench offers it, too, when it meets a word that it does not know.`
            : t`None yet. The head coach adds them.`}
        </p>
      )}
      <ul className="glue-word-list">
        {[...words.own]
          .sort((a, b) => a.localeCompare(b))
          .map((phrase) => (
            <li key={phrase}>
              {mayEdit ? (
                <button
                  type="button"
                  className="glue-word"
                  aria-label={t`Read “${phrase}” again`}
                  onClick={() => save.mutate(readAgain(phrase))}
                >
                  {phrase} <span aria-hidden="true">✕</span>
                </button>
              ) : (
                <span className="glue-word">{phrase}</span>
              )}
            </li>
          ))}
      </ul>
    </section>
  );
}

function ShippedWords({ words }: { words: PassedOverWords }) {
  const mayEdit = useMay("EDIT_NUMBERINGS");
  const save = useSaveWords();
  const [sought, setSought] = useState("");
  const wanted = sought.trim().toLowerCase();
  const kept = new Set(words.kept);
  const groups = words.groups
    .map((group) => ({ ...group, found: group.words.filter((word) => word.includes(wanted)) }))
    .filter((group) => group.found.length > 0);
  const change = (word: string) => save.mutate(kept.has(word) ? passOver(word) : readAgain(word));
  return (
    <section className="panel block" aria-label={t`Words that ship`}>
      <h2>
        <Trans>Words that ship</Trans>
      </h2>
      <Failure error={save.error} />
      <p className="small">
        {mayEdit
          ? t`Press one that means something in this gym: it is then asked about again, and no longer passed over.`
          : t`Those that are crossed out are not passed over in this gym.`}
      </p>
      <Input
        allowClear
        value={sought}
        onChange={(event) => setSought(event.target.value)}
        placeholder={t`Find a word`}
        aria-label={t`Find a word that ships`}
        className="glue-word-search"
      />
      {groups.map(({ group, found }) => {
        const keptHere = found.filter((word) => kept.has(word)).length;
        return (
          <details key={`${group} ${wanted === ""}`} open={wanted !== "" || keptHere > 0} className="glue-word-group">
            <summary>
              {/* The groups are named in the language of their words. */}
              <span translate="no">{group}</span> · {found.length}
              {keptHere > 0 && t`, ${keptHere} not passed over`}
            </summary>
            <ul className="glue-word-list">
              {found.map((word) => (
                <li key={word}>
                  {mayEdit ? (
                    <button
                      type="button"
                      className="glue-word"
                      aria-pressed={!kept.has(word)}
                      onClick={() => change(word)}
                    >
                      {word}
                    </button>
                  ) : (
                    <span className={kept.has(word) ? "glue-word glue-word-kept" : "glue-word"}>{word}</span>
                  )}
                </li>
              ))}
            </ul>
          </details>
        );
      })}
      {groups.length === 0 && (
        <p className="small">
          <Trans>No word that ships has “{sought}” in it.</Trans>
        </p>
      )}
    </section>
  );
}
