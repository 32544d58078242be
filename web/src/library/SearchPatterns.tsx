import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Dialog } from "../ui/Dialog";

const PATTERNS: [string, string][] = [
  ["starts with 1", t`begins with a jab; in the numbers you read; starts 1 is the same`],
  ["ends with a kick", t`kick, hand, knee, elbow, slip, exit and every other strike or move`],
  ["has 2 3", t`a 3 directly after a 2; a number means any target, 3b the body alone`],
  ["has lead hook body then rear kick", t`the kick somewhere after the hook`],
  ["without a switch", t`nowhere in the chain; likewise no kick, no liver`],
  ["starts with 1 or 2", t`matches either; "and", a comma or nothing means both`],
  ["has (3)", t`a feinted 3`],
  ["3 to 5 strikes", t`also 4 strikes, at least 6 strikes; or length 3..5`],
  ["hands only", t`no kick, knee or elbow; likewise kicks only`],
  ["longer than 2 s", t`at working tempo; also shorter than 2 s`],
  [
    "liver",
    t`as thrown in its own stance at an orthodox opponent; also spleen, inside thigh, outside thigh, open side`,
  ],
  ["southpaw first", t`written for that stance; likewise orthodox first`],
  ["never drilled", t`by the logbook; likewise drilled 2 weeks, not drilled 4 weeks`],
  ["new this week", t`when it came into the library; also new today, new this month`],
  ["flows", t`what the check says; also reload and breaks`],
  ["kickboxing level 2", t`likewise boxing, all limbs, theme slips, by liv`],
  ["proposed", t`a proposal waits for it; archived looks among what is out of use`],
  ['"no exit"', t`words in quotation marks are words of the name, the themes or the note`],
];

interface Props {
  open: boolean;
  onClose: () => void;
  onTry: (pattern: string) => void;
}

/** Lists what a search understands, in a dialog; a press adds a pattern to the search. */
export default function SearchPatterns({ open, onClose, onTry }: Props) {
  return (
    <Dialog open={open} onClose={onClose} title={t`Search`}>
      <p className="small">
        <Trans>
          Plain words are searched for in names, themes, notes and coaches. The patterns below say more; combine any of
          them, with or without commas. Press one to add it.
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
                  onClose();
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
  );
}
