/** The areas of the Bench, in the order in which a key goes through those that are there. */
const areas = [
  "[aria-label=Signature]",
  "[aria-label=Measures]",
  "[aria-label='Source of the signature']",
  "[aria-label=Parts]",
  "[aria-label=Text]",
];

const focusable = "button:not(:disabled), input:not(:disabled), select, [tabindex='0']";

/** Puts the focus into the area after the one that has it; `focusSheet` is how the sheet takes it. */
export function focusNextArea(focusSheet: () => void): void {
  const present = areas.flatMap((area) => document.querySelector<HTMLElement>(area) ?? []);
  const here = present.findIndex((area) => area.contains(document.activeElement));
  const next = (here + 1) % Math.max(1, present.length);
  if (next === 0) return focusSheet();
  // The code is what one goes to in the source, and not the first button above it.
  const area = present[next];
  (
    area?.querySelector<HTMLElement>("[contenteditable=true]") ?? area?.querySelector<HTMLElement>(focusable)
  )?.focus();
}
