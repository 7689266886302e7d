"use client";

import { useKept } from "../../parts/use-kept";

/** Whether the browser checks the spelling on the sheet, in the signature's language. */
export function useSpelling(): readonly [boolean, (on: boolean) => void] {
  const [kept, keep] = useKept("spelling", "on");
  return [kept !== "off", (on) => keep(on ? "on" : "off")];
}
