import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Checkbox, Flex, Steps } from "antd";
import { useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import type { Gym, SetupRequest, Training } from "../api/client";
import { useCourses } from "../api/useCourses";
import { useGym } from "../api/useGym";
import { Failure } from "../ui/Failure";
import { Loaded } from "../ui/Loaded";
import { BeginLibrary } from "./BeginLibrary";
import { GymFields } from "./GymFields";
import { NumberingChoice } from "./NumberingChoice";
import { TrainingFields, UNDECIDED } from "./TrainingFields";
import { useMakeCourses } from "./useMakeCourses";
import { useEndStep, useSaveGym, useSaveTraining } from "./useSaveGym";
import "./settings.css";
import "./setup.css";

type StepId = SetupRequest["step"];

const STEPS: { id: StepId; title: string }[] = [
  { id: "gym", title: t`Your gym` },
  { id: "numbering", title: t`Numbers` },
  { id: "training", title: t`Training` },
  { id: "library", title: t`Library` },
];

/** Sets up a new gym in four short steps, each of which can be skipped. */
export default function SetupScreen() {
  const gym = useGym();
  return (
    <main className="page setup">
      <Loaded query={gym}>{(data) => <Setup gym={data} />}</Loaded>
    </main>
  );
}

function Setup({ gym }: { gym: Gym }) {
  const [address, setAddress] = useSearchParams();
  const navigate = useNavigate();
  const endStep = useEndStep();
  const open = STEPS.findIndex(({ id }) => !(id in gym.setup));
  const named = STEPS.findIndex(({ id }) => id === address.get("step"));
  const index = named >= 0 ? named : Math.max(0, open);
  const step = STEPS[index] as (typeof STEPS)[number];

  const go = (to: number) => {
    const next = STEPS[to];
    next ? setAddress({ step: next.id }) : navigate("/library");
  };
  const end = (outcome: SetupRequest["outcome"]) =>
    endStep.mutate({ step: step.id, outcome }, { onSuccess: () => go(index + 1) });
  const props = { gym, onDone: () => end("done"), busy: endStep.isPending };

  return (
    <>
      <h1>
        <Trans>Set up {gym.name}</Trans>
      </h1>
      <Steps
        size="small"
        current={index}
        onChange={go}
        items={STEPS.map(({ id, title }) => ({
          title,
          ...(gym.setup[id] === "skipped" ? { subTitle: "skipped" } : {}),
          ...(id !== step.id && gym.setup[id] === "done" ? { status: "finish" as const } : {}),
        }))}
      />
      <section className="panel block setup-step" aria-label={step.title}>
        {step.id === "gym" && <GymStep {...props} />}
        {step.id === "numbering" && <NumberingStep {...props} />}
        {step.id === "training" && <TrainingStep {...props} />}
        {step.id === "library" && <BeginLibrary training={gym.training} onDone={props.onDone} busy={props.busy} />}
        <Failure error={endStep.error} />
      </section>
      <Flex wrap align="center" gap="small" className="form-row">
        {index > 0 && (
          <Button onClick={() => go(index - 1)}>
            <Trans>Back</Trans>
          </Button>
        )}
        <Button type="text" onClick={() => end("skipped")} loading={endStep.isPending}>
          <Trans>Skip for now</Trans>
        </Button>
        <span className="small">
          <Trans>Everything here can be changed later under Gym.</Trans>
        </span>
      </Flex>
    </>
  );
}

interface StepProps {
  gym: Gym;
  onDone: () => void;
  busy: boolean;
}

function GymStep({ gym, onDone, busy }: StepProps) {
  const save = useSaveGym();
  const [draft, setDraft] = useState({
    name: gym.name,
    // A new gym has no time zone yet; that of this device is a good guess.
    timeZone: gym.timeZone === "UTC" ? Intl.DateTimeFormat().resolvedOptions().timeZone : gym.timeZone,
    firstWeekday: gym.firstWeekday,
  });
  return (
    <>
      <h2>
        <Trans>Your gym</Trans>
      </h2>
      <GymFields gym={gym} draft={draft} onChange={setDraft} />
      <Failure error={save.error} />
      <Button
        type="primary"
        className="setup-next"
        loading={save.isPending || busy}
        disabled={draft.name.trim() === ""}
        onClick={() => save.mutate({ version: gym.version, ...draft }, { onSuccess: onDone })}
      >
        <Trans>Save and continue</Trans>
      </Button>
    </>
  );
}

function NumberingStep({ onDone, busy }: StepProps) {
  return (
    <>
      <h2>
        <Trans>Which numbers do you call?</Trans>
      </h2>
      <NumberingChoice />
      <Button type="primary" className="setup-next" loading={busy} onClick={onDone}>
        <Trans>Continue</Trans>
      </Button>
    </>
  );
}

function TrainingStep({ gym, onDone, busy }: StepProps) {
  const save = useSaveTraining();
  const courses = useCourses();
  const make = useMakeCourses();
  const [training, setTraining] = useState<Training>(gym.training ?? UNDECIDED);
  const [withCourses, setWithCourses] = useState(true);
  const isWithoutCourses = courses.data?.length === 0;
  return (
    <>
      <h2>
        <Trans>What do you train?</Trans>
      </h2>
      <TrainingFields training={training} onChange={setTraining} />
      {isWithoutCourses && (
        <Checkbox checked={withCourses} onChange={(event) => setWithCourses(event.target.checked)}>
          <Trans>Add a course for each group, to plan sessions for</Trans>
        </Checkbox>
      )}
      <Failure error={save.error ?? make.error} />
      <Button
        type="primary"
        className="setup-next"
        loading={save.isPending || make.isPending || busy}
        onClick={() =>
          save.mutate(
            { version: gym.version, ...training },
            {
              onSuccess: () =>
                isWithoutCourses && withCourses ? make.mutate(training, { onSuccess: onDone }) : onDone(),
            },
          )
        }
      >
        <Trans>Save and continue</Trans>
      </Button>
    </>
  );
}
