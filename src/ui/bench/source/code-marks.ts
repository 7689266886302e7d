/** What is marked in the source: the part that is selected on the sheet, troubles, and what will not be kept. */
import { setDiagnostics, type Diagnostic } from "@codemirror/lint";
import {
  Annotation,
  EditorSelection,
  StateEffect,
  StateField,
  type EditorState,
  type TransactionSpec,
} from "@codemirror/state";
import { Decoration, EditorView } from "@codemirror/view";
import type { SourceNote, SourcePlace, SourceTrouble } from "@/core/source";

/** The change comes from the sheet and is not to go back to it. */
export const fromSheet = Annotation.define<boolean>();

const setExtent = StateEffect.define<{ from: number; to: number } | null>();

const line = Decoration.line({ class: "cm-part" });

/** The lines of the part that is selected. */
export const markedLines = StateField.define({
  create: () => Decoration.none,
  update(marks, tr) {
    let next = marks.map(tr.changes);
    for (const effect of tr.effects)
      if (effect.is(setExtent)) {
        const { value } = effect;
        if (!value) next = Decoration.none;
        else {
          const { doc } = tr.state;
          const first = doc.lineAt(Math.min(value.from, doc.length)).number;
          const last = doc.lineAt(Math.min(value.to, doc.length)).number;
          next = Decoration.set(
            Array.from({ length: last - first + 1 }, (_, index) => line.range(doc.line(first + index).from)),
          );
        }
      }
    return next;
  },
  provide: (field) => EditorView.decorations.from(field),
});

/** So much of a part is brought into view; characters. */
const shown = 300;

/** Marks the part at a place; `show` brings it into view, and the caret to it. */
export const markExtent = (place: SourcePlace | null, show: boolean): TransactionSpec => ({
  ...(place && show ? { selection: { anchor: place.from } } : {}),
  effects: [
    setExtent.of(place && { from: place.from, to: place.to }),
    ...(place && show
      ? [
          EditorView.scrollIntoView(
            EditorSelection.range(place.from, Math.min(place.to, place.from + shown)),
            { y: "nearest", yMargin: 40 },
          ),
        ]
      : []),
  ],
});

/** What will happen to something that the document cannot hold as it is written. */
export const noteSays = ({ what, outcome, reason }: SourceNote): string =>
  `${what}: ${outcome === "lost" ? "not kept" : "kept in another way"}; ${reason}.`;

/** Brings a stretch of the source into the middle of the view, selected as if somebody had pressed there. */
export const goTo = (view: EditorView, from: number, to = from): void =>
  view.dispatch({
    selection: { anchor: from, head: to },
    userEvent: "select",
    effects: EditorView.scrollIntoView(from, { y: "center" }),
  });

/** The marks of what is broken, and of what the document cannot hold. */
export function showTroubles(
  state: EditorState,
  troubles: readonly SourceTrouble[],
  notes: readonly SourceNote[],
): TransactionSpec {
  const { length } = state.doc;
  const within = (offset: number): number => Math.min(length, Math.max(0, offset));
  const found: Diagnostic[] = [
    ...troubles.map(({ from, to, says }): Diagnostic => ({
      from: within(from),
      to: within(Math.max(to, from)),
      severity: "error",
      message: says,
    })),
    ...notes.flatMap((note): Diagnostic[] => {
      const { extent, outcome } = note;
      if (!extent) return [];
      const tag = state.doc.sliceString(extent.from, extent.to).indexOf(">");
      return [
        {
          from: within(extent.from),
          to: within(tag < 0 ? extent.to : extent.from + tag + 1),
          severity: outcome === "lost" ? "warning" : "info",
          message: noteSays(note),
        },
      ];
    }),
  ];
  return setDiagnostics(state, found);
}
