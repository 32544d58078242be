import { Trans } from "@lingui/react/macro";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { useVocabulary } from "../api/useVocabulary";

/** Says what the numbers mean that the coach reads. */
export function NumbersMeaning() {
  const mine = useNumbering();
  const numbering = useNumberings().data?.numberings.find(({ id }) => id === mine);
  const strikes = useVocabulary()?.strikes ?? [];
  if (!numbering) {
    return null;
  }
  return (
    <section className="numbers-meaning">
      <h3>
        <Trans>What the numbers mean ({numbering.name})</Trans>
      </h3>
      <ul>
        {numbering.numbers.map((number) => {
          const strike = strikes.find(({ family, role }) => family === number.family && role === number.roles.orthodox);
          return (
            <li key={number.number}>
              <b className="numbers">{number.number}</b> {number.name ?? strike?.name ?? number.family}
              {number.target ? `, ${number.target}` : ""}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
