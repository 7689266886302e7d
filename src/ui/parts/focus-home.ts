"use client";

/** Where the focus goes back to when what had it is covered by a dialog, or gone. */
import { createContext, useContext, useState } from "react";

/** Gives the focus to where the work of the view is done: on the Bench, to the sheet with its selection. */
export const FocusHome = createContext<(() => void) | null>(null);

/**
 * For what opens over a page: gives the focus back to what had it when this was first drawn. Fields and buttons get it
 * themselves; an editor, whose selection a bare focus would move, and what is no longer there give it to the view's home.
 * What has taken the focus by then keeps it.
 */
export function useFocusBack(): (closing: Event) => void {
  const home = useContext(FocusHome);
  const [before] = useState(() => (typeof document === "undefined" ? null : document.activeElement));
  return (closing) => {
    const { activeElement } = document;
    const isTaken = activeElement !== null && activeElement !== document.body;
    const isThere =
      before instanceof HTMLElement &&
      before.isConnected &&
      before !== document.body &&
      !before.isContentEditable;
    if (!isTaken && !isThere && !home) return;
    closing.preventDefault();
    if (isTaken) return;
    if (isThere) before.focus({ preventScroll: true });
    else home?.();
  };
}
