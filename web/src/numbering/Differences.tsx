import type { NumberDifference } from "../api/client";

/** Lists numbers that two numberings use differently. */
export function Differences({
  differences,
  one,
  other,
}: {
  differences: NumberDifference[];
  one: string;
  other: string;
}) {
  if (differences.length === 0) {
    return null;
  }
  return (
    <section className="panel block differences" aria-label="Numbers used differently">
      <h2>Used differently</h2>
      <ul>
        {differences.map((difference) => (
          <li key={difference.number}>
            <b className="numbers">{difference.number}</b> is a {difference.one} in {one}, a {difference.other} in{" "}
            {other}.
          </li>
        ))}
      </ul>
    </section>
  );
}
