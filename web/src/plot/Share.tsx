import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import "./plot.css";

interface Props {
  title: string;
  parts: { name: string; value: number; tone: string; says?: string }[];
}

/** The parts of a whole with their shares in numbers. */
export function Share({ title, parts }: Props) {
  const all = parts.reduce((sum, { value }) => sum + value, 0);
  return (
    <div className="share">
      <h2>{title}</h2>
      {all <= 0 ? (
        <p className="small">
          <Trans>Nothing yet.</Trans>
        </p>
      ) : (
        <>
          <Flex className="share-bar" aria-hidden="true">
            {parts.map(({ name, value, tone }) => (
              <i key={name} style={{ width: `${(100 * value) / all}%`, background: `var(--${tone})` }} />
            ))}
          </Flex>
          <ul>
            {parts.map(({ name, value, tone, says }) => (
              <li key={name}>
                <i style={{ background: `var(--${tone})` }} aria-hidden="true" />
                {name} <b>{Math.round((100 * value) / all)} %</b> {says && <span className="small">{says}</span>}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
