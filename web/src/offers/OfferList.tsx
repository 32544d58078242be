import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { Offer, OfferPage } from "../api/client";
import { useMay } from "../api/session";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Alert } from "../ui/Alert";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { Failure } from "../ui/Failure";
import { Loaded } from "../ui/Loaded";
import { Pages } from "../ui/Pages";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { VerdictMark } from "../ui/VerdictMark";
import { dayAndTime } from "../ui/words";
import { useAnswerOffer, useOffers, useProposeOffer, useReadAgain } from "./useOffers";
import "../ui/gym.css";
import "./offers.css";

export const KINDS: Record<Offer["kind"], string> = {
  combination: t`combination`,
  theme: t`theme`,
  course: t`course`,
  numbering: t`numbering`,
  "house-rules": t`house rules`,
};
/** After so long the offers of another installation are read again by themselves, in ms. */
const OLD = 3_600_000;

/** What other gyms offer: what each thing would change here, and what to do with it. */
export function OfferList() {
  const [address, setAddress] = useSearchParams();
  const isAnswered = address.get("answered") === "true";
  const page = Number(address.get("page")) || 1;
  const offers = useOffers(isAnswered, page);
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
    <>
      <Flex wrap align="center" gap="var(--space-3) var(--space-8)" className="offer-head">
        <Segmented
          value={isAnswered ? "answered" : "waiting"}
          onChange={(value) => put("answered", value === "answered" ? "true" : null)}
          options={[
            { value: "waiting", label: t`Wait for an answer` },
            { value: "answered", label: t`Answered` },
          ]}
          aria-label={t`Which offers`}
        />
        {offers.data && !isAnswered && <AcceptFlowing offers={offers.data.offers} />}
        <Link to="/sharing" className="small">
          <Trans>Whose offers are read</Trans>
        </Link>
      </Flex>
      <Loaded query={offers} what={t`Loading the offers`}>
        {(data) => (
          <>
            <Sources sources={data.sources} />
            {data.offers.length === 0 ? (
              <Empty isAnswered={isAnswered} hasSources={data.sources.length > 0} />
            ) : (
              <Flex component="ol" vertical gap="small">
                {data.offers.map((offer) => (
                  <li key={offer.source + offer.kind + offer.item} className="panel">
                    <Row offer={offer} />
                  </li>
                ))}
              </Flex>
            )}
            <Pages page={page} size={data.size} total={data.total} onPage={(to) => put("page", String(to))} />
          </>
        )}
      </Loaded>
    </>
  );
}

function Empty({ isAnswered, hasSources }: { isAnswered: boolean; hasSources: boolean }) {
  return (
    <div className="panel empty">
      <h2>{isAnswered ? t`No offer was answered yet` : t`No offer waits for an answer`}</h2>
      <p>
        {hasSources ? (
          t`What other gyms offer comes here, also when they change it later.`
        ) : (
          <Trans>
            No offers of other gyms are read yet. <Link to="/sharing">Paste the link that another gym gave you.</Link>
          </Trans>
        )}
      </p>
    </div>
  );
}

/** Says which gyms could not be asked, and asks those again that were asked long ago. */
function Sources({ sources }: { sources: OfferPage["sources"] }) {
  const readAgain = useReadAgain();
  const asked = useRef(new Set<number>());
  useEffect(() => {
    for (const { link, readAt } of sources) {
      if (link !== null && Date.now() - Date.parse(readAt) > OLD && !asked.current.has(link)) {
        asked.current.add(link);
        readAgain.mutate(link);
      }
    }
  }, [sources, readAgain]);
  return sources
    .filter(({ problem }) => problem !== null)
    .map(({ id, gym, link, problem, readAt }) => (
      <Alert
        key={id}
        type="warning"
        className="offer-problem"
        title={t`${gym}: ${problem ?? ""} What is shown was read ${dayAndTime(readAt)}.`}
        action={
          link !== null && (
            <Button loading={readAgain.isPending} onClick={() => readAgain.mutate(link)}>
              <Trans>Read again</Trans>
            </Button>
          )
        }
      />
    ));
}

/** Takes over all new combinations of the page that flow under our house rules. */
function AcceptFlowing({ offers }: { offers: Offer[] }) {
  const mayDecide = useMay("DECIDE_PROPOSALS");
  const answer = useAnswerOffer();
  const notice = useNotice();
  const [asks, setAsks] = useState(false);
  const [progress, setProgress] = useState<string | null>(null);
  const flowing = offers.filter(
    (offer) =>
      offer.kind === "combination" && offer.canBeAccepted && offer.verdict === "flows" && !offer.isLaterVersion,
  );
  if (!mayDecide || (flowing.length < 2 && progress === null)) {
    return null;
  }
  const acceptAll = async () => {
    let count = 0;
    try {
      for (const offer of flowing) {
        setProgress(t`${count + 1} of ${flowing.length}`);
        await answer.mutateAsync({ how: "accept", offer });
        count += 1;
      }
      notice.done(
        plural(count, { one: "One combination is in the library.", other: "# combinations are in the library." }),
      );
    } catch (error) {
      notice.failed(error);
    }
    setProgress(null);
    setAsks(false);
  };
  return (
    <>
      <Button onClick={() => setAsks(true)}>
        <Trans>Accept the {flowing.length} that flow</Trans>
      </Button>
      <ConfirmDialog
        isOpen={asks}
        title={t`Accept the new combinations that flow?`}
        action={progress ?? t`Accept them`}
        isRunning={progress !== null}
        onConfirm={() => void acceptAll()}
        onClose={() => setAsks(false)}
      >
        <Trans>
          These are the new combinations on this page that flow under your house rules. They come into the library as
          they are, with the gym that they are from.
        </Trans>
      </ConfirmDialog>
    </>
  );
}

