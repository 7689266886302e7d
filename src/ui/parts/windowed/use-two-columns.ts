"use client";

import { useSyncExternalStore } from "react";

/** From here on there is room for two; px. */
const wideEnough = "(min-width: 768px)";

function follow(changed: () => void): () => void {
  const query = window.matchMedia(wideEnough);
  query.addEventListener("change", changed);
  return () => query.removeEventListener("change", changed);
}

/** Whether the window has room for two columns. A server draws for one that has. */
export const useTwoColumns = (): boolean =>
  useSyncExternalStore(
    follow,
    () => window.matchMedia(wideEnough).matches,
    () => true,
  );
