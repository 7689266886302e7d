/** The areas of the Bench, in the order in which a key goes through them. */
const areas = ["[aria-label=Signature]", "[aria-label=Measures]", "[aria-label=Parts]", "[aria-label=Text]"];

const focusable = "button:not(:disabled), input:not(:disabled), select, [tabindex='0']";

/** Puts the focus into the area after the one that has it; `focusSheet` is how the sheet takes it. */
export function focusNextArea(focusSheet: () => void): void {
  const elements = areas.map((area) => document.querySelector<HTMLElement>(area));
  const here = elements.findIndex((area) => area?.contains(document.activeElement));
  const next = (here + 1) % areas.length;
  if (next === 0) focusSheet();
  else elements[next]?.querySelector<HTMLElement>(focusable)?.focus();
}
