"use client";

import { useState, type ReactNode } from "react";

/** How many are shown at first, and ten times as many more each time. */
const some = 50;

interface Props<T> {
  readonly all: readonly T[];
  /** Said where there are none. */
  readonly none: string;
  readonly keyOf: (each: T) => string | number;
  readonly row: (each: T) => ReactNode;
}

/** The first of a long list, and more of it when they are asked for. */
export function SomeOf<T>({ all, none, keyOf, row }: Props<T>) {
  const [shown, setShown] = useState(some);
  if (all.length === 0) return <p className="py-6 text-soft">{none}</p>;
  return (
    <>
      <ul>
        {all.slice(0, shown).map((each) => (
          <li key={keyOf(each)} className="border-b border-hairline py-1.5">
            {row(each)}
          </li>
        ))}
      </ul>
      {all.length > shown && (
        <button
          type="button"
          className="mt-2 text-pine underline"
          onClick={() => setShown(shown + 10 * some)}
        >
          Show more of the {(all.length - shown).toLocaleString("en")} others
        </button>
      )}
    </>
  );
}
