"use client";

/** A choice that is kept in this browser, the same in every place that reads it. */
import { useCallback, useSyncExternalStore } from "react";

const changed = new EventTarget();

const subscribe = (told: () => void): (() => void) => {
  changed.addEventListener("change", told);
  return () => changed.removeEventListener("change", told);
};

/** `ordinary` is what holds where nothing was chosen, on the server, and where storage is forbidden. */
export function useKept(name: string, ordinary: string): readonly [string, (next: string) => void] {
  const read = useCallback((): string => {
    try {
      return localStorage.getItem(`still-line ${name}`) ?? ordinary;
    } catch {
      return ordinary;
    }
  }, [name, ordinary]);
  const kept = useSyncExternalStore(subscribe, read, () => ordinary);
  const keep = useCallback(
    (next: string) => {
      try {
        localStorage.setItem(`still-line ${name}`, next);
      } catch {
        // It stays as it was.
      }
      changed.dispatchEvent(new Event("change"));
    },
    [name],
  );
  return [kept, keep];
}
