import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import type { Check, FromAbove, Stance } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { MovingMark } from "../combination-line/MovingMark";
import { beforeContact } from "../combination-line/sentences";
import { BothOpponents } from "../from-above/BothOpponents";
import { PlayBar } from "../play/PlayBar";
import { usePlay } from "../play/usePlay";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds } from "../ui/words";
import { difference, moreOf } from "./difference";
import "./compare.css";

export interface Side {
  title: string;
  check: Check;
  /** The chain from above, where it was asked for. */
  fromAbove?: FromAbove;
  /** The stance for the words under the line. */
  stance: Stance;
}

/** Two chains on one time axis; what only one of them has is underlined. */
export function Compare({ first, second }: { first: Side; second: Side }) {
  const span = Math.max(first.check.lengthMs ?? 0, second.check.lengthMs ?? 0);
  const marks = difference(first.check.items, second.check.items);
  const length = (second.check.lengthMs ?? 0) - (first.check.lengthMs ?? 0);
  const wait = (second.check.waitMs ?? 0) - (first.check.waitMs ?? 0);
  return (
    <div className="compare">
      {[first, second].map((side, at) => (
        <OneSide key={side.title} side={side} spanMs={span} marked={marks[at as 0 | 1]} />
      ))}
      <Changes first={first} second={second} />
      <p className="compare-sum">
        {change(length, "shorter", "longer", t`As long as before`)};{" "}
        {change(wait, "less", "more", t`as much`, " waiting")}.
      </p>
    </div>
  );
}

/** Compares contacts and exits: what the second chain no longer has, and what it has instead. */
function Changes({ first, second }: { first: Side; second: Side }) {
  const meets = ({ check, stance }: Side) => check.stances?.[stance].contacts.flat() ?? [];
  const lost = moreOf(meets(first), meets(second));
  const gained = moreOf(meets(second), meets(first));
  const [out, outThen] = [first, second].map(({ check, stance }) => check.stances?.[stance].guard.out);
  if (lost.length + gained.length === 0 && out === outThen) {
    return null;
  }
  return (
    <Flex component="ul" wrap gap="var(--space-2) var(--space-9)">
      {lost.length > 0 && (
        <li>
          <b>
            <Trans>Lost:</Trans>
          </b>{" "}
          {lost.join(", ")}
        </li>
      )}
      {gained.length > 0 && (
        <li>
          <b>
            <Trans>Gained:</Trans>
          </b>{" "}
          {gained.join(", ")}
        </li>
      )}
      {out !== outThen && (
        <li>
          <Trans>
            <b>Way out:</b> to the {outThen} instead of the {out}
          </Trans>
        </li>
      )}
    </Flex>
  );
}

/** One of the two chains: its line with player, and its words. */
function OneSide({ side, spanMs, marked }: { side: Side; spanMs: number; marked: ReadonlySet<number> }) {
  const { title, check, fromAbove, stance } = side;
  const play = usePlay(check);
  return (
    <section aria-label={title}>
      <h2>
        {title} <span className="compare-text">{check.text}</span>
        {check.verdict && <VerdictMark verdict={check.verdict} />}
        <small>{seconds(check.lengthMs ?? 0)}</small>
        <PlayBar play={play} withTempo={false} />
      </h2>
      <div className="compare-beside">
        <div>
          {check.drawings?.card && (
            <CombinationLine
              drawing={check.drawings.card}
              spanMs={spanMs}
              marked={marked}
              name={t`Combination line, ${title}: ${check.text ?? ""}`}
              overlay={play.plays ? (line) => <MovingMark line={line} stance={stance} at={play.at} /> : undefined}
            />
          )}
          <Words side={side} />
        </div>
        {fromAbove && (
          <BothOpponents
            drawing={fromAbove}
            stance={stance}
            names={check.stances?.[stance].words ?? []}
            at={play.at}
            plays={play.plays}
          />
        )}
      </div>
    </section>
  );
}

/** Left and right in words, with what each strike reaches. */
function Words({ side }: { side: Side }) {
  const shownStance = side.check.stances?.[side.stance];
  return shownStance ? (
    <p className="compare-words">
      <b>{side.stance}</b>{" "}
      {shownStance.words
        .map((words, at) => {
          const contacts = shownStance.contacts[at] ?? [];
          return [beforeContact(words, contacts), ...contacts].join(" ");
        })
        .join(" · ")}
    </p>
  ) : null;
}

function change(ms: number, less: string, more: string, same: string, what = ""): string {
  return ms === 0 ? same + what : `${seconds(Math.abs(ms))} ${ms < 0 ? less : more}${what}`;
}
