import { Alert, Button, Checkbox, InputNumber, Segmented, Select, Slider } from "antd";
import { Link, useNavigate, useSearchParams } from "react-router";
import {
  type GenerateRequest,
  type Harvest,
  type Limb,
  type NumberingId,
  type Rules,
  refusal,
  type Stance,
} from "../api/client";
import { useSession } from "../api/session";
import { useNumbering } from "../api/useNumbering";
import { TO_SAVE } from "../bench/draft";
import { CombinationLine } from "../combination-line/CombinationLine";
import { VerdictMark } from "../ui/VerdictMark";
import { Waiting } from "../ui/Waiting";
import { LIMBS, RULES, STANCES, seconds } from "../ui/words";
import { useGenerate } from "./useGenerate";
import "./generate.css";

const LINE_WIDTH = 430;
const THEMES = [
  { value: "", label: "any theme" },
  { value: "head-movement", label: "head movement" },
  { value: "body-work", label: "body work" },
  { value: "in-and-out", label: "in and out" },
  { value: "angles", label: "angles" },
  { value: "counters", label: "counters" },
  { value: "kicks-off-hands", label: "kicks off hands" },
];
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

/** The wishes live in the address, so that a list can be shared and comes back the same. */
function wishesOf(address: URLSearchParams, numbering: NumberingId): Required<Omit<GenerateRequest, "tempo">> {
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
  const wishes = wishesOf(address, useNumbering());
  const harvest = useGenerate(wishes);
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
      <section className="panel wishes" aria-label="Wishes">
        <h1>Generate</h1>
        <p className="small">Chains that pass the check and are not in the library yet.</p>
        <span className="field-name">Rules</span>
        <Segmented
          block
          value={wishes.rules}
          onChange={(rules) => put({ rules })}
          options={RULES}
          aria-label="House rules"
        />
        <span className="field-name">Weapons</span>
        <Checkbox.Group
          value={wishes.weapons}
          onChange={(weapons) => put({ weapons: weapons.length === 0 ? "hand" : weapons.join(",") })}
          options={LIMBS}
        />
        <span className="field-name">Strikes: {wishes.length}</span>
        <Slider
          min={2}
          max={10}
          value={wishes.length}
          onChange={(length: number) => put({ length })}
          tooltip={{ open: false }}
          ariaLabelForHandle="How many strikes"
        />
        <label htmlFor="theme">Theme</label>
        <Select
          id="theme"
          value={wishes.theme ?? ""}
          onChange={(theme: string) => put({ theme })}
          options={THEMES}
          getPopupContainer={(node) => node.parentElement ?? document.body}
        />
        <span className="field-name">Level</span>
        <Segmented
          block
          value={wishes.level ?? 0}
          onChange={(level) => put({ level: level || "" })}
          options={LEVELS}
          aria-label="Level"
        />
        <span className="field-name">Clean of findings at</span>
        <Segmented
          block
          value={wishes.clean}
          onChange={(clean) => put({ clean })}
          options={CLEAN}
          aria-label="No finding of this weight or heavier"
        />
        <Checkbox checked={wishes.switches} onChange={(event) => put({ switches: event.target.checked ? "yes" : "" })}>
          the stance may change
        </Checkbox>
        <span className="field-name">Written for</span>
        <Segmented
          block
          value={wishes.stance}
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
            value={wishes.seed}
            onChange={(seed) => put({ seed: seed ?? 1 })}
          />
          <Button type="primary" onClick={() => put({ seed: 1 + Math.floor(Math.random() * 99_999) })}>
            Others
          </Button>
        </span>
      </section>
      <section className="harvest" aria-label="Generated chains" aria-busy={harvest.isFetching}>
        {harvest.isError ? (
          <Alert type="error" showIcon message={refusal(harvest.error).title} role="alert" />
        ) : harvest.data ? (
          <Results harvest={harvest.data} wishes={wishes} old={harvest.isPlaceholderData} onSeed={put} />
        ) : (
          <Waiting what="Making chains" />
        )}
      </section>
    </main>
  );
}

/** What to put into the address when a wish is given up. */
function giveUp(wish: string): Record<string, string> {
  const [name, value] = wish.split(" ");
  switch (name) {
    case "weapons":
      return { weapons: "hand,leg,knee,elbow" };
    case "length":
      return { length: value ?? "4" };
    case "switches":
      return { switches: "yes" };
    case "clean":
      return { clean: "must" };
    default:
      return { [name ?? ""]: "" };
  }
}

function Results({
  harvest,
  wishes,
  old,
  onSeed,
}: {
  harvest: Harvest;
  wishes: GenerateRequest;
  old: boolean;
  onSeed: (values: Record<string, string>) => void;
}) {
  const few = harvest.chains.length < harvest.asked;
  return (
    <>
      {few && (
        <section className="panel few" role="status">
          <h2>
            {harvest.chains.length === 0
              ? "Nothing new fits all of these wishes"
              : `Only ${harvest.chains.length} of ${harvest.asked} new ones fit all of these wishes`}
          </h2>
          {harvest.relax.length === 0 ? (
            <p>No single wish is to blame; give up two, or make the chain shorter.</p>
          ) : (
            <p>
              Give one up, and this many come:{" "}
              {harvest.relax.map((relax) => (
                <button key={relax.wish} type="button" className="chip" onClick={() => onSeed(giveUp(relax.wish))}>
                  {relax.words}
                </button>
              ))}
            </p>
          )}
        </section>
      )}
      <ol className={old ? "harvest-list harvest-old" : "harvest-list"}>
        {harvest.chains.map((chain) => (
          <Row key={chain.notation} chain={chain} wishes={wishes} />
        ))}
      </ol>
    </>
  );
}

function Row({ chain, wishes }: { chain: Harvest["chains"][number]; wishes: GenerateRequest }) {
  const head = useSession().data?.user?.role === "head-coach";
  const navigate = useNavigate();
  const { rules = "boxing", stance = "orthodox", numbering = "parity" } = wishes;
  const bench = `/bench?${new URLSearchParams({ chain: chain.text, stance, rules, numbering })}`;
  return (
    <li className="panel harvest-row">
      <div>
        <Link to={bench} className="harvest-text">
          {chain.text}
        </Link>
        <p className="small">{chain.words}</p>
      </div>
      <div className="harvest-line">
        <CombinationLine drawing={chain.line} width={LINE_WIDTH} name={chain.words} />
      </div>
      <div className="harvest-facts">
        <VerdictMark verdict={chain.verdict} />
        <small>
          {seconds(chain.lengthMs)} · level {chain.level}
        </small>
        <span className="harvest-ways">
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
