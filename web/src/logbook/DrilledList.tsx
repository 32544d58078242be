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
  onFault: (chain: LogDrilled, link: number, fault: string) => void;
}

/** The drilled combinations; a link that fell apart is marked on the line or by its name below. */
export function DrilledList({ drilled, fallen, onToggle, onFault }: Props) {
  return (
    <ul className="drilled-list">
      {drilled.map((one) => {
        const marked = (link: number) =>
          fallen.find((mark) => mark.notation === one.notation && mark.stance === one.stance && mark.link === link);
        const isFallen = (link: number) => marked(link) !== undefined;
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
            {links
              .filter(({ link }) => isFallen(link))
              .map(({ item, link }) => (
                <SeenFault
                  key={link}
                  title={`${item.text} → ${one.line.items[link + 1]?.text ?? ""}`}
                  faults={one.faults[link] ?? []}
                  seen={marked(link)?.fault ?? null}
                  onChoose={(fault) => onFault(one, link, fault)}
                />
              ))}
          </li>
        );
      })}
    </ul>
  );
}

interface SeenProps {
  title: string;
  faults: LogDrilled["faults"][number];
  seen: string | null;
  onChoose: (fault: string) => void;
}

/** The faults to look for at a link that fell apart: the one that was seen is pressed, and what mends it is said. */
function SeenFault({ title, faults, seen, onChoose }: SeenProps) {
  // A fault that is no longer in the gym's list stays where it was noted.
  const texts = [...new Set([...faults.map(({ text }) => text), ...(seen === null ? [] : [seen])])];
  const mend = faults.find(({ text }) => text === seen)?.mend;
  return (
    <section className="seen-fault" aria-label={t`What was seen at ${title}`}>
      <p className="small">
        <Trans>{title}: what was seen?</Trans>
      </p>
      <Flex wrap gap="var(--space-2)" className="link-buttons">
        {texts.map((text) => (
          <button key={text} type="button" aria-pressed={text === seen} onClick={() => onChoose(text)}>
            {text}
          </button>
        ))}
      </Flex>
      {mend && (
        <p className="seen-mend">
          <Trans>Say: {mend}</Trans>
        </p>
      )}
    </section>
  );
}
