import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import type { LogDrilled } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { LinkZone } from "../combination-line/LinkZone";
import type { EntryDraft } from "./entryDraft";

interface Props {
  drilled: LogDrilled[];
  fallen: EntryDraft["fallen"];
  onToggle: (chain: LogDrilled, link: number) => void;
}

/** The drilled combinations; a link that fell apart is marked on the line or by its name below. */
export function DrilledList({ drilled, fallen, onToggle }: Props) {
  return (
    <ul className="drilled-list">
      {drilled.map((one) => {
        const isFallen = (link: number) =>
          fallen.some(
            (marked) => marked.notation === one.notation && marked.stance === one.stance && marked.link === link,
          );
        const links = one.line.items.slice(0, -1).map((item, link) => ({ item, link }));
        return (
          <li key={`${one.stance} ${one.notation}`} className="panel">
            <Flex component="p" wrap align="baseline" gap="small" className="drilled-head">
              <b>{one.name === "" ? one.text : one.name}</b>
              <span className="drilled-chain">{one.text}</span>
              <span className="small">
                <Trans>
                  {Math.round(one.ms / 6000) / 10} min, {Math.round(one.repetitions)} times
                  {one.otherMs > 0 && t`, ${Math.round((100 * one.otherMs) / one.ms)} % in the other stance`}
                </Trans>
              </span>
            </Flex>
            <CombinationLine
              drawing={one.line}
              name={one.name}
              overlay={(line) => (
                <>
                  {links.map(({ link }) => (
                    <LinkZone
                      key={link}
                      line={line}
                      link={link}
                      isMarked={isFallen(link)}
                      onPress={() => onToggle(one, link)}
                    />
                  ))}
                </>
              )}
            />
            <Flex wrap gap="var(--space-2)" className="link-buttons">
              {links.map(({ item, link }) => (
                <button
                  key={link}
                  type="button"
                  aria-pressed={isFallen(link)}
                  onClick={() => onToggle(one, link)}
                  title={t`Fell apart here`}
                >
                  {item.text} → {one.line.items[link + 1]?.text}
                </button>
              ))}
            </Flex>
          </li>
        );
      })}
    </ul>
  );
}
