import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useAdvice } from "../api/useAdvice";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { Exercises } from "./Exercises";
import { Faults } from "./Faults";
import { Reminders } from "./Reminders";
import "./advice.css";

/** Edits the gym's reminders and its exercises for warm-up, conditioning and cool-down. */
export default function AdviceScreen() {
  const advice = useAdvice();
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Reminders, faults and exercises</Trans>
      </h1>
      <p className="small">
        <Trans>
          Common practice, in the words of this gym. At most two reminders are shown with a combination on paper and in
          a session: first the one for its worst link, then those for its techniques.
        </Trans>
      </p>
      <Loaded query={advice} what={t`Loading the lists`}>
        {(lists) => (
          <div className="columns">
            <Reminders key={`r${lists.remindersVersion}`} advice={lists} />
            <div>
              <Faults key={`f${lists.faultsVersion}`} advice={lists} />
              <Exercises key={`e${lists.exercisesVersion}`} advice={lists} />
            </div>
          </div>
        )}
      </Loaded>
    </main>
  );
}
