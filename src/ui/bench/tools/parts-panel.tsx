"use client";

import {
  AtSign,
  Columns2,
  Image as ImageIcon,
  LayoutGrid,
  Minus,
  MoveVertical,
  PanelBottom,
  Quote,
  RectangleHorizontal,
  Scale,
  Space,
  Square,
  Type,
  UserRound,
  type LucideIcon,
} from "lucide-react";
import { memo } from "react";
import { inlineParts, lines, parts, type Insertable } from "../editor/actions";
import type { Dragged } from "../editor/drag";
import type { PictureTarget } from "../pictures/place-picture";
import type { EditorTools } from "../editor/use-editor";

const icons: Readonly<Record<string, LucideIcon>> = {
  line: Type,
  "picture-place": Square,
  portrait: UserRound,
  "icon-row": LayoutGrid,
  button: RectangleHorizontal,
  divider: Minus,
  spacer: MoveVertical,
  "nested-table": Columns2,
  banner: PanelBottom,
  "disclaimer-across": Scale,
  separator: Space,
};

interface PartProps {
  readonly name: string;
  readonly Icon: LucideIcon;
  readonly dragged: Dragged;
  readonly onInsert: () => void;
  readonly onDrag: (dragged: Dragged | null) => void;
  readonly disabled?: boolean;
}

/** A part: clicked, it goes to the cursor; dragged, it goes where it is dropped. */
function Part({ name, Icon, dragged, onInsert, onDrag, disabled = false }: PartProps) {
  return (
    <li>
      <button
        type="button"
        draggable={!disabled}
        disabled={disabled}
        onMouseDown={(event) => event.button !== 0 && event.preventDefault()}
        onClick={onInsert}
        onDragStart={(event) => {
          event.dataTransfer.setData("text/plain", "");
          event.dataTransfer.effectAllowed = "copyMove";
          onDrag(dragged);
        }}
        onDragEnd={() => onDrag(null)}
        className="flex w-full cursor-grab items-center gap-2 rounded-sm px-1.5 py-[2px] text-left hover:bg-kelp disabled:cursor-default disabled:opacity-40 disabled:hover:bg-transparent"
      >
        <Icon size={15} aria-hidden className="shrink-0 text-pine" />
        {name}
      </button>
    </li>
  );
}

const groups: readonly { title: string; entries: readonly Insertable[]; Fallback: LucideIcon }[] = [
  { title: "Parts", entries: parts, Fallback: Square },
  { title: "In a line", entries: inlineParts, Fallback: AtSign },
  { title: "Ready lines", entries: lines, Fallback: Quote },
];

interface Props {
  readonly run: EditorTools["run"];
  readonly drag: EditorTools["drag"];
  readonly choosePicture: (target: PictureTarget) => void;
  /** Fields of the user's own. */
  readonly ownParts: readonly Insertable[];
  /** Whether the selection is where a nested table may go. */
  readonly nestable: boolean;
}

/** Parts to drag onto the sheet, or to put where the cursor is. Typing does not draw it anew. */
export const PartsPanel = memo(function PartsPanel({ run, drag, choosePicture, ownParts, nestable }: Props) {
  return (
    <aside aria-label="Parts" className="overflow-y-auto border-r border-hairline px-3 py-2">
      {groups.map(({ title, entries, Fallback }, index) => (
        <section key={title} className="pb-2">
          <h2 className="px-1.5 pb-0.5 text-xs text-soft">{title}</h2>
          <ul>
            {index === 0 && (
              <Part
                name="Picture"
                Icon={ImageIcon}
                dragged={{ kind: "picture", form: "block" }}
                onDrag={drag}
                onInsert={() => choosePicture({ kind: "cursor" })}
              />
            )}
            {index === 1 && (
              <Part
                name="Small picture"
                Icon={ImageIcon}
                dragged={{ kind: "picture", form: "inline" }}
                onDrag={drag}
                onInsert={() => choosePicture({ kind: "in-line", at: null })}
              />
            )}
            {[...entries, ...(index === 1 ? ownParts : [])].map((insertable) => (
              <Part
                key={insertable.id}
                name={insertable.name}
                Icon={icons[insertable.id] ?? Fallback}
                dragged={{ kind: "new", insertable }}
                disabled={insertable.id === "nested-table" && !nestable}
                onDrag={drag}
                onInsert={() => run(insertable.command)}
              />
            ))}
          </ul>
        </section>
      ))}
    </aside>
  );
});
