import { t } from "@lingui/core/macro";
import { server } from "../api/client";
import { ItemSign } from "./ItemSign";

/** A line that contains every sign once; the legend explains its items, without those that only lead to the next. */
const SAMPLE = "1 2 (3) 4! 5~ slip-lead / 14> 13< 14_ 14l ^14h *3";
const SIGNS = [
  t`Light, with a point: the lead side strikes.`,
  t`Solid, square: the rear side strikes.`,
  t`Hollow: a feint, shown and not delivered.`,
  t`Heavy: thrown hard.`,
  t`Thin: thrown lightly.`,
  t`A glyph on the base line: a move of the head or the feet.`,
  t`A pause of one beat.`,
  t`Arrow to the right, “>”: the kicking foot comes down in front, so the stance changes.`,
  t`Arrow to the left, “<”: the foot of the lead leg comes down behind, so the stance changes.`,
  t`Line, “_”: the foot of the rear leg comes down half way, so the weight does not go back.`,
  null,
  t`Roof, “^” before a number: the leg has stayed up since the kick before it.`,
  t`Free strikes, as many as the number says; “(1,2)” after the star names which.`,
];
const PLACES: [string, string][] = [
  [t`to the right`, t`Time. The faint bar before a tile is the strike’s way out.`],
  ["height", t`Target: head high, body in the middle, leg low.`],
  [t`hatched gap`, t`A reload: weight or hips are not where the next strike needs them; so many ms go by.`],
  [t`torn gap`, t`A break: the wait is so long that the chain falls apart there.`],
  [t`touching tiles`, t`They land together.`],
  [t`bar from move to tile`, t`“+”: the strike goes with the move, as one action.`],
  ["ribbon", t`Weight: up on the front foot, down on the back foot.`],
  [t`dashed line`, t`The hips; where they leave the feet it is marked.`],
  ["feet", t`Seen from above, wherever they step or turn; dashed feet show where they were.`],
];

/** Explains every sign of a line. */
export function Legend() {
  const sample = server.useQuery(
    "post",
    "/api/check",
    { body: { text: SAMPLE, draw: ["card"] } },
    { staleTime: Number.POSITIVE_INFINITY },
  );
  const drawing = sample.data?.drawings?.card;
  return (
    <dl className="legend">
      {drawing?.items.map(
        (item, at) =>
          SIGNS[at] && (
            <div key={SIGNS[at]}>
              <dt>
                <ItemSign item={item} tile={drawing.tile} />
              </dt>
              <dd>{SIGNS[at]}</dd>
            </div>
          ),
      )}
      {PLACES.map(([sign, means]) => (
        <div key={sign}>
          <dt>{sign}</dt>
          <dd>{means}</dd>
        </div>
      ))}
    </dl>
  );
}
