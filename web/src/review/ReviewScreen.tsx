import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Switch } from "antd";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { ProposalRow } from "../api/client";
import { useSession } from "../api/session";
import { CombinationLine } from "../combination-line/CombinationLine";
import { OfferList } from "../offers/OfferList";
import { useOffers } from "../offers/useOffers";
import { Loaded } from "../ui/Loaded";
import { FRESH } from "../ui/newCombination";
import { Pages } from "../ui/Pages";
import { Segmented } from "../ui/Segmented";
import { VerdictMark } from "../ui/VerdictMark";
import { dayAndTime } from "../ui/words";
import { type ProposalList, useProposals } from "./useReview";
import "../ui/gym.css";
import "./review.css";

export const KINDS: Record<ProposalRow["kind"], string> = { new: t`new`, change: t`change`, retire: t`archive` };

/** Returns the decision on a proposal and who made it. */
export function answerOf({ state, answer }: Pick<ProposalRow, "state" | "answer">): string {
  const words = {
    open: t`Waits`,
    returned: t`Sent back`,
    approved: t`Approved`,
    withdrawn: answer?.byAuthor ? t`Withdrawn` : t`Rejected`,
  };
  return t`${words[state]} by ${answer?.who ?? ""}`;
}

/** Which list is shown: proposals of coaches, or what other gyms offer. */
type ReviewList = ProposalList | "offers";

const EMPTY: Record<ProposalList, [string, string]> = {
  open: [t`Nothing waits for a decision`, t`What coaches propose on the bench or on a combination's page comes here.`],
  returned: [
    t`Nothing was sent back`,
    t`A proposal that the head coach sends back with a remark waits here for its author.`,
  ],
  decided: [t`Nothing was decided yet`, t`Approved, rejected and withdrawn proposals are kept here.`],
};

/** Lists the proposals of coaches and the decisions. */
export default function ReviewScreen() {
  const [address, setAddress] = useSearchParams();
  const user = useSession().data?.user;
  const waiting = useProposals("open", false).data?.waiting;
  // Coaches first see what was returned to them.
  const usual: ReviewList = user?.role === "coach" && (waiting?.returned ?? 0) > 0 ? "returned" : "open";
  const list = (address.get("list") ?? usual) as ReviewList;
  const mine = address.get("mine") === "true";
  const put = (name: string, value: string | null) =>
    setAddress(
      (now) => {
        now.delete("page");
        value === null ? now.delete(name) : now.set(name, value);
        return now;
      },
      { replace: true, preventScrollReset: true },
    );
  return (
    <main className="page">
      <ReviewHead list={list} mine={mine} waiting={waiting} onPut={put} />
      {list === "offers" ? <OfferList /> : <Proposals list={list} mine={mine} onPut={put} />}
    </main>
  );
}

interface ListProps {
  list: ProposalList;
  mine: boolean;
  onPut: (name: "page", value: string) => void;
}

function Proposals({ list, mine, onPut }: ListProps) {
  const [address] = useSearchParams();
  const page = Number(address.get("page")) || 1;
  const proposals = useProposals(list, mine, undefined, page);
  const rows = proposals.data?.proposals ?? [];
  return (
    <>
      <Loaded query={proposals} what={t`Loading the proposals`} />
      {proposals.data && rows.length === 0 && (
        <div className="panel empty">
          <h2>{EMPTY[list][0]}</h2>
          <p>{EMPTY[list][1]}</p>
        </div>
      )}
      {rows.length > 0 && (
        <Flex component="ol" vertical gap="small">
          {rows.map((row) => (
            <li key={row.id} className="panel">
              <Row row={row} />
            </li>
          ))}
        </Flex>
      )}
      {proposals.data && (
        <Pages
          page={page}
          size={proposals.data.size}
          total={proposals.data.total}
          onPage={(to) => onPut("page", String(to))}
        />
      )}
    </>
  );
}

interface HeadProps {
  list: ReviewList;
  mine: boolean;
  waiting: NonNullable<ReturnType<typeof useProposals>["data"]>["waiting"] | undefined;
  onPut: (name: "list" | "mine", value: string | null) => void;
}

function ReviewHead({ list, mine, waiting, onPut }: HeadProps) {
  const navigate = useNavigate();
  const user = useSession().data?.user;
  const offers = useOffers(false).data;
  return (
    <Flex wrap align="center" gap="var(--space-4) var(--space-8)" className="review-head">
      <h1>
        <Trans>Review</Trans>
      </h1>
      <Segmented
        value={list}
        onChange={(value) => onPut("list", value)}
        options={[
          { value: "open", label: t`To decide${count(waiting?.open)}` },
          { value: "returned", label: t`Sent back${count(waiting?.returned)}` },
          { value: "decided", label: t`Decided` },
          { value: "offers", label: t`Offers of other gyms${count(offers?.open)}` },
        ]}
        aria-label={t`Which proposals`}
      />
      {list !== "offers" && (
        <span className="option">
          <Switch size="small" checked={mine} onChange={(on) => onPut("mine", on ? "true" : null)} id="review-mine" />
          <label htmlFor="review-mine">
            <Trans>only mine</Trans>
          </label>
        </span>
      )}
      {list !== "offers" && waiting && waiting.approved + waiting.rejected > 0 && (
        <span className="small">
          <Trans>
            Yours: {waiting.approved} approved, {waiting.rejected} rejected
          </Trans>
        </span>
      )}
      {user?.role === "coach" && (
        <Button type="primary" className="new-item" onClick={() => navigate("/bench", { state: FRESH })}>
          <Trans>Propose a new one</Trans>
        </Button>
      )}
    </Flex>
  );
}

function count(of: number | undefined): string {
  return of ? ` (${of})` : "";
}

function Row({ row }: { row: ProposalRow }) {
  const { content } = row;
  return (
    <Link to={`/review/${row.id}`} className="review-row">
      <span className={`review-kind review-kind-${row.kind}`}>{KINDS[row.kind]}</span>
      <span className="review-name">
        <b>{row.combination?.name ?? content.name}</b>
        <small>
          {row.author.name} · {dayAndTime(row.updatedAt)}
          {row.combination?.archived && row.kind !== "retire" ? t` · of an archived combination` : ""}
        </small>
        {row.answer && (
          <span className={`review-answer answer-${row.state}`}>
            {answerOf(row)}
            {row.answer.remark && <q>{row.answer.remark}</q>}
          </span>
        )}
      </span>
      <span className="numbers">{content.text}</span>
      <VerdictMark verdict={row.verdict} />
      <span className="review-line">
        <CombinationLine drawing={row.line} width={340} name={content.name} />
      </span>
    </Link>
  );
}
