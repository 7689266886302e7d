/** Every measure and tool of the Bench by the name that stands beside it: shown for what is selected, or for something else. */
import type { Node } from "prosemirror-model";
import { NodeSelection, TextSelection, type EditorState, type Selection } from "prosemirror-state";
import { CellSelection } from "prosemirror-tables";
import { flushSync } from "react-dom";
import { image, picturesOf } from "@/core/signature";
import { describeSelection } from "../editor/selection";
import type { EditorTools } from "../editor/use-editor";
import { settingNames } from "../inspector/signature-settings";
import type { BenchAction } from "./action-palette";

const areas = "[role=toolbar][aria-label=Text], aside[aria-label=Measures]";
/** Choices of a few stand in groups, which have names of their own. */
const groups = "[role=group][aria-label], [role=radiogroup][aria-label]";
const controls = `input, textarea, button, ${groups}`;

/** As it is read out: its own label, the label beside it, or the words on it. */
function nameOf(control: HTMLElement): string {
  const { labels } = control as HTMLInputElement;
  return (control.getAttribute("aria-label") ?? labels?.[0]?.textContent ?? control.textContent).trim();
}

/** Buttons are pressed; what holds a value gets the focus, of a group what is chosen in it. */
function reach(control: HTMLElement): void {
  control.scrollIntoView({ block: "nearest" });
  if (control.matches(groups)) {
    const chosen = control.querySelector<HTMLElement>("[data-state=on], [aria-checked=true]");
    return (chosen ?? control.querySelector<HTMLElement>("button"))?.focus();
  }
  control.focus();
  if (control instanceof HTMLButtonElement && control.getAttribute("role") !== "combobox") control.click();
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

/** A measure of something that is not selected: what is selected for it first, and how its control's name begins. */
interface Elsewhere {
  readonly name: string;
  readonly begins: string;
  readonly show: () => void;
}

/** The measures of a cell, as they begin. */
const cellMeasures = [
  "Padding top",
  "Padding right",
  "Padding bottom",
  "Padding left",
  "Width of column",
  "Height of the row",
  "Alignment across the cell",
  "Alignment up and down the cell",
  "Which border",
  "Width of the border",
  "Colour of the border",
  "Style of the border",
  "Background of the cell",
];

/** The measures of a line, which is not shown while a part in it is selected. */
const lineMeasures = ["Line height", "Alignment of the line", "Direction of the line"];

const showSettings = (): void =>
  document.querySelector<HTMLElement>("aside[aria-label=Measures] nav button")?.click();

function elsewhere(state: EditorState, run: EditorTools["run"]): readonly Elsewhere[] {
  const { cells, part } = describeSelection(state);
  const [cell] = cells;
  const select =
    (make: (doc: Node) => Selection): (() => void) =>
    () =>
      run((now, dispatch) => {
        dispatch?.(now.tr.setSelection(make(now.doc)));
        return true;
      });
  const pictures = picturesOf(state.doc).filter(
    ({ node, position }) => image.of(node).source !== "" && position !== part?.position,
  );
  return [
    ...(cell
      ? cellMeasures.map((name) => ({
          name,
          begins: name,
          show: select((doc) => CellSelection.create(doc, cell.position)),
        }))
      : []),
    ...(part?.node.isInline
      ? lineMeasures.map((name) => ({
          name,
          begins: name,
          show: select((doc) => TextSelection.create(doc, doc.resolve(part.position).start())),
        }))
      : []),
    ...Object.values(settingNames).map((name) => ({ name, begins: name, show: showSettings })),
    ...pictures.flatMap(({ node, position }, index) => {
      const said = image.of(node).alt || `picture ${index + 1}`;
      const show = select((doc) => NodeSelection.create(doc, position));
      return [
        { name: `Alt text: ${said}`, begins: "Alt text", show },
        { name: `Cut: ${said}`, begins: "Cut it", show },
      ];
    }),
  ];
}

/**
 * What is in view, and the measures of what lies around it or elsewhere, which is selected first. `taken` are the names
 * that something else has already.
 */
export function measuresByName(
  taken: ReadonlySet<string>,
  state: EditorState,
  run: EditorTools["run"],
): readonly BenchAction[] {
  const measure = (name: string, reached: () => void): BenchAction => ({
    id: `measure ${name}`,
    name,
    group: "Measures",
    run: reached,
  });
  const inView = controlsIn();
  const others = elsewhere(state, run).filter(
    // A font is named with its family: “Font of the signature: Georgia”.
    ({ name, begins }) => name !== begins || ![...inView.keys()].some((shown) => shown.startsWith(begins)),
  );
  return [
    ...[...inView]
      .filter(([name]) => !taken.has(name))
      .map(([name, control]) => measure(name, () => reach(control))),
    ...others.map(({ name, begins, show }) =>
      measure(name, () => {
        flushSync(show);
        const control = [...controlsIn()].find(([shown]) => shown.startsWith(begins))?.[1];
        if (control) reach(control);
      }),
    ),
  ];
}
