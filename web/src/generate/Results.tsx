import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Button, Checkbox, Flex } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { type GenerateRequest, type Generation, refusal } from "../api/client";
import { useMay } from "../api/session";
import { TO_SAVE } from "../bench/draft";
import { CombinationLine } from "../combination-line/CombinationLine";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds } from "../ui/words";
import { addressOf } from "./criteria";
import { type Kept, useKeepChains } from "./useGenerate";

const LINE_WIDTH = 430;
type Chain = Generation["chains"][number];

interface Props {
  generation: Generation;
  criteria: GenerateRequest;
  old: boolean;
  onPut: (values: Record<string, string | number>) => void;
}

/**
 * The generated chains, which criterion was relaxed, and which to relax when there are too few; several can be saved
 * together.
 */
export function Results({ generation, criteria, old, onPut }: Props) {
  const maySave = useMay("EDIT_LIBRARY");
  const { chains } = generation;
  const [chosen, setChosen] = useState<string[]>([]);
  const keep = useKeepChains(criteria);
  const open = chains.filter(({ notation }) => chosen.includes(notation) && !isThere(keep.kept.get(notation)));
  const word = maySave ? t`Save` : t`Propose`;
  return (
    <>
      <Few generation={generation} onPut={onPut} />
      <ol className={old ? "generation-list generation-old" : "generation-list"}>
        {chains.map((chain) => (
          <Row
            key={chain.notation}
            chain={chain}
            criteria={criteria}
            kept={keep.kept.get(chain.notation)}
            isChosen={chosen.includes(chain.notation)}
            onChoose={(on) =>
              setChosen((now) => (on ? [...now, chain.notation] : now.filter((one) => one !== chain.notation)))
            }
            word={word}
          />
        ))}
      </ol>
      {open.length > 0 && (
        <ChosenBar
          count={open.length}
          word={word}
          isSaving={keep.isPending}
          onSave={() => keep.save(open)}
          onNone={() => setChosen([])}
        />
      )}
    </>
  );
}

/** Says what was relaxed, or what to relax, where too few chains fit. */
function Few({ generation, onPut }: Pick<Props, "generation" | "onPut">) {
  const { chains, asked, bent, relax } = generation;
  const few = bent === null && chains.length < asked;
  return (
    <>
      {bent && (
        <section className="panel few" role="status">
          <h2>
            <Trans>Nothing fits all of this</Trans>
          </h2>
          <p>
            <Trans>The nearest results, {bent.words}: </Trans>
            <button type="button" className="chip" onClick={() => onPut(addressOf(bent.criteria))}>
              <Trans>Ask for these</Trans>
            </button>
          </p>
        </section>
      )}
      {few && (
        <section className="panel few" role="status">
          <h2>
            {chains.length === 0
              ? t`Nothing new fits all of this`
              : t`Only ${chains.length} of ${asked} new ones fit all of this`}
          </h2>
          {relax.length === 0 ? (
            <p>
              <Trans>No single criterion is the reason; relax two, or make the chain shorter.</Trans>
            </p>
          ) : (
            <p>
              <Trans>Without one of the criteria, this many fit: </Trans>
              {relax.map((one) => (
                <button
                  key={one.criterion}
                  type="button"
                  className="chip"
                  onClick={() => onPut(addressOf(one.criteria))}
                >
                  {one.words}
                </button>
              ))}
            </p>
          )}
        </section>
      )}
    </>
  );
}

interface ChosenProps {
  count: number;
  word: string;
  isSaving: boolean;
  onSave: () => void;
  onNone: () => void;
}

/** What can be done with the chosen chains. */
function ChosenBar({ count, word, isSaving, onSave, onNone }: ChosenProps) {
  return (
    <Flex
      component="section"
      wrap
      align="center"
      gap="small"
      className="panel chosen-bar"
      aria-label={t`With what is chosen`}
    >
      <b role="status">
        <Trans>
          <Plural value={count} one="# chain" other="# chains" /> chosen
        </Trans>
      </b>
      <Button type="primary" loading={isSaving} onClick={onSave}>
        <Trans>
          {word} <Plural value={count} one="it" other="them" />, named by their numbers
        </Trans>
      </Button>
      <Button type="text" onClick={onNone}>
        <Trans>Choose none</Trans>
      </Button>
    </Flex>
  );
}

function isThere(kept: Kept | undefined): kept is Extract<Kept, { to: string }> {
  return kept !== undefined && "to" in kept;
}

function Row({
  chain,
  criteria,
  kept,
  isChosen,
  onChoose,
  word,
}: {
  chain: Chain;
  criteria: GenerateRequest;
  kept: Kept | undefined;
  isChosen: boolean;
  onChoose: (on: boolean) => void;
  word: string;
}) {
  const navigate = useNavigate();
  const { rules = "boxing", stance = "orthodox", numbering = "parity" } = criteria;
  const bench = `/bench?${new URLSearchParams({ chain: chain.text, stance, rules, numbering })}`;
  return (
    <li className={isThere(kept) ? "panel generation-row generation-kept" : "panel generation-row"}>
      <div>
        <Checkbox
          checked={isChosen || isThere(kept)}
          disabled={isThere(kept)}
          onChange={(event) => onChoose(event.target.checked)}
          aria-label={t`Choose ${chain.text}`}
        />{" "}
        <Link to={bench} className="generation-text">
          {chain.text}
        </Link>
        <p className="small">{chain.words}</p>
        {kept && "error" in kept && <p className="generation-refused">{refusal(kept.error).title}</p>}
      </div>
      <div className="generation-line">
        <CombinationLine drawing={chain.line} width={LINE_WIDTH} name={chain.words} />
      </div>
      <div className="generation-facts">
        <VerdictMark verdict={chain.verdict} />
        <small>
          <Trans>
            {seconds(chain.lengthMs)} · level {chain.level}
          </Trans>
        </small>
        {isThere(kept) ? (
          <Link to={kept.to}>✓ {kept.words}</Link>
        ) : (
          <Flex component="span" gap="var(--space-2)" className="generation-ways">
            <Button size="small" onClick={() => navigate(bench)}>
              <Trans>Bench</Trans>
            </Button>
            <Button size="small" onClick={() => navigate(bench, { state: TO_SAVE })}>
              {word}
            </Button>
          </Flex>
        )}
      </div>
    </li>
  );
}
