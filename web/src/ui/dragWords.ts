import type { Active, DndContextProps, Over } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";

const nameOf = (active: Active) => (active.data.current as { label?: string } | undefined)?.label ?? "";

const dropped = ({ active, over }: { active: Active; over: Over | null }) =>
  over ? t`${nameOf(active)} is dropped.` : t`${nameOf(active)} stays where it was.`;

/** Returns what a screen reader says while something is dragged that names itself with a label in its data. */
export const dragWords = (): DndContextProps["accessibility"] => ({
  screenReaderInstructions: {
    draggable: t`Press space to pick it up, the arrow keys to move it, space again to drop it, Escape to leave it.`,
  },
  announcements: {
    onDragStart: ({ active }) => t`${nameOf(active)} is picked up.`,
    onDragOver: ({ over }) => (over ? t`It can be dropped here.` : t`It cannot be dropped here.`),
    onDragEnd: dropped,
    onDragCancel: ({ active }) => dropped({ active, over: null }),
  },
});
