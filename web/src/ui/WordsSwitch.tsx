import { Trans } from "@lingui/react/macro";
import { useWords } from "./useWords";

/** Shows or hides the words beside the numbers. */
export function WordsSwitch() {
  const [shown, show] = useWords();
  return (
    <button
      type="button"
      className={shown ? "toggle is-on" : "toggle"}
      aria-pressed={shown}
      onClick={() => show(!shown)}
    >
      <Trans>Words</Trans>
    </button>
  );
}
