import { Segmented } from "antd";
import { useState } from "react";
import type { NumberingId, Numberings, Stance } from "../api/client";
import { useNumberings } from "../api/useNumbering";
import { Glyph } from "../combination-line/Glyph";

type Number_ = Numberings["numberings"][number]["numbers"][number];

const PAGES = [
  { value: "hand", label: "Hands" },
  { value: "leg", label: "Kicks" },
  { value: "close", label: "Knees and elbows" },
  { value: "defence", label: "Defence" },
  { value: "footwork", label: "Footwork" },
];
const TARGETS = [
  { value: "", label: "usual" },
  { value: "h", label: "head" },
  { value: "b", label: "body" },
  { value: "l", label: "leg" },
];

interface Props {
  numbering: NumberingId;
  stance: Stance;
  onPress: (text: string) => void;
}

/** Strikes and moves under the thumb: what is pressed is written at the place of the cursor. */
export function TouchPad({ numbering, stance, onPress }: Props) {
  const numberings = useNumberings();
  const [page, setPage] = useState("hand");
  const [target, setTarget] = useState("");
  const chosen = numberings.data?.numberings.find((one) => one.id === numbering);
  const onPage = (number: Number_) =>
    page === "close" ? number.limb === "knee" || number.limb === "elbow" : number.limb === page;
  const numbers = chosen?.numbers.filter(onPage) ?? [];
  const moves =
    numberings.data?.moves.filter((move) => move.kind === page || (page === "footwork" && move.kind === "contact")) ??
    [];
  const striking = page === "hand" || page === "leg" || page === "close";
  // No arm goes to the leg.
  const targets = page === "hand" ? TARGETS.filter((one) => one.value !== "l") : TARGETS;
  const aimed = targets.some((one) => one.value === target) ? target : "";

  const write = (number: Number_) => {
    const letter = number.target || (aimed === "l" && number.limb === "elbow") ? "" : aimed;
    onPress(number.number + letter);
  };

  return (
    <section className="pad panel" aria-label="Touch pad">
      <div className="pad-head">
        <Segmented size="small" value={page} onChange={setPage} options={PAGES} aria-label="Which strikes and moves" />
        {striking && (
          <Segmented
            size="small"
            value={aimed}
            onChange={setTarget}
            options={targets}
            aria-label="Target of the next strike"
          />
        )}
        <span className="pad-signs">
          {["/", "+", "!", "~"].map((sign) => (
            <button
              key={sign}
              type="button"
              className="key key-sign"
              onClick={() => onPress(sign)}
              aria-label={SIGNS[sign]}
              title={SIGNS[sign]}
            >
              {sign}
            </button>
          ))}
        </span>
      </div>
      <div className="pad-keys">
        {striking && numbers.length === 0 && (
          <p className="small">
            {chosen?.name} has no numbers for these; write them in words, such as “rear low kick”.
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
              <small>{keyName(number)}</small>
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
      </div>
    </section>
  );
}

const SIGNS: Record<string, string> = {
  "/": "A beat",
  "+": "Lands together with the strike before",
  "!": "The last strike is hard",
  "~": "The last strike is light",
};

function keyName(number: Number_): string {
  if (number.name) {
    return number.name;
  }
  const name =
    number.family === "straight"
      ? "straight"
      : number.family
          .replace("spinning", "spin")
          .replace("downward", "down")
          .replace("upward", "up")
          .replace(" hook", "");
  return number.target ? `${name} ${number.target}` : name;
}
