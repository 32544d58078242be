import { Button } from "antd";
import type { CombinationPage } from "../api/client";
import { replaceCharacters } from "../ui/characters";

interface Props {
  problem: CombinationPage["search"]["problems"][number];
  typed: string;
  onType: (typed: string) => void;
  onClear: () => void;
}

/** Shown instead of the list: the part of the search that was not understood, with suggestions. */
export function NotUnderstood({ problem, typed, onType, onClear }: Props) {
  const quoted = typed.replaceAll('"', "");
  return (
    <div className="panel empty">
      <h2>This search is not understood</h2>
      <p>
        {problem.message} Expected: {problem.expected}.
      </p>
      <p>
        {problem.nearest.map((nearest) => (
          <button
            key={nearest}
            type="button"
            className="chip"
            onClick={() => onType(replaceCharacters(typed, problem, nearest))}
          >
            {nearest}
          </button>
        ))}
      </p>
      <p className="small">
        To find these words in names, themes and notes:{" "}
        <button type="button" className="chip" onClick={() => onType(`"${quoted}"`)}>
          “{quoted}”
        </button>
      </p>
      <Button onClick={onClear}>Clear the search</Button>
    </div>
  );
}
