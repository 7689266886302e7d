/** Lines that wrap go on below where they begin, a little further in, so that the depth of elements stays in view. */
import { RangeSetBuilder, type Extension } from "@codemirror/state";
import {
  Decoration,
  ViewPlugin,
  type DecorationSet,
  type EditorView,
  type ViewUpdate,
} from "@codemirror/view";

/** Further in than the line itself; characters. */
const further = 4;

const decorations = new Map<number, Decoration>();

function indented(by: number): Decoration {
  const known = decorations.get(by);
  if (known) return known;
  const made = Decoration.line({
    attributes: { style: `padding-left:calc(6px + ${by}ch);text-indent:-${by}ch` },
  });
  decorations.set(by, made);
  return made;
}

function indentsOf({ state, visibleRanges }: EditorView): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>();
  for (const { from, to } of visibleRanges)
    for (let at = from; at <= to;) {
      const line = state.doc.lineAt(at);
      builder.add(line.from, line.from, indented(line.text.length - line.text.trimStart().length + further));
      at = line.to + 1;
    }
  return builder.finish();
}

export const hangingIndent: Extension = ViewPlugin.fromClass(
  class {
    decorations: DecorationSet;
    constructor(view: EditorView) {
      this.decorations = indentsOf(view);
    }
    update(update: ViewUpdate): void {
      if (update.docChanged || update.viewportChanged) this.decorations = indentsOf(update.view);
    }
  },
  { decorations: (plugin) => plugin.decorations },
);
