"use client";

/** Keys of the Bench that work wherever the focus is. */
import { useEffect, useRef } from "react";
import type { BenchAction } from "../dialogs/action-palette";

const pressed = (event: KeyboardEvent): string =>
  [
    event.ctrlKey || event.metaKey ? "Mod" : "",
    event.altKey ? "Alt" : "",
    event.shiftKey ? "Shift" : "",
    event.key.length === 1 ? event.key.toLowerCase() : event.key,
  ]
    .filter(Boolean)
    .join("-");

export function useBenchKeys(actions: readonly BenchAction[]): void {
  const latest = useRef(actions);
  useEffect(() => {
    latest.current = actions;
  }, [actions]);
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      if (document.querySelector("[role=dialog], [role=alertdialog]")) return;
      const found = latest.current.find(({ keys }) => keys === pressed(event));
      if (!found) return;
      event.preventDefault();
      event.stopPropagation();
      found.run();
    };
    // Before the editor, which would take some of them for text.
    window.addEventListener("keydown", listen, { capture: true });
    return () => window.removeEventListener("keydown", listen, { capture: true });
  }, []);
}
