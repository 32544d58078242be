import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Card } from "../api/client";
import { Loaded } from "../ui/Loaded";
import { LogNav } from "../ui/LogNav";
import { useNotice } from "../ui/useNotice";
import { day } from "../ui/words";
import { CodeToScan } from "./CodeToScan";
import SessionLinkDialog from "./SessionLinkDialog";
import { SessionLinkList } from "./SessionLinkList";
import { cardAddress, useCards, useRevokeCard } from "./useCards";
import { useConfirmRevoke } from "./useConfirmRevoke";
import "./cards.css";

/** Lists the cards of athletes. */
export default function CardsScreen() {
  const cards = useCards();
  const [address] = useSearchParams();
  const shown = Number(address.get("show"));
  return (
    <main className="page">
      <LogNav />
      <h1>
        <Trans>Cards for athletes</Trans>
      </h1>
      <p className="small card-lead">
        <Trans>
          Combinations to take home, in the athlete’s stance: a link that plays on a phone, and a printed sheet. Choose
          combinations in the <Link to="/library">library</Link>, then “Card for athletes”.
        </Trans>
      </p>
      <Loaded query={cards} what={t`Loading the cards`} />
      {cards.data?.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>No card yet</Trans>
          </h2>
          <p>
            <Trans>Tick some combinations in the library; the actions appear at the foot of the page.</Trans>
          </p>
        </div>
      )}
      <Flex component="ul" vertical gap="small">
        {cards.data?.map((card) => (
          <Row key={card.id} card={card} withCode={card.id === shown} />
        ))}
      </Flex>
      <SessionLinkList shown={Number(address.get("link"))} />
    </main>
  );
}

function Row({ card, withCode }: { card: Card; withCode: boolean }) {
  const revoke = useRevokeCard();
  const notice = useNotice();
  const address = cardAddress(card.key);
  const isOpen = card.revokedAt === null;
  const [asSession, setAsSession] = useState(false);
  const [ask, modalHolder] = useConfirmRevoke(card.name, () => revoke.mutateAsync(card.id));
  return (
    <li className={`panel card-row${isOpen ? "" : " card-revoked"}`}>
      {modalHolder}
      <div>
        <h2>{card.name}</h2>
        <p>{card.combinations.join(", ")}</p>
        <p className="small">
          <Trans>
            {card.stance} · made by {card.creator}, {day(card.createdAt)}
            {card.revokedAt && t` · revoked ${day(card.revokedAt)}`}
          </Trans>
        </p>
        {isOpen && (
          <Flex wrap gap="small">
            <Button onClick={() => notice.copy(address, t`The link is copied.`)}>
              <Trans>Copy link</Trans>
            </Button>
            <Button href={`/card/${card.key}`} target="_blank">
              <Trans>Open it</Trans>
            </Button>
            <Button href={`/api/cards/${card.id}/sheet.pdf`}>
              <Trans>Sheet to print (PDF)</Trans>
            </Button>
            <Button onClick={() => setAsSession(true)}>
              <Trans>As a session</Trans>
            </Button>
            <Button danger loading={revoke.isPending} onClick={ask}>
              <Trans>Revoke</Trans>
            </Button>
          </Flex>
        )}
      </div>
      {asSession && <SessionLinkDialog name={card.name} of={{ card: card.id }} onClose={() => setAsSession(false)} />}
      {isOpen && <CodeToScan address={address} name={card.name} isOpen={withCode} />}
    </li>
  );
}
