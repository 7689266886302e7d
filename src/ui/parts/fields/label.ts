/** How the label over a field looks; quiet ones are there for those who do not see where the field stands. */
export const labelClass = (quiet = false): string => (quiet ? "sr-only" : "block text-xs text-soft");
