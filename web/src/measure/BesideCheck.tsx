import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Check, Measured, MeasuredLink, Measurements } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import type { Placed } from "../combination-line/place";
import { Loading } from "../ui/Loading";

interface BesideProps {
  name: string;
  drawing: NonNullable<Check["drawings"]>["full"] | undefined;
  measured: Measured | undefined;
  /** The newest that was saved; shown while nothing is measured. */
  latest: Measurements["measurements"][number] | undefined;
}

/** Shows the measured times of the links beside the computed ones. */
export function BesideCheck({ name, drawing, measured, latest }: BesideProps) {
  const links = measured?.links ?? latest?.links ?? [];
  return (
    <section className="panel block" aria-label={t`Beside the check`}>
      <h2>{measured ? t`Beside the check` : latest ? t`Latest measurements and the check` : t`Beside the check`}</h2>
      {drawing ? (
        <CombinationLine drawing={drawing} name={name} overlay={(line) => <Medians line={line} links={links} />} />
      ) : (
        <Loading what={t`Checking`} />
      )}
      {measured && measured.pace !== 1 && (
        <p className="small">
          <Trans>
            Overall thrown in {measured.pace.toFixed(2)} of the computed time; links are compared at that pace.
          </Trans>
        </p>
      )}
      {links.length > 0 && <LinkTable links={links} items={drawing?.items ?? []} />}
      {links.length === 0 && (
        <p className="small">
          <Trans>The times between the strikes appear here after a measurement.</Trans>
        </p>
      )}
    </section>
  );
}

const SIGNS: Record<MeasuredLink["verdict"], { sign: string; word: string }> = {
  "as-computed": { sign: "●", word: t`as computed` },
  faster: { sign: "◀", word: t`faster` },
  stops: { sign: "■", word: t`stops here` },
  "not-heard": { sign: "–", word: t`not heard` },
};

function LinkTable({ links, items }: { links: MeasuredLink[]; items: { text: string }[] }) {
  return (
    <div className="plain-scroll">
      <table className="plain-table measure-table">
        <thead>
          <tr>
            <th scope="col">
              <Trans>Link</Trans>
            </th>
            <th scope="col">
              <Trans>Computed</Trans>
            </th>
            <th scope="col">
              <Trans>Measured</Trans>
            </th>
            <th scope="col">
              <Trans>Spread</Trans>
            </th>
            <th scope="col">
              <Trans>Times</Trans>
            </th>
            <th scope="col">
              <Trans>Says</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {links.map((link) => (
            <tr key={link.from}>
              <td>
                <b>
                  {items[link.from]?.text} → {items[link.to]?.text}
                </b>
              </td>
              <td>
                <Trans>{Math.round(link.computed)} ms</Trans>
              </td>
              <td>{link.median === null ? "–" : t`${Math.round(link.median)} ms`}</td>
              <td>{link.spread === null ? "–" : t`± ${Math.round(link.spread)} ms`}</td>
              <td>{link.count}</td>
              <td className={`verdict-${link.verdict}`}>
                <span aria-hidden="true">{SIGNS[link.verdict].sign}</span> {SIGNS[link.verdict].word}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The measured times, drawn on the line between their strikes. */
function Medians({ line, links }: { line: Placed; links: MeasuredLink[] }) {
  const { items, lanes, height } = line.drawing;
  const y = Math.min(height - 6, (lanes[lanes.length - 1]?.y ?? height) + 22);
  return (
    <g className="medians">
      {links.map((link) => {
        const [from, to] = [items[link.from], items[link.to]];
        if (!from || !to || link.median === null) {
          return null;
        }
        const [a, b] = [line.x(from.ms) + from.shift, line.x(to.ms) + to.shift];
        return (
          <g key={link.from} className={`median verdict-${link.verdict}`}>
            <path d={`M${a + 3} ${y}H${b - 3}`} />
            <text x={(a + b) / 2} y={y - 5} textAnchor="middle">
              {Math.round(link.median)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
