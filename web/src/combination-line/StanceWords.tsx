import { t } from "@lingui/core/macro";
import type { Check, Stance } from "../api/client";
import { Toolbar } from "../ui/Toolbar";
import { beforeContact } from "./sentences";

interface Props {
  stances: NonNullable<Check["stances"]>;
  /** The stance whose feet are drawn. */
  shownStance: Stance;
  onShownStance: (stance: Stance) => void;
  selected: number | null;
  onSelect: (at: number | null) => void;
}

/** Both stances in words with left and right; what each strike reaches is marked where it happens. */
export function StanceWords({ stances, shownStance, onShownStance, selected, onSelect }: Props) {
  return (
    <Toolbar label={t`Left and right in both stances`} className="stance-words">
      {(["orthodox", "southpaw"] as const).map((stance) => {
        const other = stances[stance === "orthodox" ? "southpaw" : "orthodox"];
        return (
          <div key={stance} className={shownStance === stance ? "stance-column stance-shown" : "stance-column"}>
            <button
              type="button"
              className="stance-name"
              aria-pressed={shownStance === stance}
              onClick={() => onShownStance(stance)}
              title={t`Turn the feet to this stance`}
            >
              {stance}
            </button>
            <p>
              {stances[stance].words.map((words, at) => {
                const contacts = stances[stance].contacts[at] ?? [];
                const changes = contacts.join() !== (other.contacts[at] ?? []).join();
                return (
                  <span key={at}>
                    {at > 0 && <i aria-hidden="true"> · </i>}
                    <button
                      type="button"
                      className={selected === at ? "word word-on" : "word"}
                      onClick={() => onSelect(selected === at ? null : at)}
                    >
                      {beforeContact(words, contacts)}
                      {contacts.map((contact) => (
                        <span key={contact}>
                          {" "}
                          <mark className={changes ? "contact" : "contact contact-same"}>{contact}</mark>
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
    </Toolbar>
  );
}
