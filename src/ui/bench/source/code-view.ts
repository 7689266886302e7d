/** The code editor of the source: one tag a line, coloured and folded, in the colours of the application. */
import { defaultKeymap, history } from "@codemirror/commands";
import { html } from "@codemirror/lang-html";
import {
  bracketMatching,
  codeFolding,
  foldGutter,
  foldKeymap,
  HighlightStyle,
  indentOnInput,
  indentUnit,
  syntaxHighlighting,
} from "@codemirror/language";
import { lintGutter, lintKeymap } from "@codemirror/lint";
import { EditorState, Prec, type Extension } from "@codemirror/state";
import {
  drawSelection,
  EditorView,
  highlightActiveLine,
  keymap,
  lineNumbers,
  type KeyBinding,
} from "@codemirror/view";
import { tags } from "@lezer/highlight";
import { markedLines } from "./code-marks";
import { hangingIndent } from "./hanging-indent";

const theme = EditorView.theme({
  "&": { height: "100%", fontSize: "12px", color: "var(--ink)", backgroundColor: "var(--sheet)" },
  "&.cm-focused": { outline: "none" },
  ".cm-scroller": { fontFamily: "var(--font-mono)", lineHeight: "18px" },
  ".cm-content": { padding: "8px 0", caretColor: "var(--ink)" },
  ".cm-line": { padding: "0 10px 0 6px" },
  ".cm-cursor": { borderLeftColor: "var(--ink)" },
  ".cm-gutters": {
    backgroundColor: "var(--paper)",
    color: "var(--soft)",
    borderRight: "1px solid var(--hairline)",
  },
  ".cm-activeLine": { backgroundColor: "transparent" },
  "&.cm-focused .cm-activeLine": { backgroundColor: "color-mix(in oklab, var(--kelp) 45%, transparent)" },
  ".cm-part": { backgroundColor: "var(--kelp)", boxShadow: "inset 2px 0 0 var(--pine)" },
  "&.cm-focused > .cm-scroller > .cm-selectionLayer .cm-selectionBackground, .cm-selectionBackground": {
    backgroundColor: "color-mix(in oklab, var(--pine) 28%, transparent)",
  },
  ".cm-foldPlaceholder": {
    backgroundColor: "var(--kelp)",
    border: "none",
    color: "var(--pine)",
    padding: "0 6px",
    margin: "0 2px",
  },
  ".cm-foldGutter .cm-gutterElement": { padding: "0 2px", cursor: "pointer" },
  ".cm-tooltip": {
    backgroundColor: "var(--sheet)",
    border: "1px solid var(--hairline)",
    borderRadius: "4px",
    color: "var(--ink)",
    fontFamily: "var(--font-sans)",
    fontSize: "13px",
  },
  ".cm-diagnostic": { padding: "4px 8px", borderLeft: "none" },
  ".cm-lintRange-error": {
    backgroundImage: "none",
    textDecoration: "underline wavy var(--rowan)",
    textDecorationSkipInk: "none",
  },
  ".cm-lintRange-warning": { backgroundImage: "none", textDecoration: "underline dotted var(--clay) 2px" },
  ".cm-lintRange-info": { backgroundImage: "none", textDecoration: "underline dotted var(--soft)" },
  ".cm-lint-marker": { width: "8px", height: "8px", borderRadius: "50%", content: "none", marginTop: "5px" },
  ".cm-lint-marker-error": { background: "var(--rowan)" },
  ".cm-lint-marker-warning": { background: "var(--clay)", borderRadius: "0" },
  ".cm-lint-marker-info": { background: "transparent", border: "1px solid var(--soft)" },
  ".cm-gutter-lint": { width: "12px" },
  ".cm-swatch": {
    display: "inline-block",
    width: "10px",
    height: "10px",
    margin: "0 3px 0 1px",
    border: "1px solid var(--hairline)",
    borderRadius: "2px",
    verticalAlign: "-1px",
    padding: "0",
  },
});

const colors = HighlightStyle.define([
  { tag: [tags.tagName, tags.angleBracket], color: "var(--pine)" },
  { tag: tags.attributeName, color: "var(--lichen)" },
  { tag: [tags.attributeValue, tags.string], color: "var(--ink)" },
  { tag: tags.propertyName, color: "var(--soft)" },
  { tag: [tags.number, tags.unit, tags.color, tags.atom, tags.keyword], color: "var(--clay)" },
  { tag: tags.comment, color: "var(--soft)", fontStyle: "italic" },
  { tag: tags.character, color: "var(--clay)" },
]);

interface Options {
  readonly parent: HTMLElement;
  readonly text: string;
  /** What it is called by screen readers. */
  readonly label: string;
  readonly editable: boolean;
  readonly keys?: readonly KeyBinding[];
  readonly extensions?: Extension;
}

/** The editor in an element; destroy it when the element goes. */
export function createCodeView({
  parent,
  text,
  label,
  editable,
  keys = [],
  extensions = [],
}: Options): EditorView {
  return new EditorView({
    parent,
    state: EditorState.create({
      doc: text,
      extensions: [
        lineNumbers(),
        codeFolding({ placeholderText: "…" }),
        foldGutter({ openText: "▾", closedText: "▸" }),
        history(),
        drawSelection(),
        indentOnInput(),
        bracketMatching(),
        highlightActiveLine(),
        indentUnit.of("  "),
        EditorState.tabSize.of(2),
        EditorView.lineWrapping,
        hangingIndent,
        html({ autoCloseTags: true, matchClosingTags: true }),
        syntaxHighlighting(colors),
        theme,
        markedLines,
        editable ? lintGutter() : [],
        Prec.highest(keymap.of([...keys])),
        // Tab goes on to the next control, as everywhere; lines are moved as parts are on the sheet.
        keymap.of([...foldKeymap, ...lintKeymap, ...defaultKeymap]),
        EditorView.contentAttributes.of({ "aria-label": label, spellcheck: "false", tabindex: "0" }),
        editable
          ? []
          : [EditorState.readOnly.of(true), EditorView.contentAttributes.of({ "aria-readonly": "true" })],
        extensions,
      ],
    }),
  });
}
