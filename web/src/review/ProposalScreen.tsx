import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { bounds } from "../api/bounds";
import { type Check, type Content, type Proposal, refusal } from "../api/client";
import { useMay, useSession } from "../api/session";
import { useNumbering } from "../api/useNumbering";
import { useCheck } from "../check/useCheck";
import { CombinationLine } from "../combination-line/CombinationLine";
import { MovingMark } from "../combination-line/MovingMark";
import { Compare } from "../compare/Compare";
import { PlayBar } from "../play/PlayBar";
import { usePlay } from "../play/usePlay";
import { Failure, NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Trail } from "../ui/Trail";
import { useNotice } from "../ui/useNotice";
import { VerdictMark } from "../ui/VerdictMark";
import { dayAndTime } from "../ui/words";
import { CheckBeforeAfter, Fields } from "./Changes";
import { answerOf, KINDS } from "./ReviewScreen";
import { type Decision, useDecide, useProposal, useProposals } from "./useReview";
import "../ui/gym.css";
import "./review.css";

const STATES: Record<Proposal["state"], string> = {
  open: t`waits for the head coach`,
  returned: t`sent back to its author`,
  approved: t`approved`,
  withdrawn: t`withdrawn`,
};
const STEPS: Record<Proposal["steps"][number]["step"], string> = {
  proposed: t`proposed it`,
  revised: t`revised it`,
  returned: t`sent it back`,
  approved: t`approved it`,
  withdrawn: t`withdrew it`,
};

export default function ProposalScreen() {
  const id = Number(useParams().id);
  const proposal = useProposal(Number.isInteger(id) ? id : -1);
  if (proposal.isError) {
    return (
      <NoPage error={proposal.error}>
        <Link to="/review">
          <Trans>Go to the review</Trans>
        </Link>
      </NoPage>
    );
  }
  return proposal.data ? (
    <Page key={proposal.data.id} proposal={proposal.data} again={() => void proposal.refetch()} />
  ) : (
    <Loading what={t`Loading the proposal`} />
  );
}

function useContentCheck(content: Content | null): Check | undefined {
  const readIn = useNumbering();
  return useCheck({
    text: content?.notation ?? "",
    stance: content?.stance ?? "orthodox",
    rules: content?.rules ?? "all-limbs",
    numbering: "parity",
    readIn,
  }).readable;
}

function Page({ proposal, again }: { proposal: Proposal; again: () => void }) {
  const after = useContentCheck(proposal.result);
  const before = useContentCheck(proposal.kind === "change" ? proposal.newest : null);
  const decided = proposal.state === "approved" || proposal.state === "withdrawn";

  return (
    <main className="page">
      <Trail to="/review" place={t`Review`} name={proposal.combination?.name ?? proposal.content.name} />
      <Flex component="header" wrap align="baseline" gap="var(--space-3) var(--space-8)" className="page-head">
        <h1>{proposal.combination?.name ?? proposal.content.name}</h1>
        <span className={`review-kind review-kind-${proposal.kind}`}>{KINDS[proposal.kind]}</span>
        <span className="small">
          <Trans>
            by {proposal.author.name}, {dayAndTime(proposal.createdAt)} · {STATES[proposal.state]}
          </Trans>
        </span>
        {proposal.combination && (
          <Flex component="span" wrap gap="small" className="page-actions">
            <Link to={`/combinations/${proposal.combination.id}`}>
              {proposal.state === "approved" ? t`Open the combination` : t`Open the current version`}
            </Link>
          </Flex>
        )}
      </Flex>
      <div className="columns">
        <div>
          <Reason proposal={proposal} />
          {proposal.answer && <Answer proposal={proposal} />}
          <Notices proposal={proposal} isDecided={decided} />
          <section className="panel block" aria-label={t`Preview`}>
            {proposal.kind === "change" && before && after && before.notation !== after.notation ? (
              <Compare
                first={{ title: t`Current version`, check: before, stance: proposal.newest?.stance ?? "orthodox" }}
                second={{ title: t`Proposed`, check: after, stance: proposal.result.stance }}
              />
            ) : (
              after && <Line check={after} stance={proposal.result.stance} />
            )}
          </section>
          <section className="panel block" aria-label={t`What changes`}>
            <h2>{proposal.kind === "change" ? t`What changes` : t`As proposed`}</h2>
            <Fields proposal={proposal} />
          </section>
          {after && <CheckBeforeAfter before={before} after={after} />}
        </div>
        <aside>
          {!decided && <Decide proposal={proposal} again={again} />}
          <Steps steps={proposal.steps} />
        </aside>
      </div>
    </main>
  );
}

