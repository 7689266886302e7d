"use client";

import { useEffect, useState } from "react";

/** A value once it has not changed for `quiet` ms: for work that need not follow each key. */
export function useSettled<T>(value: T, quiet: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), quiet);
    return () => clearTimeout(timer);
  }, [value, quiet]);
  return settled;
}
