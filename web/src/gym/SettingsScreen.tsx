import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { Gym } from "../api/client";
import { useGym } from "../api/useGym";
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

function Settings({ gym }: { gym: Gym }) {
  const notice = useNotice();
  const save = useSaveGym();
  const train = useSaveTraining();
  const [draft, setDraft] = useState({ name: gym.name, timeZone: gym.timeZone, firstWeekday: gym.firstWeekday });
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
          onClick={() =>
            save.mutate(
              { version: gym.version, ...draft },
              { onSuccess: () => notice.done(t`The settings of the gym are saved.`) },
            )
          }
        >
          <Trans>Save</Trans>
        </Button>
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
