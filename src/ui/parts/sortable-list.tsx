"use client";

import {
  type Announcements,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import { useId, type ReactNode } from "react";

/** What is read out while a thing is moved by key. */
const announcementsOf = (thing: string): Announcements => ({
  onDragStart: ({ active }) => `${thing} ${active.id} is picked up: arrow keys move it, Space lets it go.`,
  onDragOver: ({ active, over }) => (over ? `${thing} ${active.id} is at place ${over.id}.` : undefined),
  onDragEnd: ({ active, over }) =>
    over ? `${thing} ${active.id} was put at place ${over.id}.` : `${thing} ${active.id} stays where it was.`,
  onDragCancel: ({ active }) => `${thing} ${active.id} stays where it was.`,
});

interface ListProps {
  /** What one of them is called, with a capital: "Frame". */
  readonly thing: string;
  readonly count: number;
  readonly across?: boolean;
  /** Places count from 0. */
  readonly onMove: (from: number, to: number) => void;
  /** A list of `SortableItem`s. */
  readonly children: ReactNode;
}

/** Things in an order that is changed by drag or by key. */
export function SortableList({ thing, count, across = false, onMove, children }: ListProps) {
  // A drag's id is counted on the server and in the browser apart; this one is the same in both.
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext
      id={id}
      accessibility={{ announcements: announcementsOf(thing) }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id) onMove(Number(active.id) - 1, Number(over.id) - 1);
      }}
    >
      <SortableContext
        items={Array.from({ length: count }, (_, index) => String(index + 1))}
        strategy={across ? horizontalListSortingStrategy : verticalListSortingStrategy}
      >
        {children}
      </SortableContext>
    </DndContext>
  );
}

interface ItemProps {
  /** Its place, from 0. */
  readonly index: number;
  readonly className: string;
  /** What it looks like while it is moved. */
  readonly movedClass: string;
  /** Says what the grip moves. */
  readonly grip: string;
  readonly children: (grip: ReactNode) => ReactNode;
}

/** One of them, which stands wherever its grip is dragged. */
export function SortableItem({ index, className, movedClass, grip, children }: ItemProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: String(index + 1),
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`${className} ${isDragging ? `relative z-10 ${movedClass}` : ""}`}
    >
      {children(
        <button
          type="button"
          aria-label={grip}
          className="cursor-grab p-1 text-soft"
          {...attributes}
          {...listeners}
        >
          <GripVertical size={14} aria-hidden />
        </button>,
      )}
    </li>
  );
}
