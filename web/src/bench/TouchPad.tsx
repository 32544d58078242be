import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { memo, useState } from "react";
import type { NumberingId, Numberings, Stance, Target } from "../api/client";
import { useNumberings } from "../api/useNumbering";
import { useVocabulary } from "../api/useVocabulary";
import { Glyph } from "../combination-line/Glyph";
import { Segmented } from "../ui/Segmented";
import { Toolbar } from "../ui/Toolbar";

type Number_ = Numberings["numberings"][number]["numbers"][number];

const PAGES = [
  { value: "hand", label: t`Hands` },
  { value: "leg", label: t`Kicks` },
  { value: "close", label: t`Knees and elbows` },
  { value: "defence", label: t`Defence` },
  { value: "footwork", label: t`Footwork` },
];
const TARGETS: { value: string; label: string; word: Target | null }[] = [
  { value: "", label: t`usual`, word: null },
  { value: "h", label: t`head`, word: "head" },
  { value: "b", label: t`body`, word: "body" },
  { value: "l", label: t`leg`, word: "leg" },
];

const SIGNS = [
  { sign: "/", name: t`beat`, does: t`A pause of one beat` },
  { sign: "+", name: t`join`, does: t`The next strike lands together with the last, or goes with the last move` },
  { sign: "!", name: t`hard`, does: t`The last strike is hard` },
  { sign: "~", name: t`light`, does: t`The last strike is light` },
  { sign: "*", name: t`free`, does: t`One strike of the athlete’s choice` },
];
const LEG_SIGNS = [
  { sign: "^", name: t`leg up`, does: t`The leg stays up from the last kick to the next` },
  { sign: ">", name: t`in front`, does: t`The foot of the last kick, of the rear leg, comes down in front` },
  { sign: "<", name: t`behind`, does: t`The foot of the last kick, of the lead leg, comes down behind` },
  {
    sign: "_",
    name: t`half way`,
    does: t`The foot of the last kick, of the rear leg, comes down short of where it left`,
  },
];

interface Props {
  numbering: NumberingId;
  stance: Stance;
  onPress: (text: string) => void;
  onFeint: () => void;
  onBackspace: () => void;
  onUndo: () => void;
}

/** Buttons for strikes and moves, written at the cursor. */
export const TouchPad = memo(function TouchPad({ numbering, stance, onPress, onFeint, onBackspace, onUndo }: Props) {
  const numberings = useNumberings();
  const vocabulary = useVocabulary();
  const [page, setPage] = useState("hand");
  const [target, setTarget] = useState("");
  const chosen = numberings.data?.numberings.find((one) => one.id === numbering);
  const onPage = (number: Number_) =>
    page === "close" ? number.limb === "knee" || number.limb === "elbow" : number.limb === page;
  const numbers = chosen?.numbers.filter(onPage) ?? [];
  const moves =
    vocabulary?.moves.filter(
      (move) => move.kind === page || (page === "footwork" && (move.kind === "contact" || move.kind === "start")),
    ) ?? [];
  const striking = page === "hand" || page === "leg" || page === "close";
  const legal = (number: Number_) =>
    vocabulary?.strikes.filter((strike) => strike.family === number.family).flatMap((strike) => strike.targets) ?? [];
  const targets = TARGETS.filter(
    (one) => one.value === "" || numbers.some((number) => one.word !== null && legal(number).includes(one.word)),
  );
  const aimed = targets.some((one) => one.value === target) ? target : "";

  const write = (number: Number_) => {
    const letter =
      number.target || !legal(number).includes(TARGETS.find((one) => one.value === aimed)?.word ?? "head") ? "" : aimed;
    onPress(number.number + letter);
    setTarget("");
  };

  return (
    <section className="pad panel" aria-label={t`Touch pad`}>
      <Flex wrap align="center" gap="small" className="pad-head">
        <Segmented
          size="small"
          value={page}
          onChange={setPage}
          options={PAGES}
          aria-label={t`Which strikes and moves`}
        />
        {striking && (
          <Segmented
            size="small"
            value={aimed}
            onChange={setTarget}
            options={targets.map(({ value, label }) => ({ value, label }))}
            aria-label={t`Target of the next strike`}
          />
        )}
      </Flex>
      <Signs
        signs={page === "leg" || page === "close" ? [...SIGNS, ...LEG_SIGNS] : SIGNS}
        {...{ onPress, onFeint, onBackspace, onUndo }}
      />
      <Toolbar label={t`Strikes and moves`} className="pad-keys">
        {striking && numbers.length === 0 && (
          <p className="small">
            <Trans>{chosen?.name} has no numbers for these; write them in words, such as “rear low kick”.</Trans>
          </p>
        )}
        {striking &&
          numbers.map((number) => (
            <button
              key={number.number}
              type="button"
              className={`key key-${number.roles[stance]}`}
              onClick={() => write(number)}
            >
              <b>{number.number}</b>
              <small>{keyName(number, stance, vocabulary)}</small>
            </button>
          ))}
        {!striking &&
          moves.map((move) => (
            <button key={move.id} type="button" className="key key-move" onClick={() => onPress(move.id)}>
              <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
                <Glyph path={move.glyph} x={11} y={11} size={20} />
              </svg>
              <small>{move.words}</small>
            </button>
          ))}
      </Toolbar>
    </section>
  );
});

/** The signs, and what changes the last item. */
function Signs({
  signs,
  onPress,
  onFeint,
  onBackspace,
  onUndo,
}: Omit<Props, "numbering" | "stance"> & { signs: typeof SIGNS }) {
  return (
    <Toolbar label={t`Signs, and undo`} className="pad-signs">
      {signs.map(({ sign, name, does }) => (
        <button key={name} type="button" className="key key-sign" onClick={() => onPress(sign)} title={does}>
          <b aria-hidden="true">{sign}</b>
          <small>{name}</small>
        </button>
      ))}
      <button
        type="button"
        className="key key-sign"
        onClick={onFeint}
        title={t`The last strike is shown, not delivered`}
      >
        <b aria-hidden="true">( )</b>
        <small>
          <Trans>feint</Trans>
        </small>
      </button>
      <button type="button" className="key key-sign" onClick={onBackspace} title={t`Delete the last item`}>
        <b aria-hidden="true">⌫</b>
        <small>
          <Trans>delete</Trans>
        </small>
      </button>
      <button type="button" className="key key-sign" onClick={onUndo} title={t`Undo`}>
        <b aria-hidden="true">↶</b>
        <small>
          <Trans>undo</Trans>
        </small>
      </button>
    </Toolbar>
  );
}

/** Returns the name on a key: jab and cross have their own, other strikes that of both sides. */
function keyName(number: Number_, stance: Stance, vocabulary: ReturnType<typeof useVocabulary>): string {
  const strike = vocabulary?.strikes.find(
    ({ family, role }) => family === number.family && role === number.roles[stance],
  );
  const own = strike && !/^(lead|rear) /.test(strike.name) ? strike.name : strike?.shortName;
  const name = own ?? number.family;
  return number.name ?? (number.target ? `${name} ${number.target}` : name);
}
