/** How the label over a field looks; quiet ones are there for those who do not see where the field stands. */
export const labelClass = (quiet = false): string => (quiet ? "sr-only" : "block text-xs text-soft");

/** Why what was typed was not taken: under the field, or over what stands below it where there is no room. */
export const problemClass = (quiet: boolean): string =>
  `text-xs text-rowan ${quiet ? "absolute z-10 w-max max-w-28 border border-hairline bg-sheet px-1" : "block"}`;
