import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import { useNavigate } from "react-router";
import { useNumbering } from "../api/useNumbering";
import { Dialog } from "../ui/Dialog";
import { Loaded } from "../ui/Loaded";
import { useNotice } from "../ui/useNotice";
import { todayInGym } from "../ui/words";
import type { ToAdd } from "./PlannerScreen";
import { startPlan } from "./startPlan";
import { addDays, whenOf } from "./time";
import type { Addable } from "./useLinkedChain";
import { useCreatePlan, usePlanList } from "./usePlans";

/** Number of coming sessions that are offered. */
const MAX_OFFERED = 8;
const DAYS_AHEAD = 30;

interface Props {
  combinations: Addable[];
  /** The drill that is planned with them. */
  drill?: string | null;
  onClose: () => void;
}

/** Chooses a session; the combinations are added to it in the planner, where it can be undone. */
export default function AddToSession({ combinations, drill, onClose }: Props) {
  const today = todayInGym();
  const plans = usePlanList(today, addDays(today, DAYS_AHEAD));
  const create = useCreatePlan();
  const numbering = useNumbering();
  const navigate = useNavigate();
  const notice = useNotice();
  const open = (id: number) => navigate(`/sessions/${id}`, { state: { add: combinations, drill } satisfies ToAdd });
  const begin = async () => {
    try {
      const content = await startPlan(null, numbering);
      const plan = await create.mutateAsync({ name: t`New session`, course: null, startsAt: null, content });
      void open(plan.id);
    } catch (error) {
      notice.failed(error);
    }
  };
  const coming = [...(plans.data?.plans ?? []), ...(plans.data?.undated ?? [])].slice(0, MAX_OFFERED);
  return (
    <Dialog onClose={onClose} title={t`Add to a session`}>
      <Flex vertical gap="small">
        <p className="small">
          {drill ? (
            <Trans>The drill goes into the first empty round, or into a new one.</Trans>
          ) : (
            <Plural
              value={combinations.length}
              one="The combination goes into the first empty round, or into a new one."
              other="The # combinations go into the first empty rounds, or into new ones."
            />
          )}
        </p>
        <Loaded query={plans} what={t`Loading the sessions`} />
        {plans.data && coming.length === 0 && (
          <p>
            <Trans>No session is planned from today on.</Trans>
          </p>
        )}
        {coming.map((plan) => (
          <Button key={plan.id} block className="session-choice" onClick={() => void open(plan.id)}>
            <b>{plan.name}</b> <small>{[whenOf(plan.startsAt), plan.course?.name].filter(Boolean).join(" · ")}</small>
          </Button>
        ))}
        <Button type="dashed" block loading={create.isPending} onClick={() => void begin()}>
          <Trans>A new session</Trans>
        </Button>
      </Flex>
    </Dialog>
  );
}