/** The proposed line with its player. */
function Line({ check, stance }: { check: Check; stance: Content["stance"] }) {
  const play = usePlay(check);
  return (
    <>
      <p className="numbers">
        {check.text} {check.verdict && <VerdictMark verdict={check.verdict} />}
      </p>
      {check.drawings?.card && (
        <CombinationLine
          drawing={check.drawings.card}
          name={t`Combination line: ${check.text ?? ""}`}
          overlay={play.plays ? (line) => <MovingMark line={line} stance={stance} at={play.at} /> : undefined}
        />
      )}
      <PlayBar play={play} />
    </>
  );
}

/** Why its author proposes it, as last said. */
function Reason({ proposal }: { proposal: Proposal }) {
  const said = proposal.steps.findLast(({ step, remark }) => (step === "proposed" || step === "revised") && remark);
  return said ? (
    <section className="panel block reason" aria-label={t`Reason`}>
      <b>
        <Trans>{said.who} says:</Trans>
      </b>{" "}
      <q>{said.remark}</q>
    </section>
  ) : null;
}

/** The decision and its remark. */
function Answer({ proposal }: { proposal: Proposal }) {
  const { answer, state, combination } = proposal;
  return (
    <section className={`panel block answer answer-${state}`} aria-label={t`The answer`}>
      <h2>{answerOf(proposal)}</h2>
      {answer?.remark && <q>{answer.remark}</q>}
      {state === "approved" && combination && (
        <p>
          {combination.archived ? t`Archived: ` : t`In use: `}
          <Link to={`/combinations/${combination.id}`}>{combination.name}</Link>
        </p>
      )}
    </section>
  );
}

/** What has happened around a proposal since it was made. */
function Notices({ proposal, isDecided }: { proposal: Proposal; isDecided: boolean }) {
  const clashing = useClashing(proposal);
  const both = proposal.changed.filter((field) => proposal.movedOn.includes(field));
  return (
    <>
      {!isDecided && proposal.combination?.archived && (
        <p className="changed-meanwhile" role="note">
          {proposal.kind === "retire"
            ? t`This combination was archived meanwhile, so there is nothing left to approve.`
            : t`This combination is archived. Approving changes it there and it stays archived; to have it in use, restore it on its page.`}
        </p>
      )}
      {proposal.sameChain.length > 0 && (
        <p className="changed-meanwhile" role="note">
          <Trans>The same chain waits in </Trans>
          {proposal.sameChain.map((other, index) => (
            <span key={other.id}>
              <Trans>
                {index > 0 && ", "}
                <Link to={`/review/${other.id}`}>{other.name}</Link> by {other.author}
              </Trans>
            </span>
          ))}
          <Trans>. Only one of them can be approved.</Trans>
        </p>
      )}
      {!isDecided && clashing.length > 0 && (
        <p className="changed-meanwhile" role="note">
          <Trans>Another proposal for this combination waits: </Trans>
          {clashing.map((other) => (
            <Link key={other.id} to={`/review/${other.id}`} className="tag">
              <Trans>
                {KINDS[other.kind]} by {other.author.name}
              </Trans>
            </Link>
          ))}
        </p>
      )}
      {!isDecided && proposal.movedOn.length > 0 && (
        <p className="changed-meanwhile" role="note">
          <Trans>
            Since this was proposed, others changed {proposal.movedOn.join(", ")} of the combination. It is compared
            with the newest version; their changes stay
            {both.length > 0
              ? t`, but for ${both.join(", ")}, which both changed: approving takes the proposal's.`
              : "."}
          </Trans>
        </p>
      )}
    </>
  );
}

/** Returns the other undecided proposals for the same combination. */
function useClashing(proposal: Proposal) {
  const id = proposal.combination?.id;
  const open = useProposals("open", false, id).data?.proposals ?? [];
  return id === undefined ? [] : open.filter((other) => other.id !== proposal.id && other.combination?.id === id);
}