function Row({ offer }: { offer: Offer }) {
  return (
    <div className="offer-row">
      <div className="offer-what">
        <Flex wrap align="center" gap="var(--space-2) var(--space-4)">
          <h2>{offer.name}</h2>
          <span className={`offer-kind${offer.isLaterVersion ? "" : " offer-kind-new"}`}>
            {offer.isLaterVersion ? t`change` : KINDS[offer.kind]}
          </span>
        </Flex>
        <p className="small">
          <Trans>from {offer.gym}</Trans>
          {offer.about && <> · {offer.about}</>}
        </p>
        {offer.text && (
          <p className="numbers">
            {offer.text} {offer.verdict && <VerdictMark verdict={offer.verdict} />}
          </p>
        )}
        {offer.line && (
          <span className="offer-line">
            <CombinationLine drawing={offer.line} width={340} name={offer.name} />
          </span>
        )}
      </div>
      <div className="offer-effect">
        <h3>
          <Trans>What it changes here</Trans>
        </h3>
        <ul>
          {offer.changes.length === 0 && (
            <li>
              <Trans>It is new here, and there is nothing like it in the library.</Trans>
            </li>
          )}
          {offer.changes.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
        {offer.here && (
          <p>
            <Link to={offer.here.page}>
              <Trans>Open “{offer.here.name}” here</Trans>
            </Link>
          </p>
        )}
        {offer.answer ? <Answer offer={offer} answer={offer.answer} /> : <Decide offer={offer} />}
      </div>
    </div>
  );
}

/** What was done with an offer. */
function Answer({ offer, answer }: { offer: Offer; answer: NonNullable<Offer["answer"]> }) {
  const mayDecide = useMay("DECIDE_PROPOSALS");
  const reconsider = useAnswerOffer();
  const words = { proposed: t`Proposed`, accepted: t`Accepted`, declined: t`Declined` };
  return (
    <>
      <Failure error={reconsider.error} />
      <Flex wrap align="center" gap="small">
        <b>{words[answer.answer]}</b>
        <span className="small">
          <Trans>
            {answer.who}, {dayAndTime(answer.at)}
          </Trans>
        </span>
        {answer.proposal !== null && (
          <Link to={`/review/${answer.proposal}`}>
            <Trans>Open the proposal</Trans>
          </Link>
        )}
        {answer.answer === "declined" && mayDecide && (
          <Button loading={reconsider.isPending} onClick={() => reconsider.mutate({ how: "reconsider", offer })}>
            <Trans>Decide again</Trans>
          </Button>
        )}
      </Flex>
    </>
  );
}

/** What can be done with an offer. */
function Decide({ offer }: { offer: Offer }) {
  const mayDecide = useMay("DECIDE_PROPOSALS");
  const navigate = useNavigate();
  const notice = useNotice();
  const answer = useAnswerOffer();
  const propose = useProposeOffer();
  const run = (how: "accept" | "decline") =>
    answer.mutate(
      { how, offer },
      {
        onSuccess: () =>
          how === "accept"
            ? notice.done(t`“${offer.name}” is taken over.`)
            : notice.undo(t`“${offer.name}” is declined.`, () => answer.mutate({ how: "reconsider", offer })),
      },
    );
  const look = () => propose.mutate(offer, { onSuccess: ({ proposal }) => void navigate(`/review/${proposal}`) });
  return (
    <>
      <Failure error={answer.error ?? propose.error} />
      <Flex wrap gap="small">
        {offer.kind === "house-rules" && !offer.canBeAccepted && (
          <Button
            type="primary"
            onClick={() => navigate(`/house-rules?set=${offer.item}&offer=${encodeURIComponent(offer.source)}`)}
          >
            <Trans>Look at what it does here</Trans>
          </Button>
        )}
        {mayDecide && offer.canBeAccepted && (
          <Button type="primary" loading={answer.isPending} onClick={() => run("accept")}>
            {offer.isLaterVersion ? t`Accept the change` : t`Accept`}
          </Button>
        )}
        {offer.kind === "combination" && offer.canBeAccepted && (
          <Button loading={propose.isPending} onClick={look}>
            {mayDecide ? t`Look closer, or change it first` : t`Propose it to the head coach`}
          </Button>
        )}
        {mayDecide && (
          <Button danger onClick={() => run("decline")}>
            <Trans>Decline</Trans>
          </Button>
        )}
      </Flex>
    </>
  );
}
