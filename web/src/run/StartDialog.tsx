import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Button, Checkbox, Flex, InputNumber, Select } from "antd";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { bounds, timeBounds } from "../api/bounds";
import type { TimerRequest, Wall } from "../api/client";
import { newId } from "../api/newId";
import { Dialog } from "../ui/Dialog";
import { TimeField } from "../ui/TimeField";
import { useNotice } from "../ui/useNotice";
import { useRuns, useStart, useWalls } from "./useRuns";

const SPEEDS = [
  { value: 1, label: t`real time (counts as drilled)` },
  { value: 10, label: t`rehearsal, 10 times as fast` },
  { value: 60, label: t`rehearsal, 60 times as fast` },
];

interface Props {
  /** The session to run; null for a round timer. */
  plan: { id: number; name: string } | null;
  /** What the round timer shows, one after the other. */
  combinations?: { id: number; name: string }[];
  onClose: () => void;
}

/** Starts a plan, or a round timer, on the chosen walls. */
export function StartDialog({ plan, combinations = [], onClose }: Props) {
  const walls = useWalls().data ?? [];
  const running = useRuns().data?.running ?? [];
  const start = useStart();
  const navigate = useNavigate();
  const notice = useNotice();
  const [chosen, setChosen] = useState<number[] | null>(null);
  const [timer, setTimer] = useState<TimerRequest>({ rounds: combinations.length || 6, seconds: 180, rest: 60 });
  const [leadIn, setLeadIn] = useState(10);
  const [speed, setSpeed] = useState(1);
  // Chosen once, so that sending it twice starts one session.
  const id = useMemo(newId, []);
  const on = chosen ?? walls.map((wall) => wall.id);
  const taken = walls.filter(
    (wall) => on.includes(wall.id) && running.some((run) => run.id === wall.run && !run.isOver),
  );
  const go = () =>
    start.mutate(
      {
        id,
        plan: plan?.id ?? null,
        timer: plan ? null : timer,
        combinations: combinations.map((one) => one.id),
        walls: on,
        leadIn,
        speed,
      },
      { onSuccess: (run) => navigate(`/run/${run.id}`), onError: notice.failed },
    );
  return (
    <Dialog
      onClose={onClose}
      title={plan ? t`Run “${plan.name}”` : combinations.length > 0 ? t`Show on a wall` : t`Round timer`}
      footer={
        <Button type="primary" size="large" onClick={go} loading={start.isPending}>
          <Trans>Start</Trans>
        </Button>
      }
    >
      <Flex vertical gap="small" className="form-narrow">
        {combinations.length > 0 && (
          <p>
            <b>{combinations.map(({ name }) => name).join(", ")}</b>
          </p>
        )}
        {!plan && <TimerFields timer={timer} onChange={setTimer} />}
        <WallChoice walls={walls} chosen={on} onChoose={setChosen} />
        {taken.length > 0 && (
          <p className="small" role="status">
            <Trans>
              {taken.map((wall) => wall.name).join(", ")} <Plural value={taken.length} one="shows" other="show" /> a
              session that still runs. It goes on without{" "}
              <Plural value={taken.length} one="that wall" other="those walls" />.
            </Trans>
          </p>
        )}
        <div className="timer-fields">
          <label htmlFor="lead-in">
            <Trans>Starts in (s)</Trans>
          </label>
          <InputNumber
            id="lead-in"
            {...bounds("StartRequest", "leadIn")}
            value={leadIn}
            onChange={(value) => setLeadIn(value ?? 10)}
          />
          <label htmlFor="speed">
            <Trans>Speed</Trans>
          </label>
          <Select id="speed" value={speed} options={SPEEDS} onChange={setSpeed} popupMatchSelectWidth={false} />
        </div>
        <p className="small">
          <Trans>
            A call does not see the floor: contact, space and who is tired are the coach’s. The rules of the sport body
            and the advice of physicians come first.
          </Trans>
        </p>
      </Flex>
    </Dialog>
  );
}

interface TimerProps {
  timer: TimerRequest;
  onChange: (timer: TimerRequest) => void;
}

function TimerFields({ timer, onChange }: TimerProps) {
  return (
    <div className="timer-fields">
      <label htmlFor="timer-rounds">
        <Trans>Rounds</Trans>
      </label>
      <InputNumber
        id="timer-rounds"
        {...bounds("TimerRequest", "rounds")}
        value={timer.rounds}
        onChange={(rounds) => onChange({ ...timer, rounds: rounds ?? 1 })}
      />
      <label htmlFor="timer-seconds">
        <Trans>Work</Trans>
      </label>
      <TimeField
        id="timer-seconds"
        {...timeBounds("TimerRequest", "seconds")}
        step={15}
        value={timer.seconds ?? null}
        aria-label={t`Work`}
        onChange={(seconds) => onChange({ ...timer, seconds: seconds ?? 180 })}
      />
      <label htmlFor="timer-rest">
        <Trans>Rest</Trans>
      </label>
      <TimeField
        id="timer-rest"
        {...timeBounds("TimerRequest", "rest")}
        step={10}
        value={timer.rest ?? null}
        aria-label={t`Rest`}
        onChange={(rest) => onChange({ ...timer, rest: rest ?? 0 })}
      />
    </div>
  );
}

interface WallProps {
  walls: Wall[];
  /** The ids of the chosen walls. */
  chosen: number[];
  onChoose: (ids: number[]) => void;
}

function WallChoice({ walls, chosen, onChoose }: WallProps) {
  return (
    <fieldset className="run-walls">
      <legend>
        <Trans>On</Trans>
      </legend>
      {walls.map((wall) => (
        <Checkbox
          key={wall.id}
          checked={chosen.includes(wall.id)}
          onChange={(event) =>
            onChoose(event.target.checked ? [...chosen, wall.id] : chosen.filter((other) => other !== wall.id))
          }
        >
          {wall.name}
        </Checkbox>
      ))}
      {walls.length === 0 && (
        <p className="small">
          <Trans>The gym has no wall yet. The session runs without one; add a wall under Run.</Trans>
        </p>
      )}
    </fieldset>
  );
}
