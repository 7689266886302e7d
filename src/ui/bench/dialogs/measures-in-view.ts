/** Every measure and tool that the Bench shows for what is selected, by the name that stands beside it. */
import { flushSync } from "react-dom";
import { settingNames } from "../inspector/signature-settings";
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

/** Shows the settings of the whole signature, and goes to one of them. */
function reachSetting(name: string): void {
  const whole = document.querySelector<HTMLElement>("aside[aria-label=Measures] nav button");
  flushSync(() => whole?.click());
  const control = [...controlsIn()].find(([each]) => each.startsWith(name))?.[1];
  if (control) reach(control);
}

/** The controls in view by their names; the first of each name. */
function controlsIn(): ReadonlyMap<string, HTMLElement> {
  const found = new Map<string, HTMLElement>();
  for (const area of document.querySelectorAll(areas))
    // The breadcrumb leads elsewhere, and is no measure.
    for (const control of area.querySelectorAll<HTMLElement>(controls)) {
      const name = nameOf(control);
      if (name && !found.has(name) && !control.closest("nav") && !control.matches(":disabled"))
        found.set(name, control);
    }
  return found;
}

/**
 * What is in view, and the settings of the whole signature wherever they are. `taken` are the names that something else
 * has already.
 */
export function measuresByName(taken: ReadonlySet<string>): readonly BenchAction[] {
  const measure = (name: string, run: () => void): BenchAction => ({
    id: `measure ${name}`,
    name,
    group: "Measures",
    run,
  });
  const inView = controlsIn();
  // A font is named with its family: “Font of the signature: Georgia”.
  const shown = (setting: string): boolean => [...inView.keys()].some((name) => name.startsWith(setting));
  return [
    ...[...inView]
      .filter(([name]) => !taken.has(name))
      .map(([name, control]) => measure(name, () => reach(control))),
    ...Object.values(settingNames)
      .filter((name) => !shown(name))
      .map((name) => measure(name, () => reachSetting(name))),
  ];
}
