"use client";

/** Taking back and doing again by key, wherever nobody is typing: Ctrl Z, and Ctrl Shift Z or Ctrl Y. */
import { useEffect } from "react";

/** Whatever is typed into has steps of its own, the sheet and the source among them. */
const isTypedInto = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest(
    "input:not([type=checkbox], [type=radio], [type=range]), textarea, select, [contenteditable]",
  ) !== null;

interface Steps {
  readonly undo: () => void;
  readonly redo: () => void;
}

const stepOf = (
  { key, shiftKey, ctrlKey, metaKey, altKey }: KeyboardEvent,
  { undo, redo }: Steps,
): (() => void) | null => {
  if (!(ctrlKey || metaKey) || altKey) return null;
  const pressed = key.toLowerCase();
  if (pressed === "z") return shiftKey ? redo : undo;
  return pressed === "y" && !shiftKey ? redo : null;
};

/** While a dialog is open, its keys are its own. */
export function useStepKeys(steps: Steps): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const step = stepOf(event, steps);
      if (!step || event.defaultPrevented || isTypedInto(event.target)) return;
      if (document.querySelector("[role=dialog], [role=alertdialog]")) return;
      event.preventDefault();
      step();
    };
    addEventListener("keydown", listen);
    return () => removeEventListener("keydown", listen);
  });
}
