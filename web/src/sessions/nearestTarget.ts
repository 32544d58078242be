import { type CollisionDetection, rectIntersection } from "@dnd-kit/core";
import type { Dragged, Dropped } from "./drag";

/** Where each kind of thing can be dropped. */
const TAKES: Record<Dragged["kind"], Dropped["kind"][]> = {
  chain: ["set", "lane", "round"],
  set: ["set", "lane"],
  round: ["round", "block"],
  block: ["block"],
};

/**
 * Of all targets under the pointer that take what is dragged the smallest: the set before its round, the clock before what
 * lies behind it. They are measured where they are: the clock stays in place while the page scrolls under it.
 */
export const nearestTarget: CollisionDetection = (args) => {
  const kind = (args.active.data.current as Dragged | undefined)?.kind;
  const droppableContainers = args.droppableContainers.filter((target) => {
    const takes = (target.data.current as Dropped | undefined)?.kind;
    return kind !== undefined && takes !== undefined && TAKES[kind].includes(takes);
  });
  const pointer = args.pointerCoordinates;
  if (!pointer) {
    // With the keys there is no pointer.
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
