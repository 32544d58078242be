import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { Gym } from "../api/client";
import { useGym } from "../api/useGym";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { useNotice } from "../ui/useNotice";
import { GymFields } from "./GymFields";
import "./settings.css";
import { TrainingFields, UNDECIDED } from "./TrainingFields";
import { useSaveGym, useSaveTraining } from "./useSaveGym";

/** The gym's name, time zone and start of the week, and what it trains. */
export default function SettingsScreen() {
  const gym = useGym();
  return (
    <main className="page settings">
      <GymNav />
      <h1>
        <Trans>Settings</Trans>
      </h1>
      <Loaded query={gym}>{(data) => <Settings key={data.version} gym={data} />}</Loaded>
    </main>
  );
}

/** Returns at which time a session of today at 18:00 in one zone is shown in another. */
function movedTime(from: string, to: string): string {
  const six = new Date();
  six.setUTCHours(18, 0, 0, 0);
  const clock = (zone: string, moment: Date) =>
    moment.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit", timeZone: zone });
  const [hours = 18, minutes = 0] = clock(from, six).split(":").map(Number);
  // The moment at which the clock of the first zone says 18:00.
  return clock(to, new Date(six.getTime() - 60_000 * (60 * hours + minutes - 18 * 60)));
}

function Settings({ gym }: { gym: Gym }) {
  const notice = useNotice();
  const save = useSaveGym();
  const train = useSaveTraining();
  const [draft, setDraft] = useState({ name: gym.name, timeZone: gym.timeZone, firstWeekday: gym.firstWeekday });
  const [asks, setAsks] = useState(false);
  const store = () =>
    save.mutate(
      { version: gym.version, ...draft },
      {
        onSuccess: () => notice.done(t`The settings of the gym are saved.`),
        onSettled: () => setAsks(false),
      },
    );
  const [training, setTraining] = useState(gym.training ?? UNDECIDED);
  return (
    <div className="columns">
      <section className="panel block" aria-label={t`The gym`}>
        <h2>
          <Trans>The gym</Trans>
        </h2>
        <GymFields gym={gym} draft={draft} onChange={setDraft} />
        <p className="small">
          <Trans>Planned sessions stay at the same moment; changing the zone changes the clock time shown.</Trans>
        </p>
        <Failure error={save.error} />
        <Button
          type="primary"
          loading={save.isPending}
          disabled={draft.name.trim() === ""}
          onClick={() => (draft.timeZone === gym.timeZone ? store() : setAsks(true))}
        >
          <Trans>Save</Trans>
        </Button>
        <ConfirmDialog
          isOpen={asks}
          title={t`Change the time zone to ${draft.timeZone}?`}
          action={t`Change the time zone`}
          isRunning={save.isPending}
          onConfirm={store}
          onClose={() => setAsks(false)}
        >
          <Trans>
            Every coach, the walls and the calendars show other clock times: a session planned for 18:00 is then shown
            at {movedTime(gym.timeZone, draft.timeZone)}. No session moves to another moment. It can be undone from the
            audit log.
          </Trans>
        </ConfirmDialog>
      </section>
      <section className="panel block settings-training" aria-label={t`Training`}>
        <h2>
          <Trans>What you train</Trans>
        </h2>
        <TrainingFields training={training} onChange={setTraining} />
        <Failure error={train.error} />
        <Button
          type="primary"
          loading={train.isPending}
          onClick={() =>
            train.mutate({ version: gym.version, ...training }, { onSuccess: () => notice.done(t`Training is saved.`) })
          }
        >
          <Trans>Save</Trans>
        </Button>
        <p className="small">
          <Link to="/setup">
            <Trans>Go through the setup again</Trans>
          </Link>
        </p>
      </section>
    </div>
  );
}
