import { useDndMonitor, useDraggable, useDroppable } from "@dnd-kit/core";

/** What is carried over the bench: a frame of the ladder, a region of the shelf, or a pass of the recipe. */
export interface Carried {
  frame?: string;
  region?: string;
  pass?: string;
}

/** Something that can be picked up: how it is attached, and what it listens to. */
export function useCarry(id: string, what: Carried) {
  const { setNodeRef, listeners } = useDraggable({ id, data: what });
  return [setNodeRef, listeners] as const;
}

/** Somewhere that things can be let go: how it is attached, and whether something is held over it. */
export function useDropPlace(id: string, onDrop: (what: Carried) => void) {
  const { setNodeRef, isOver } = useDroppable({ id });
  useDndMonitor({
    onDragEnd: ({ active, over }) => {
      const what: Carried | undefined = active.data.current;
      if (over?.id === id && what) onDrop(what);
    },
  });
  return [setNodeRef, isOver] as const;
}
