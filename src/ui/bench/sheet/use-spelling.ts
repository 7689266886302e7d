"use client";

/** Whether the browser checks the spelling on the sheet, in the signature's language; kept in this browser. */
import { useCallback, useSyncExternalStore } from "react";

const name = "still-line spelling";
const changed = new EventTarget();

const read = (): boolean => {
  try {
    return localStorage.getItem(name) !== "off";
  } catch {
    return true;
  }
};

const subscribe = (told: () => void): (() => void) => {
  changed.addEventListener("change", told);
  return () => changed.removeEventListener("change", told);
};

export function useSpelling(): readonly [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(subscribe, read, () => true);
  const set = useCallback((next: boolean) => {
    try {
      localStorage.setItem(name, next ? "on" : "off");
    } catch {
      // Storage is forbidden: it stays as it was.
    }
    changed.dispatchEvent(new Event("change"));
  }, []);
  return [on, set];
}
