"use client";

import { AtSign, Image as ImageIcon, Minus, MoveVertical, Space, Type } from "lucide-react";
import type { ReactNode } from "react";
import { fieldLabels, type FieldName } from "@/core/people";
import { schema } from "@/core/signature";
import { useBench } from "./bench-context";
import { insertBlock, insertInline } from "./editor/commands";

const fields: readonly FieldName[] = [
  "name",
  "title",
  "department",
  "phone",
  "mobile",
  "mail",
  "web",
  "address",
];

function Part({ icon, name, onInsert }: { icon: ReactNode; name: string; onInsert: () => void }) {
  return (
    <li>
      <button
        type="button"
        onMouseDown={(event) => event.preventDefault()}
        onClick={onInsert}
        className="flex w-full items-center gap-2.5 rounded-sm px-1.5 py-[3px] text-left hover:bg-kelp"
      >
        <span aria-hidden className="text-pine">
          {icon}
        </span>
        {name}
      </button>
    </li>
  );
}

/** Parts to put where the cursor is. */
export function PartsPanel() {
  const { editor, choosePicture } = useBench();
  const block = (name: string): void =>
    editor.apply((state) => insertBlock(state, schema.nodes[name]!.create()));
  return (
    <aside aria-label="Parts" className="overflow-y-auto border-r border-hairline px-3 py-3">
      <h2 className="px-1.5 pb-1 text-xs text-soft">Put at the cursor</h2>
      <ul>
        <Part icon={<Type size={16} />} name="Line of text" onInsert={() => block("line")} />
        <Part icon={<ImageIcon size={16} />} name="Picture" onInsert={choosePicture} />
        <Part
          icon={<Space size={16} />}
          name="Separator"
          onInsert={() => editor.apply((state) => insertInline(state, schema.nodes.separator!.create()))}
        />
        <Part icon={<Minus size={16} />} name="Divider" onInsert={() => block("divider")} />
        <Part icon={<MoveVertical size={16} />} name="Spacer" onInsert={() => block("spacer")} />
      </ul>
      <h2 className="px-1.5 pb-1 pt-4 text-xs text-soft">From the directory</h2>
      <ul>
        {fields.map((field) => (
          <Part
            key={field}
            icon={<AtSign size={16} />}
            name={fieldLabels[field]}
            onInsert={() =>
              editor.apply((state) => insertInline(state, schema.nodes.personField!.create({ field })))
            }
          />
        ))}
      </ul>
    </aside>
  );
}
