/** Every measure and tool that the Bench shows for what is selected, by the name that stands beside it. */
import type { BenchAction } from "./action-palette";

const areas = "[role=toolbar][aria-label=Text], aside[aria-label=Measures]";
const controls = "input, textarea, button";

/** As it is read out: its own label, the label beside it, or the words on it. */
function nameOf(control: HTMLElement): string {
  const { labels } = control as HTMLInputElement;
  return (control.getAttribute("aria-label") ?? labels?.[0]?.textContent ?? control.textContent).trim();
}

/** Buttons are pressed; what holds a value gets the focus, and what can be typed into is selected. */
function reach(control: HTMLElement): void {
  control.scrollIntoView({ block: "nearest" });
  control.focus();
  if (control instanceof HTMLButtonElement && control.getAttribute("role") !== "combobox") control.click();
}

/** `taken` are the names that something else has already. */
export function measuresInView(taken: ReadonlySet<string>): readonly BenchAction[] {
  const found = new Map<string, HTMLElement>();
  for (const area of document.querySelectorAll(areas))
    // The breadcrumb leads elsewhere, and is no measure.
    for (const control of area.querySelectorAll<HTMLElement>(controls)) {
      const name = nameOf(control);
      if (
        name &&
        !taken.has(name) &&
        !found.has(name) &&
        !control.closest("nav") &&
        !control.matches(":disabled")
      )
        found.set(name, control);
    }
  return [...found].map(([name, control]) => ({
    id: `measure ${name}`,
    name,
    group: "Measures",
    run: () => reach(control),
  }));
}