/** The remark and the decision. */
function Decide({ proposal, again }: { proposal: Proposal; again: () => void }) {
  const notice = useNotice();
  const navigate = useNavigate();
  const decide = useDecide(proposal);
  const [remark, setRemark] = useState("");
  const mayDecide = useMay("DECIDE_PROPOSALS");
  const user = useSession().data?.user;
  const own = useIsOwn(proposal);
  const waiting = useProposals("open", false).data?.proposals ?? [];
  /** Goes to the next proposal that waits; without one, to what was approved. */
  const goOn = (done: Proposal) => {
    const next = waiting.find(({ id, author }) => id !== proposal.id && author.id !== user?.id);
    if (mayDecide && next) {
      void navigate(`/review/${next.id}`);
    } else if (done.state === "approved" && done.combination) {
      void navigate(`/combinations/${done.combination.id}`);
    }
  };
  const run = (decision: Decision, said: string) =>
    decide.mutate(
      { decision, remark, against: proposal.combination?.version ?? null },
      {
        onSuccess: (done) => {
          notice.done(said);
          setRemark("");
          goOn(done);
        },
        onError: (error) => {
          if (refusal(error).type === "changed-meanwhile") {
            again();
          }
        },
      },
    );

  return (
    <Flex component="section" vertical gap="small" className="panel block" aria-label={t`Decide`}>
      <h2>{mayDecide ? t`Decide` : own ? t`Your proposal` : t`Waits for the head coach`}</h2>
      <Failure error={decide.error} />
      {(mayDecide || own) && (
        <>
          <label htmlFor="remark">
            <Trans>Remark</Trans>
          </label>
          <Input.TextArea
            id="remark"
            rows={3}
            {...bounds("DecisionRequest", "remark")}
            value={remark}
            onChange={(event) => setRemark(event.target.value)}
            placeholder={mayDecide ? t`What is good, or what should be done` : t`What you changed, and why`}
          />
        </>
      )}
      <DecideButtons proposal={proposal} remark={remark} isRunning={decide.isPending} onDecide={run} />
      {mayDecide && proposal.kind !== "new" && (
        <p className="small">
          <Trans>The current version stays in use until you approve.</Trans>
        </p>
      )}
    </Flex>
  );
}

interface ButtonsProps {
  proposal: Proposal;
  remark: string;
  isRunning: boolean;
  onDecide: (decision: Decision, said: string) => void;
}

/** What the author and the head coach can do with a proposal. */
function DecideButtons({ proposal, remark, isRunning, onDecide }: ButtonsProps) {
  const navigate = useNavigate();
  const mayDecide = useMay("DECIDE_PROPOSALS");
  const own = useIsOwn(proposal);
  const isArchived = proposal.combination?.archived === true;
  const openBench = () => void navigate(`/bench?proposal=${proposal.id}`);
  return (
    <Flex component="span" wrap gap="small">
      {mayDecide && (
        <>
          <Button
            type="primary"
            loading={isRunning}
            disabled={proposal.kind === "retire" && isArchived}
            onClick={() =>
              onDecide(
                "approve",
                proposal.kind === "change" && isArchived
                  ? t`“${proposal.result.name}” is approved; the combination stays archived.`
                  : t`“${proposal.result.name}” is approved.`,
              )
            }
          >
            {proposal.kind === "retire" ? t`Approve: archive it` : t`Approve`}
          </Button>
          {proposal.state === "open" && !own && (
            <Button
              disabled={remark.trim() === ""}
              title={remark.trim() === "" ? t`Add a remark first: what should change?` : undefined}
              onClick={() => onDecide("return", t`Sent back to ${proposal.author.name}.`)}
            >
              <Trans>Send back</Trans>
            </Button>
          )}
          {proposal.kind !== "retire" && (
            <Button onClick={openBench}>
              <Trans>Edit, then approve</Trans>
            </Button>
          )}
        </>
      )}
      {own && proposal.kind !== "retire" && (
        <Button onClick={openBench}>
          <Trans>Revise on the bench</Trans>
        </Button>
      )}
      {(own || mayDecide) && (
        <Button
          danger
          onClick={() =>
            onDecide(
              "withdraw",
              own ? t`Withdrawn. It is kept under “Decided”.` : t`Rejected. It is kept under “Decided”.`,
            )
          }
        >
          {own ? t`Withdraw` : t`Reject`}
        </Button>
      )}
    </Flex>
  );
}

/** Tells whether the signed-in coach made the proposal. */
function useIsOwn(proposal: Proposal): boolean {
  return useSession().data?.user?.id === proposal.author.id;
}

function Steps({ steps }: { steps: Proposal["steps"] }) {
  return (
    <section className="panel block" aria-label={t`History`}>
      <h2>
        <Trans>History</Trans>
      </h2>
      <ol className="proposal-steps">
        {steps.map((step) => (
          <li key={step.at + step.step}>
            <b>{step.who}</b> {STEPS[step.step]} <span className="small">{dayAndTime(step.at)}</span>
            {step.content && <div className="numbers">{step.content.text}</div>}
            {step.remark && <q>{step.remark}</q>}
          </li>
        ))}
      </ol>
    </section>
  );
}
