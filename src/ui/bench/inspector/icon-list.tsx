"use client";

import { Copy, Trash2 } from "lucide-react";
import type { Node } from "prosemirror-model";
import { NodeSelection } from "prosemirror-state";
import type { Transform } from "prosemirror-transform";
import { drawnFrom } from "@/contract";
import { describeLink, splitNetworkAddress } from "@/core/links";
import { duplicateIcon, hrefOf, image, moveIcon, removeIcon } from "@/core/signature";
import { IconButton } from "../../parts/icon-button";
import { SortableItem, SortableList } from "../../parts/sortable-list";
import { useBench } from "../bench-context";

interface IconProps {
  readonly icon: Node;
  readonly index: number;
  readonly onSelect: () => void;
  readonly onDuplicate: () => void;
  readonly onRemove: () => void;
}

function Icon({ icon, index, onSelect, onDuplicate, onRemove }: IconProps) {
  const { networks = [] } = useBench().altContext;
  const href = hrefOf(icon);
  const { alt, source } = image.of(icon);
  const name = alt || `icon ${index + 1}`;
  // What it says is often the same of all; where it leads tells it from the others.
  const leadsTo = href && (splitNetworkAddress(networks, href)?.kind.name ?? describeLink(href).shown);
  return (
    <SortableItem
      index={index}
      grip={`Move ${name}`}
      className="flex items-center gap-1 border-b border-hairline bg-paper py-1"
      movedClass="border-pine"
    >
      {(grip) => (
        <>
          {grip}
          <button
            type="button"
            onClick={onSelect}
            title={href ? `${name}, leads to ${href}` : `${name}, leads nowhere yet`}
            className="flex min-w-0 flex-1 items-center gap-2 rounded-sm px-1 text-left hover:bg-kelp"
          >
            <img src={drawnFrom(source)} alt="" className="h-5 max-w-8 shrink-0 object-contain" />
            <span className="min-w-0 text-xs">
              <span className="block truncate">{leadsTo ?? name}</span>
              <span className={`block truncate ${href ? "text-soft" : "text-clay"}`}>
                {href ? alt || "no alt text" : "leads nowhere yet"}
              </span>
            </span>
          </button>
          <IconButton label={`Duplicate ${name}`} className="h-6" onClick={onDuplicate}>
            <Copy size={13} aria-hidden />
          </IconButton>
          <IconButton label={`Remove ${name}`} className="h-6" onClick={onRemove}>
            <Trash2 size={13} aria-hidden />
          </IconButton>
        </>
      )}
    </SortableItem>
  );
}

/** The icons of a row in order: moved by drag or by key, duplicated, removed, and selected to be linked. */
export function IconList({ row, position }: { row: Node; position: number }) {
  const { editor } = useBench();
  const icons = row.content.content;
  /** The row stays selected, so that its measures stay in view. */
  const edit = (make: (transform: Transform) => void): void =>
    editor.apply(
      ({ tr }) => {
        make(tr);
        return tr.setSelection(NodeSelection.create(tr.doc, position));
      },
      { focus: false },
    );
  if (icons.length === 0) return <p className="text-sm text-soft">No icon stands in it yet.</p>;
  return (
    <SortableList
      thing="Icon"
      count={icons.length}
      onMove={(from, to) => edit((tr) => moveIcon(tr, position, from, to))}
    >
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
            onDuplicate={() => edit((tr) => duplicateIcon(tr, position, index))}
            onRemove={() => edit((tr) => removeIcon(tr, position, index))}
          />
        ))}
      </ul>
    </SortableList>
  );
}
