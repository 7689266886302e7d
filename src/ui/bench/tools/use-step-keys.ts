"use client";

/** Taking back and doing again by key while the focus is on a tool, where what was just done was done. */
import { redo, undo } from "prosemirror-history";
import { useEffect } from "react";
import type { EditorTools } from "../editor/use-editor";

/** Whatever is typed into has steps of its own, the sheet and the source among them. */
const isTypedInto = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest("input:not([type=checkbox], [type=radio], [type=range]), textarea, [contenteditable]") !==
    null;

const commandOf = ({ key, shiftKey, ctrlKey, metaKey, altKey }: KeyboardEvent): typeof undo | null => {
  if (!(ctrlKey || metaKey) || altKey) return null;
  const pressed = key.toLowerCase();
  if (pressed === "z") return shiftKey ? redo : undo;
  return pressed === "y" && !shiftKey ? redo : null;
};

export function useStepKeys({ run }: Pick<EditorTools, "run">): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const command = commandOf(event);
      if (!command || event.defaultPrevented || isTypedInto(event.target)) return;
      if (document.querySelector("[role=dialog], [role=alertdialog]")) return;
      event.preventDefault();
      run(command, { focus: false });
    };
    addEventListener("keydown", listen);
    return () => removeEventListener("keydown", listen);
  }, [run]);
}
