import { type CollisionDetection, pointerWithin, rectIntersection } from "@dnd-kit/core";
import type { Dragged, Dropped } from "./drag";

/** Where each kind of thing can be dropped. */
const TAKES: Record<Dragged["kind"], Dropped["kind"][]> = {
  chain: ["set", "lane", "round"],
  set: ["set", "lane"],
  round: ["round", "block"],
  block: ["block"],
};

/** Of all targets under the pointer that take what is dragged the smallest: the set before its round, the clock before what lies behind it. */
export const nearestTarget: CollisionDetection = (args) => {
  const kind = (args.active.data.current as Dragged | undefined)?.kind;
  const droppableContainers = args.droppableContainers.filter((target) => {
    const takes = (target.data.current as Dropped | undefined)?.kind;
    return kind !== undefined && takes !== undefined && TAKES[kind].includes(takes);
  });
  const under = pointerWithin({ ...args, droppableContainers });
  // With the keys there is no pointer.
  const found =
    under.length > 0 || args.pointerCoordinates ? under : rectIntersection({ ...args, droppableContainers });
  const area = (id: string | number) => {
    const rect = args.droppableRects.get(id);
    return rect ? rect.width * rect.height : Number.POSITIVE_INFINITY;
  };
  return [...found].sort((one, other) => area(one.id) - area(other.id)).slice(0, 1);
};
