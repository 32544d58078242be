import type { Check, Stance } from "../api/client";
import { beforeMeeting } from "./sentences";

interface Props {
  voices: NonNullable<Check["voices"]>;
  /** Whose feet are drawn. */
  voice: Stance;
  onVoice: (stance: Stance) => void;
  selected: number | null;
  onSelect: (at: number | null) => void;
}

/** One drawing, two voices: left and right written out for each stance, and what each strike meets marked where it happens. */
export function Voices({ voices, voice, onVoice, selected, onSelect }: Props) {
  return (
    <div className="voices">
      {(["orthodox", "southpaw"] as const).map((stance) => {
        const other = voices[stance === "orthodox" ? "southpaw" : "orthodox"];
        return (
          <div key={stance} className={voice === stance ? "voice voice-on" : "voice"}>
            <button
              type="button"
              className="voice-name"
              aria-pressed={voice === stance}
              onClick={() => onVoice(stance)}
              title="Turn the feet to this stance"
            >
              {stance}
            </button>
            <p>
              {voices[stance].words.map((words, at) => {
                const meets = voices[stance].meets[at] ?? [];
                const changes = meets.join() !== (other.meets[at] ?? []).join();
                return (
                  <span key={at}>
                    {at > 0 && <i aria-hidden="true"> · </i>}
                    <button
                      type="button"
                      className={selected === at ? "word word-on" : "word"}
                      onClick={() => onSelect(selected === at ? null : at)}
                    >
                      {beforeMeeting(words, meets)}
                      {meets.map((meeting) => (
                        <span key={meeting}>
                          {" "}
                          <mark className={changes ? "meets" : "meets meets-same"}>{meeting}</mark>
                        </span>
                      ))}
                    </button>
                  </span>
                );
              })}
            </p>
          </div>
        );
      })}
    </div>
  );
}
