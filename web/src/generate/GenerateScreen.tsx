import { Button, Checkbox, InputNumber, Segmented, Select, Slider } from "antd";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { GenerateRequest, Generation, Limb, NumberingId, Rules, Stance } from "../api/client";
import { useIsHeadCoach } from "../api/session";
import { useNumbering } from "../api/useNumbering";
import { useVocabulary } from "../api/useVocabulary";
import { TO_SAVE } from "../bench/draft";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Failure } from "../ui/Failure";
import { VerdictMark } from "../ui/VerdictMark";
import { Waiting } from "../ui/Waiting";
import { LIMBS, RULES, STANCES, seconds } from "../ui/words";
import { useGenerate } from "./useGenerate";
import "./generate.css";

const LINE_WIDTH = 430;
const LEVELS = [
  { value: 0, label: "any" },
  { value: 1, label: "1" },
  { value: 2, label: "2" },
  { value: 3, label: "3" },
];
const CLEAN = [
  { value: "must", label: "must" },
  { value: "should", label: "should" },
  { value: "hint", label: "hint" },
];

/** The criteria live in the address, so that a list can be shared and comes back the same. */
function criteriaOf(address: URLSearchParams, numbering: NumberingId): Required<Omit<GenerateRequest, "tempo">> {
  const weapons = (address.get("weapons") ?? "hand")
    .split(",")
    .filter((limb) => LIMBS.some((one) => one.value === limb));
  return {
    length: Number(address.get("length")) || 4,
    weapons: (weapons.length === 0 ? ["hand"] : weapons) as Limb[],
    level: Number(address.get("level")) || null,
    theme: (address.get("theme") || null) as Required<GenerateRequest>["theme"],
    switches: address.get("switches") === "yes",
    clean: (address.get("clean") ?? "should") as Required<GenerateRequest>["clean"],
    rules: (address.get("rules") ?? "boxing") as Rules,
    seed: Number(address.get("seed")) || 1,
    count: 8,
    stance: (address.get("stance") ?? "orthodox") as Stance,
    numbering,
  };
}

export default function GenerateScreen() {
  const [address, setAddress] = useSearchParams();
  const criteria = criteriaOf(address, useNumbering());
  const vocabulary = useVocabulary();
  const generation = useGenerate(criteria);
  const put = (values: Record<string, string | number>) =>
    setAddress(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [name, value] of Object.entries(values)) {
          value === "" ? next.delete(name) : next.set(name, String(value));
        }
        return next;
      },
      { replace: true },
    );
  return (
    <main className="page generate">
      <section className="panel criteria" aria-label="What they have to be like">
        <h1>Generate</h1>
        <p className="small">Chains that pass the check and are not in the library yet.</p>
        <span className="field-name">Rules</span>
        <Segmented
          block
          value={criteria.rules}
          onChange={(rules) => put({ rules })}
          options={RULES}
          aria-label="House rules"
        />
        <span className="field-name">Weapons</span>
        <Checkbox.Group
          value={criteria.weapons}
          onChange={(weapons) => put({ weapons: weapons.length === 0 ? "hand" : weapons.join(",") })}
          options={LIMBS}
        />
        <span className="field-name">Strikes: {criteria.length}</span>
        <Slider
          min={vocabulary?.limits.generatedStrikes.least ?? 2}
          max={vocabulary?.limits.generatedStrikes.most ?? 10}
          value={criteria.length}
          onChange={(length: number) => put({ length })}
          tooltip={{ open: false }}
          ariaLabelForHandle="How many strikes"
        />
        <label htmlFor="theme">Theme</label>
        <Select
          id="theme"
          value={criteria.theme ?? ""}
          onChange={(theme: string) => put({ theme })}
          options={[{ value: "", label: "any theme" }, ...(vocabulary?.themes ?? [])]}
          getPopupContainer={(node) => node.parentElement ?? document.body}
        />
        <span className="field-name">Level</span>
        <Segmented
          block
          value={criteria.level ?? 0}
          onChange={(level) => put({ level: level || "" })}
          options={LEVELS}
          aria-label="Level"
        />
        <span className="field-name">Clean of findings at</span>
        <Segmented
          block
          value={criteria.clean}
          onChange={(clean) => put({ clean })}
          options={CLEAN}
          aria-label="No finding of this weight or heavier"
        />
        <Checkbox
          checked={criteria.switches}
          onChange={(event) => put({ switches: event.target.checked ? "yes" : "" })}
        >
          the stance may change
        </Checkbox>
        <span className="field-name">Written for</span>
        <Segmented
          block
          value={criteria.stance}
          onChange={(stance) => put({ stance })}
          options={STANCES}
          aria-label="Written for which stance"
        />
        <label htmlFor="seed">Seed</label>
        <span className="seed">
          <InputNumber
            id="seed"
            min={1}
            max={2_000_000_000}
            precision={0}
            value={criteria.seed}
            onChange={(seed) => put({ seed: seed ?? 1 })}
          />
          <Button type="primary" onClick={() => put({ seed: 1 + Math.floor(Math.random() * 99_999) })}>
            Others
          </Button>
        </span>
      </section>
      <section className="generation" aria-label="Generated chains" aria-busy={generation.isFetching}>
        {generation.isError ? (
          <Failure error={generation.error} />
        ) : generation.data ? (
          <Results generation={generation.data} criteria={criteria} old={generation.isPlaceholderData} onPut={put} />
        ) : (
          <Waiting what="Making chains" />
        )}
      </section>
    </main>
  );
}

