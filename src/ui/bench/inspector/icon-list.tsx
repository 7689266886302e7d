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
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Copy, GripVertical, Trash2 } from "lucide-react";
import type { Node } from "prosemirror-model";
import { NodeSelection } from "prosemirror-state";
import { describeLink } from "@/core/links";
import { drawnFrom } from "@/core/pictures";
import { duplicateIcon, moveIcon, removeIcon } from "@/core/signature";
import { IconButton } from "../../parts/icon-button";
import { useBench } from "../bench-context";

interface IconProps {
  readonly icon: Node;
  readonly index: number;
  readonly onSelect: () => void;
  readonly onDuplicate: () => void;
  readonly onRemove: () => void;
}

const hrefOf = (icon: Node): string | null =>
  (icon.marks.find(({ type }) => type.name === "link")?.attrs.href as string | undefined) ?? null;

function Icon({ icon, index, onSelect, onDuplicate, onRemove }: IconProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: String(index + 1),
  });
  const href = hrefOf(icon);
  const name = String(icon.attrs.alt) || `icon ${index + 1}`;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center gap-1 border-b border-hairline bg-paper py-1 ${isDragging ? "relative z-10 border-pine" : ""}`}
    >
      <button
        type="button"
        aria-label={`Move ${name}`}
        className="cursor-grab p-0.5 text-soft"
        {...attributes}
        {...listeners}
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <button
        type="button"
        onClick={onSelect}
        title={href ? `${name}, leads to ${href}` : `${name}, leads nowhere yet`}
        className="flex min-w-0 flex-1 items-center gap-2 rounded-sm px-1 text-left hover:bg-kelp"
      >
        <img
          src={drawnFrom(String(icon.attrs.source))}
          alt=""
          className="h-5 max-w-8 shrink-0 object-contain"
        />
        <span className="min-w-0 text-xs">
          <span className="block truncate">{name}</span>
          <span className={`block truncate ${href ? "text-soft" : "text-clay"}`}>
            {href ? describeLink(href).shown : "leads nowhere yet"}
          </span>
        </span>
      </button>
      <IconButton label={`Duplicate ${name}`} className="h-6" onClick={onDuplicate}>
        <Copy size={13} aria-hidden />
      </IconButton>
      <IconButton label={`Remove ${name}`} className="h-6" onClick={onRemove}>
        <Trash2 size={13} aria-hidden />
      </IconButton>
    </li>
  );
}

const announcements: Announcements = {
  onDragStart: ({ active }) => `Icon ${active.id} is picked up: arrow keys move it, Space lets it go.`,
  onDragOver: ({ active, over }) => (over ? `Icon ${active.id} is at place ${over.id}.` : undefined),
  onDragEnd: ({ active, over }) =>
    over ? `Icon ${active.id} was put at place ${over.id}.` : `Icon ${active.id} stays where it was.`,
  onDragCancel: ({ active }) => `Icon ${active.id} stays where it was.`,
};

/** The icons of a row in order: moved by drag or by key, duplicated, removed, and selected to be linked. */
export function IconList({ row, position }: { row: Node; position: number }) {
  const { editor } = useBench();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const icons = row.content.content;
  const ids = icons.map((_, index) => String(index + 1));
  /** The row stays selected, so that its measures stay in view. */
  const edit = (make: typeof moveIcon, ...places: [number, number?]): void =>
    editor.apply(
      ({ tr }) => {
        make(tr, position, places[0], places[1] ?? 0);
        return tr.setSelection(NodeSelection.create(tr.doc, position));
      },
      { focus: false },
    );
  if (icons.length === 0) return <p className="text-sm text-soft">No icon stands in it yet.</p>;
  return (
    <DndContext
      id="icons-of-the-row"
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ announcements }}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id) edit(moveIcon, Number(active.id) - 1, Number(over.id) - 1);
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ul aria-label="Icons of the row" className="border-t border-hairline">
          {icons.map((icon, index) => (
            <Icon
              key={index}
              icon={icon}
              index={index}
              onSelect={() => {
                const offset = icons.slice(0, index).reduce((sum, each) => sum + each.nodeSize, 1);
                editor.apply(({ tr }) => tr.setSelection(NodeSelection.create(tr.doc, position + offset)));
              }}
              onDuplicate={() => edit(duplicateIcon, index)}
              onRemove={() => edit(removeIcon, index)}
            />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}
