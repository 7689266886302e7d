"use client";

/** Says, where one is next, that changed settings were left without being kept and are lost. */
import { useEffect, useRef, useState } from "react";
import { usePathname } from "next/navigation";

const key = (desk: string): string => `still-line lost at ${desk}`;

/** Remembers, when the settings are left, that what was changed in them is lost. */
export function useLosing(desk: string, changed: boolean): void {
  const latest = useRef(changed);
  useEffect(() => {
    latest.current = changed;
  }, [changed]);
  useEffect(() => {
    const left = (): void => {
      if (latest.current) sessionStorage.setItem(key(desk), "1");
    };
    addEventListener("pagehide", left);
    return () => {
      removeEventListener("pagehide", left);
      left();
    };
  }, [desk]);
}

export function LostChanges({ desk, says }: { desk: string; says: string }) {
  const path = usePathname();
  const [lost, setLost] = useState(false);
  useEffect(() => {
    // What is left says so in the same turn in which the next place comes.
    const turn = setTimeout(() => {
      setLost(sessionStorage.getItem(key(desk)) !== null);
      sessionStorage.removeItem(key(desk));
    });
    return () => clearTimeout(turn);
  }, [desk, path]);
  return lost ? (
    <p role="alert" className="desk-lost">
      {says}
    </p>
  ) : null;
}
