"use client";

import { useState } from "react";

/** As many as fit beside a cut. */
const shown = 3;

/** The signatures that use a cut; of many, the first, and the others when they are asked for. */
export function UsedIn({ names }: { names: readonly string[] }) {
  const [all, setAll] = useState(false);
  const more = names.length - shown;
  if (names.length === 0) return "not used";
  if (all || more <= 1) return names.join(", ");
  return (
    <>
      {names.slice(0, shown).join(", ")}{" "}
      <button type="button" onClick={() => setAll(true)} className="whitespace-nowrap text-pine underline">
        and {more.toLocaleString("en")} more
      </button>
    </>
  );
}
