import { type CollisionDetection, rectIntersection } from "@dnd-kit/core";
import type { Dragged, Dropped } from "./drag";

/** The drop targets for each kind of item. */
const TAKES: Record<Dragged["kind"], Dropped["kind"][]> = {
  chain: ["set", "lane", "round"],
  set: ["set", "lane"],
  round: ["round", "block"],
  block: ["block"],
};

/**
 * Chooses the smallest target under the pointer that accepts the item: the set before its round, the clock before what
 * is behind it. Targets are measured live, because the clock stays in place while the page scrolls.
 */
export const nearestTarget: CollisionDetection = (args) => {
  const kind = (args.active.data.current as Dragged | undefined)?.kind;
  const droppableContainers = args.droppableContainers.filter((target) => {
    const takes = (target.data.current as Dropped | undefined)?.kind;
    return kind !== undefined && takes !== undefined && TAKES[kind].includes(takes);
  });
  const pointer = args.pointerCoordinates;
  if (!pointer) {
    // With the keyboard there is no pointer.
    return rectIntersection({ ...args, droppableContainers }).slice(0, 1);
  }
  return droppableContainers
    .flatMap((droppableContainer) => {
      const rect = droppableContainer.node.current?.getBoundingClientRect();
      return rect &&
        pointer.x >= rect.left &&
        pointer.x <= rect.right &&
        pointer.y >= rect.top &&
        pointer.y <= rect.bottom
        ? [{ id: droppableContainer.id, data: { droppableContainer, value: rect.width * rect.height } }]
        : [];
    })
    .sort((one, other) => one.data.value - other.data.value)
    .slice(0, 1);
};
