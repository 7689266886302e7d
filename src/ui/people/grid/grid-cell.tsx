"use client";

import { useEffect, useRef, useState } from "react";
import { fieldLabel, longestField, typedValue, type FieldId, type Person } from "@/core/people";
import { PersonValue } from "./person-value";

/** Where the focus goes once a cell is done with. */
export type Leaving = "stay" | "down" | "right" | "left";

interface Props {
  readonly person: Person;
  readonly field: FieldId;
  /** Whether the Tab key leads to it. */
  readonly reachable: boolean;
  /** What editing begins with; null while it is shown. */
  readonly editing: string | null;
  /** Is told of every letter. */
  readonly onType: (value: string) => void;
  /** Ends editing; null where what was there stays. */
  readonly onDone: (value: string | null, leaving: Leaving) => void;
  /** Departments, for the department. */
  readonly suggestions: string | undefined;
}

/** A detail of somebody: shown, and edited where it stands. */
export function GridCell(props: Props) {
  const { person, field, reachable, editing, onType, onDone, suggestions } = props;
  const value = typedValue(person, field);
  const says = `${fieldLabel(field)} of ${person.name || "a person without a name"}`;
  if (editing !== null)
    return <CellField label={says} value={editing} {...{ suggestions, onType, onDone }} />;
  return (
    <div
      tabIndex={reachable ? 0 : -1}
      data-cell
      aria-label={`${says}: ${value || "empty"}`}
      role="button"
      className="flex h-full cursor-text items-center px-2 outline-offset-[-2px]"
    >
      <PersonValue field={field} value={value} />
    </div>
  );
}

interface FieldProps extends Pick<Props, "onType" | "onDone" | "suggestions"> {
  readonly label: string;
  readonly value: string;
}

function CellField({ label, value, suggestions, onType, onDone }: FieldProps) {
  const input = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState(value);
  const done = useRef(false);
  useEffect(() => input.current?.focus(), []);
  const end = (next: string | null, leaving: Leaving): void => {
    if (done.current) return;
    done.current = true;
    onDone(next, leaving);
  };
  return (
    <input
      ref={input}
      aria-label={label}
      value={typed}
      maxLength={longestField}
      list={suggestions}
      autoComplete="off"
      onChange={(event) => {
        setTyped(event.target.value);
        onType(event.target.value);
      }}
      onBlur={() => end(typed, "stay")}
      onKeyDown={(event) => {
        // Keys that belong to a field do not walk the table.
        event.stopPropagation();
        if (event.nativeEvent.isComposing) return;
        if (event.key === "Escape") end(null, "stay");
        else if (event.key === "Enter") end(typed, "down");
        else if (event.key === "Tab") end(typed, event.shiftKey ? "left" : "right");
        else return;
        event.preventDefault();
      }}
      className="h-full w-full bg-canvas px-2 text-sm text-ink outline-2 -outline-offset-2 outline-pine [color-scheme:inherit]"
    />
  );
}
