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
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical, Trash2 } from "lucide-react";
import { useId } from "react";
import {
  beginAt,
  longestTime,
  moveFrame,
  removeFrame,
  setFrameTime,
  shortestTime,
  type LoopFrame,
} from "@/core/pictures";
import { IconButton } from "../../parts/icon-button";
import { MeasureField } from "../../parts/measure-field";
import { FrameDrawing } from "./frame-drawing";
import type { LoopTools } from "./use-loop";

interface FrameProps {
  readonly id: string;
  readonly index: number;
  readonly frame: LoopFrame;
  readonly tools: LoopTools;
}

function Frame({ id, index, frame, tools }: FrameProps) {
  const { loop, change } = tools;
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const { frames, source } = loop;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`w-[104px] shrink-0 border bg-sheet ${isDragging ? "z-10 border-pine" : "border-hairline"}`}
    >
      <div className="flex items-center border-b border-hairline text-xs text-soft">
        <button
          type="button"
          aria-label={`Move frame ${index + 1}`}
          className="cursor-grab p-1"
          {...attributes}
          {...listeners}
        >
          <GripVertical size={14} aria-hidden />
        </button>
        {index === 0 ? <b className="text-pine">1, first</b> : index + 1}
        <IconButton
          label={`Remove frame ${index + 1}`}
          className="ml-auto h-6"
          disabled={frames.length === 1}
          onClick={() => change({ frames: removeFrame(frames, index) })}
        >
          <Trash2 size={13} aria-hidden />
        </IconButton>
      </div>
      <FrameDrawing source={source} picture={frame.picture} />
      <div className="flex items-end justify-between gap-1 px-1.5 pb-1.5">
        <MeasureField
          label={`Time of frame ${index + 1}`}
          quiet
          unit="ms"
          value={frame.time}
          least={shortestTime}
          most={longestTime}
          step={10}
          className="w-14"
          onChange={(time) => change({ frames: setFrameTime(frames, index, time) })}
        />
        {index > 0 && (
          <button
            type="button"
            aria-label={`Begin with frame ${index + 1}`}
            className="text-xs text-pine underline"
            onClick={() => change({ frames: beginAt(frames, index) })}
          >
            first
          </button>
        )}
      </div>
    </li>
  );
}

/** What is read out while a frame is moved by key. */
const announcements: Announcements = {
  onDragStart: ({ active }) => `Frame ${active.id} is picked up: arrow keys move it, Space lets it go.`,
  onDragOver: ({ active, over }) => (over ? `Frame ${active.id} is at place ${over.id}.` : undefined),
  onDragEnd: ({ active, over }) =>
    over ? `Frame ${active.id} was put at place ${over.id}.` : `Frame ${active.id} stays where it was.`,
  onDragCancel: ({ active }) => `Frame ${active.id} stays where it was.`,
};

/** The frames in order: moved by drag or by key, removed, timed, and one of them made the first. */
export function FrameStrip({ tools }: { tools: LoopTools }) {
  const { frames } = tools.loop;
  // A drag's id is counted on the server and in the browser apart; this one is the same in both.
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = frames.map((_, index) => String(index + 1));
  return (
    <DndContext
      id={id}
      accessibility={{ announcements }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over) tools.change({ frames: moveFrame(frames, Number(active.id) - 1, Number(over.id) - 1) });
      }}
    >
      <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
        <ol aria-label="Frames" className="flex gap-2 overflow-x-auto pb-2">
          {frames.map((frame, index) => (
            <Frame key={ids[index]} id={ids[index]!} index={index} frame={frame} tools={tools} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
