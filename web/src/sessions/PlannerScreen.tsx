import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  type DragStartEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import { useLocation, useNavigate, useParams } from "react-router";
import { type Drill, isAway, type Plan } from "../api/client";
import { useAdvice } from "../api/useAdvice";
import { dragWords } from "../ui/dragWords";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { useNotice } from "../ui/useNotice";
import { useShortcut } from "../ui/useShortcut";
import { AddBlock } from "./AddBlock";
import { Advisories } from "./Advisories";
import { withAdded } from "./added";
import { BlockCard } from "./BlockCard";
import { type Dragged, type Dropped, drop } from "./drag";
import { LibraryPanel } from "./LibraryPanel";
import { LoadPanel } from "./LoadPanel";
import { nearestTarget } from "./nearestTarget";
import { PlanHead } from "./PlanHead";
import type { Place } from "./plan";
import { PlanContext } from "./planContext";
import { Ruler, reveal } from "./Ruler";
import { type Addable, planned } from "./useLinkedChain";
import { useKeptPlan, usePlan, usePlanCheck, usePlanner } from "./usePlanner";
import { useDrills } from "./usePlans";
import "./planner.css";
import "./sessions.css";

/** The planner: the clock, the blocks, and what follows from them. */
export default function PlannerScreen() {
  const { id } = useParams();
  const plan = usePlan(Number(id));
  const kept = useKeptPlan(Number(id));
  if (plan.isError) {
    const away = isAway(plan.error);
    // Without a connection it continues with the copy on this device.
    const mine = away ? kept.read()?.plan : undefined;
    return mine ? (
      <Planner key={mine.id} plan={mine} />
    ) : (
      <NoPage title={away ? t`The session cannot be opened now` : t`No such session`} error={plan.error}>
        {away && (
          <Button onClick={() => plan.refetch()}>
            <Trans>Try again</Trans>
          </Button>
        )}
      </NoPage>
    );
  }
  return plan.data ? <Planner key={plan.data.id} plan={plan.data} /> : <Loading what={t`Opening the session`} />;
}

/** The location state that adds combinations to the session that is opened, or a drill with at most one of them. */
export interface ToAdd {
  add: Addable[];
  drill?: string | null;
}

export interface Reasons {
  reasons: { place: string; message: string }[];
  unmet: string[];
}

/** Adds the combinations that were sent here from another screen, once. */
function useAdded(
  sent: Partial<ToAdd> | null,
  planner: ReturnType<typeof usePlanner>,
  drills: Drill[] | undefined,
  onAdded: (place: Place) => void,
) {
  const navigate = useNavigate();
  const notice = useNotice();
  const isAdded = useRef(false);
  const { add, drill } = sent ?? {};
  useEffect(() => {
    if (!add || !drills || isAdded.current) {
      return;
    }
    isAdded.current = true;
    const { content } = planner.draft;
    const { block, round, ...added } = withAdded(
      content,
      drill && add.length === 0 ? [null] : add.map((one) => planned(one, content.numbering)),
      drills,
      drill,
    );
    planner.change((draft) => ({ ...draft, content: added.content }));
    onAdded({ block, round, set: 0 });
    requestAnimationFrame(() => reveal(block, round));
    notice.undo(
      drill
        ? t`The drill was added to this session.`
        : t`${plural(add.length, { one: "# combination was added", other: "# combinations were added" })} to this session.`,
      planner.undo,
    );
    // A reload does not add them again.
    void navigate(window.location.pathname, { replace: true, state: null, preventScrollReset: true });
  }, [add, drill, drills, planner, onAdded, navigate, notice]);
}

function Planner({ plan }: { plan: Plan }) {
  const planner = usePlanner(plan);
  const { content } = planner.draft;
  const check = usePlanCheck(content);
  const drills = useDrills();
  const advice = useAdvice().data;
  const [selected, setSelected] = useState<Place | null>(null);
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const { state } = useLocation() as { state: Partial<Reasons & ToAdd> | null };
  const [why, setWhy] = useState<Reasons | null>(
    state?.reasons && state.unmet ? { reasons: state.reasons, unmet: state.unmet } : null,
  );
  useAdded(state, planner, drills?.drills, setSelected);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  );
  useShortcut("undo", () => planner.undo());
  useShortcut("redo", () => planner.redo());
  useShortcut("save", () => void planner.save());
  useShortcut("release", () => setSelected(null));

  const change = (next: (now: typeof content) => typeof content, typed = false) =>
    planner.change((draft) => ({ ...draft, content: next(draft.content) }), typed);
  const onDragStart = (event: DragStartEvent) => setDragged((event.active.data.current as Dragged | undefined) ?? null);
  const onDragEnd = (event: DragEndEvent) => {
    setDragged(null);
    const what = event.active.data.current as Dragged | undefined;
    const where = event.over?.data.current as Dropped | undefined;
    if (what && where) {
      change((now) => drop(now, what, where, drills?.drills ?? []));
    }
  };
  if (!drills || !advice) {
    return <Loading what={t`Opening the session`} />;
  }
  return (
    <PlanContext
      value={{
        content,
        document: check.document,
        old: check.old,
        drills: drills.drills,
        exercises: advice.exercises,
        paces: drills.paces,
        selected,
        select: setSelected,
        change,
        reasons: why?.reasons ?? [],
      }}
    >
      <DndContext
        sensors={sensors}
        // The clock is at the upper edge, where dragging would scroll the page away under it.
        autoScroll={dragged?.kind === "round" && dragged.onClock ? false : { threshold: { x: 0, y: 0.08 } }}
        collisionDetection={nearestTarget}
        accessibility={dragWords()}
        onDragStart={onDragStart}
        onDragEnd={onDragEnd}
        onDragCancel={() => setDragged(null)}
      >
        <main className="planner">
          <h1 className="unseen">
            <Trans>Session: {plan.name}</Trans>
          </h1>
          <PlanHead plan={plan} planner={planner} document={check.document} onReasons={setWhy} />
          {why && why.unmet.length > 0 && (
            <ul className="unmet" aria-label={t`Requirements not met`}>
              {why.unmet.map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </ul>
          )}
          <Ruler />
          <div className="planner-body">
            <LibraryPanel />
            <section className="planner-blocks" aria-label={t`The session`}>
              {content.blocks.map((block, at) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a block is identified by its place
                <BlockCard key={at} block={block} at={at} />
              ))}
              <AddBlock formats={drills.boutFormats} />
            </section>
            <aside className="planner-side" aria-label={t`Results`}>
              <Advisories error={check.error} />
              <LoadPanel />
            </aside>
          </div>
        </main>
        <DragOverlay dropAnimation={null}>
          {dragged && <span className="dragged">{dragged.kind === "chain" ? dragged.chain.chain : dragged.label}</span>}
        </DragOverlay>
      </DndContext>
    </PlanContext>
  );
}
