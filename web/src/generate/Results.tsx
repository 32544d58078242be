import { Button } from "antd";
import { Link, useNavigate } from "react-router";
import type { GenerateRequest, Generation } from "../api/client";
import { useIsHeadCoach } from "../api/session";
import { TO_SAVE } from "../bench/draft";
import { CombinationLine } from "../combination-line/CombinationLine";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds } from "../ui/words";
import { addressOf } from "./criteria";

const LINE_WIDTH = 430;

/** What was made, and which criterion to give up where too few could be made. */
export function Results({
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
