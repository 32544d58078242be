import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { useState } from "react";
import { useParams } from "react-router";
import type { AthleteCard } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { MovingMark } from "../combination-line/MovingMark";
import { BothOpponents } from "../from-above/BothOpponents";
import { PlayBar } from "../play/PlayBar";
import { usePlay } from "../play/usePlay";
import { Player } from "../recording/Player";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { useAthleteCard } from "./useCards";
import "./cards.css";

/** An athlete's card on a phone, without sign-in. */
export default function AthleteCardScreen() {
  const cardKey = useParams().key ?? "";
  const card = useAthleteCard(cardKey);
  if (card.isPending) {
    return <Loading what={t`Loading the card`} />;
  }
  if (card.isError) {
    return <NoPage title={t`This card cannot be shown`} error={card.error} />;
  }
  const { data } = card;
  return (
    <main className="page athlete-card">
      <title>{data.name}</title>
      <p className="small">{data.gym}</p>
      <h1>{data.name}</h1>
      <p className="small">
        <Trans>
          {data.stance} stance · numbers: {data.numbering}
        </Trans>
      </p>
      {data.combinations.map((one) => (
        <One key={one.id} one={one} card={data} cardKey={cardKey} />
      ))}
      <p className="small card-caution">
        <Trans>
          Slow and clean first. Not to the head of a partner, and no spinning strikes, without your coach. When
          something hurts, stop and say so.
        </Trans>
      </p>
    </main>
  );
}

interface OneProps {
  one: AthleteCard["combinations"][number];
  card: AthleteCard;
  cardKey: string;
}

function One({ one, card, cardKey }: OneProps) {
  const play = usePlay(one);
  const [isOpen, setOpen] = useState(false);
  const [isAbove, setAbove] = useState(false);
  return (
    <Flex component="section" vertical gap="small" className="panel athlete-one" aria-label={one.name}>
      <h2>{one.name}</h2>
      <p className="athlete-numbers">{one.numbers}</p>
      <CombinationLine
        drawing={one.line}
        name={one.name}
        stance={card.stance}
        overlay={play.plays ? (line) => <MovingMark line={line} stance={card.stance} at={play.at} /> : undefined}
      />
      <PlayBar play={play} />
      <button type="button" className="link-button" aria-expanded={isAbove} onClick={() => setAbove(!isAbove)}>
        {isAbove ? <Trans>Hide the view from above</Trans> : <Trans>From above</Trans>}
      </button>
      {isAbove && (
        <BothOpponents drawing={one.fromAbove} stance={card.stance} names={one.words} at={play.at} plays={play.plays} />
      )}
      <Played recordings={one.recordings} name={one.name} folder={`/api/athlete-cards/${cardKey}/recordings`} />
      <p className="athlete-words">{one.words.join(", ")}</p>
      {one.reminders.length > 0 && (
        <p>
          <button type="button" className="link-button" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            <Trans>What to think of</Trans>
          </button>
          {isOpen && <span className="athlete-reminders">{one.reminders.join(" · ")}</span>}
        </p>
      )}
    </Flex>
  );
}

interface PlayedProps {
  recordings: AthleteCard["combinations"][number]["recordings"];
  /** The name of the combination. */
  name: string;
  /** The folder from which they are loaded. */
  folder: string;
}

/** Plays what coaches recorded of a combination; its strikes and moves are opened by a press. */
function Played({ recordings, name, folder }: PlayedProps) {
  return recordings.map(({ id, kind, technique }) =>
    technique === null ? (
      <Player key={id} kind={kind} name={name} address={`${folder}/${id}`} />
    ) : (
      <details key={id}>
        <summary>{technique}</summary>
        <Player kind={kind} name={technique} address={`${folder}/${id}`} />
      </details>
    ),
  );
}
