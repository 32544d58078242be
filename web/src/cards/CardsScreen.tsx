import { App, Button } from "antd";
import { Link, useSearchParams } from "react-router";
import type { Card } from "../api/client";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { LogNav } from "../ui/LogNav";
import { layers } from "../ui/layers";
import { QrCode } from "../ui/QrCode";
import { useNotice } from "../ui/useNotice";
import { day } from "../ui/words";
import { cardAddress, useCards, useRevokeCard } from "./useCards";
import "./cards.css";

/** Lists the cards of athletes. */
export default function CardsScreen() {
  const cards = useCards();
  const [address] = useSearchParams();
  const shown = Number(address.get("show"));
  return (
    <main className="page">
      <LogNav />
      <h1>Cards for athletes</h1>
      <p className="small card-lead">
        Combinations to take home, in the athlete’s stance: a link that plays on a phone, and a printed sheet. Choose
        combinations in the <Link to="/library">library</Link>, then “Card for athletes”.
      </p>
      <Failure error={cards.error} onRetry={() => cards.refetch()} />
      {cards.isPending && <Loading what="Loading the cards" />}
      {cards.data?.length === 0 && (
        <div className="panel empty">
          <h2>No card yet</h2>
          <p>Tick some combinations in the library; what can be done with them stands at the foot of the page.</p>
        </div>
      )}
      <ul className="card-list">
        {cards.data?.map((card) => (
          <Row key={card.id} card={card} withCode={card.id === shown} />
        ))}
      </ul>
    </main>
  );
}

function Row({ card, withCode }: { card: Card; withCode: boolean }) {
  const revoke = useRevokeCard();
  const notice = useNotice();
  const address = cardAddress(card.key);
  const isOpen = card.revokedAt === null;
  const { modal } = App.useApp();
  const ask = () =>
    modal.confirm({
      getContainer: layers,
      title: `Revoke “${card.name}”?`,
      content: "Whoever has the link sees nothing any more.",
      okText: "Revoke it",
      cancelText: "Keep it",
      onOk: () =>
        revoke
          .mutateAsync(card.id)
          .then(() => notice.done("Revoked. The link opens nothing any more."))
          .catch(notice.failed),
    });
  return (
    <li className={`panel card-row${isOpen ? "" : " card-revoked"}`}>
      <div>
        <h2>{card.name}</h2>
        <p>{card.combinations.join(", ")}</p>
        <p className="small">
          {card.stance} · made by {card.creator}, {day(card.createdAt)}
          {card.revokedAt && ` · revoked ${day(card.revokedAt)}`}
        </p>
        {isOpen && (
          <div className="card-actions">
            <Button onClick={() => notice.copy(address, "The link is copied.")}>Copy link</Button>
            <Button href={`/card/${card.key}`} target="_blank">
              Open it
            </Button>
            <Button href={`/api/cards/${card.id}/sheet.pdf`}>Sheet to print (PDF)</Button>
            <Button danger loading={revoke.isPending} onClick={ask}>
              Revoke
            </Button>
          </div>
        )}
      </div>
      {isOpen && (
        <details className="card-code" open={withCode}>
          <summary>Code to scan</summary>
          <QrCode address={address} label={`Address of ${card.name}`} />
        </details>
      )}
    </li>
  );
}