/** What to put into the address for other criteria. */
function addressOf(criteria: GenerateRequest): Record<string, string | number> {
  return Object.fromEntries(
    Object.entries(criteria).map(([name, value]) => [
      name,
      value === null || value === false ? "" : value === true ? "yes" : Array.isArray(value) ? value.join(",") : value,
    ]),
  );
}

function Results({
  generation,
  criteria,
  old,
  onPut,
}: {
  generation: Generation;
  criteria: GenerateRequest;
  old: boolean;
  onPut: (values: Record<string, string | number>) => void;
}) {
  const few = generation.chains.length < generation.asked;
  return (
    <>
      {few && (
        <section className="panel few" role="status">
          <h2>
            {generation.chains.length === 0
              ? "Nothing new fits all of this"
              : `Only ${generation.chains.length} of ${generation.asked} new ones fit all of this`}
          </h2>
          {generation.relax.length === 0 ? (
            <p>No single thing is to blame; give up two, or make the chain shorter.</p>
          ) : (
            <p>
              Give one up, and this many come:{" "}
              {generation.relax.map((relax) => (
                <button
                  key={relax.criterion}
                  type="button"
                  className="chip"
                  onClick={() => onPut(addressOf(relax.criteria))}
                >
                  {relax.words}
                </button>
              ))}
            </p>
          )}
        </section>
      )}
      <ol className={old ? "generation-list generation-old" : "generation-list"}>
        {generation.chains.map((chain) => (
          <Row key={chain.notation} chain={chain} criteria={criteria} />
        ))}
      </ol>
    </>
  );
}

function Row({ chain, criteria }: { chain: Generation["chains"][number]; criteria: GenerateRequest }) {
  const head = useIsHeadCoach();
  const navigate = useNavigate();
  const { rules = "boxing", stance = "orthodox", numbering = "parity" } = criteria;
  const bench = `/bench?${new URLSearchParams({ chain: chain.text, stance, rules, numbering })}`;
  return (
    <li className="panel generation-row">
      <div>
        <Link to={bench} className="generation-text">
          {chain.text}
        </Link>
        <p className="small">{chain.words}</p>
      </div>
      <div className="generation-line">
        <CombinationLine drawing={chain.line} width={LINE_WIDTH} name={chain.words} />
      </div>
      <div className="generation-facts">
        <VerdictMark verdict={chain.verdict} />
        <small>
          {seconds(chain.lengthMs)} · level {chain.level}
        </small>
        <span className="generation-ways">
          <Button size="small" onClick={() => navigate(bench)}>
            Bench
          </Button>
          <Button size="small" onClick={() => navigate(bench, { state: TO_SAVE })}>
            {head ? "Save" : "Propose"}
          </Button>
        </span>
      </div>
    </li>
  );
}
