import { useEffect, useState } from "react";
import type { ReadingProblem } from "../api/client";
import { useTranslate } from "../numbering/useTranslation";
import AddToSession from "../sessions/AddToSession";
import type { Draft } from "./draft";

interface Props {
  draft: Draft;
  /** All that cannot be read; what names a drill is left out of the combination. */
  problems: ReadingProblem[];
  drill: string;
  onClose: () => void;
}

/** Returns the line without the words that belong to a drill. */
export function withoutDrill(text: string, problems: ReadingProblem[]): string {
  const characters = Array.from(text);
  for (const { at, length } of problems.filter((problem) => problem.drill).sort((a, b) => b.at - a.at)) {
    characters.splice(at, length);
  }
  return characters
    .join("")
    .replace(/[\s,;]+$/, "")
    .replace(/^[\s,;]+/, "");
}

/** Plans the drill that a line names, with the combination that is left of it. */
export default function PlanAsDrill({ draft, problems, drill, onClose }: Props) {
  const translate = useTranslate();
  const { stance, numbering } = draft;
  const text = withoutDrill(draft.text, problems);
  const [notation, setNotation] = useState<string | null>(text === "" ? "" : null);
  useEffect(() => {
    if (text !== "") {
      void translate({ text, from: numbering, to: "parity", stance }, setNotation);
    }
  }, [text, numbering, stance, translate]);
  // An exercise beside a combination is one drill, alone it is another.
  const alone = text === "" && drill === "conditioning" ? "exercise" : drill;
  return notation === null ? null : (
    <AddToSession combinations={text === "" ? [] : [{ text, notation, stance }]} drill={alone} onClose={onClose} />
  );
}
