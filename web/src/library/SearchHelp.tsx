import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import { Dialog } from "../ui/Dialog";

const PATTERNS: [string, string][] = [
  ["starts with 1", t`begins with a jab; in the numbers you read; starts 1 is the same`],
  ["ends with a kick", t`kick, hand, knee, elbow, slip, exit and every other strike or move`],
  ["has 2 3", t`a 3 directly after a 2; a number means any target, 3b the body alone`],
  ["has lead hook body then rear kick", t`the kick somewhere after the hook`],
  ["without a switch", t`nowhere in the chain; likewise no kick, no liver`],
  ["starts with 1 or 2", t`matches either; "and", a comma or nothing means both`],
  ["has (3)", t`a feinted 3`],
  ["length 3..5", t`a number of strikes; also length 4 and length 6+`],
  [
    "liver",
    t`as thrown in its own stance at an orthodox opponent; also spleen, inside thigh, outside thigh, open side`,
  ],
  ["from southpaw", t`written for that stance`],
  ["not drilled 4 weeks", t`by the logbook; likewise drilled 2 weeks, drilled never`],
  ["flows", t`what the check says; also reload and breaks`],
  ["level 2", t`likewise rules boxing, theme slips, by liv`],
  ["proposed", t`a proposal waits for it; archived looks among what is out of use`],
  ['"no exit"', t`words in quotation marks are words of the name, the themes or the note`],
];

/** Explains the words that a search understands. */
export function SearchHelp({ onTry }: { onTry: (text: string) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="link-button" onClick={() => setOpen(true)}>
        <Trans>What can I search for?</Trans>
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title={t`Search`}>
        <p className="small">
          <Trans>
            Plain words are searched for in names, themes, notes and coaches. The patterns below say more; combine any
            of them, with or without commas. Press one to add it.
          </Trans>
        </p>
        <dl className="search-help">
          {PATTERNS.map(([pattern, says]) => (
            <div key={pattern}>
              <dt>
                <button
                  type="button"
                  className="chip"
                  onClick={() => {
                    setOpen(false);
                    onTry(pattern);
                  }}
                >
                  {pattern}
                </button>
              </dt>
              <dd>{says}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    </>
  );
}
