"use client";

import { format, isToday, isYesterday } from "date-fns";
import type { ReactNode } from "react";
import type { LetterHead } from "@/contract";

const dayOf = (time: number): string =>
  isToday(time) ? "Today" : isYesterday(time) ? "Yesterday" : format(time, "EEEE, d MMMM yyyy");

interface Props {
  /** The newest first. */
  readonly letters: readonly LetterHead[];
  readonly children: (letter: LetterHead) => ReactNode;
}

/** Letters under their days, in the time of who reads. */
export function Days({ letters, children }: Props) {
  const days = new Map<string, LetterHead[]>();
  for (const letter of letters) {
    const day = dayOf(letter.receivedAt);
    const those = days.get(day);
    if (those) those.push(letter);
    else days.set(day, [letter]);
  }
  return [...days].map(([day, those]) => (
    <section key={day} aria-label={day}>
      <h2 className="sluice-day" suppressHydrationWarning>
        {day}
      </h2>
      {those.map(children)}
    </section>
  ));
}
