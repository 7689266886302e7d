/** Pastes from elsewhere: words into the line, parts into the cell, and a whole signature upon a blank one. */
import { EditorState, NodeSelection, TextSelection } from "prosemirror-state";
import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import * as importing from "@/core/importing";
import { blankSignature, build, readSignature, schema, settingsOf } from "@/core/signature";
import { pasteHtml } from "./paste";

const inLine = (...lines: readonly string[]): Node =>
  build.signature(
    {},
    build.table(
      build.row(
        build.cell({ width: [300] }, ...lines.map((text) => build.line(...(text ? [build.text(text)] : [])))),
      ),
    ),
  );

/** The caret after so many letters of the line with a text. */
function stateAt(document: Node, text: string, offset: number): EditorState {
  let at = 0;
  document.descendants((node, position) => {
    if (node.isTextblock && node.textContent === text) at = position + 1 + offset;
  });
  return EditorState.create({ doc: document, schema, selection: TextSelection.create(document, at) });
}

const linesOf = (document: Node): readonly string[] => {
  const lines: string[] = [];
  document.descendants((node) => {
    if (node.isTextblock) lines.push(node.textContent);
  });
  return lines;
};

describe("a paste", () => {
  it("of words goes into the line at the caret, with its styling", () => {
    const state = stateAt(inLine("Hello world"), "Hello world", 6);
    const pasted = pasteHtml(state, "<b>brave</b> new ", importing);
    expect(pasted && linesOf(pasted.tr.doc)).toEqual(["Hello brave newworld"]);
    expect(pasted?.tr.doc.rangeHasMark(10, 11, schema.marks.bold)).toBe(true);
  });

  it("of paragraphs are lines, the caret stands after them, and the room between them is told", () => {
    const state = stateAt(inLine("Before", ""), "", 0);
    const pasted = pasteHtml(state, "<p>One</p><p>Two</p><p>Three</p>", importing);
    expect(pasted && linesOf(pasted.tr.doc)).toEqual(["Before", "One", "Two", "Three"]);
    expect(pasted?.tr.selection.$from.parent.textContent).toBe("Three");
    expect(pasted?.tr.selection.$from.parentOffset).toBe(5);
    expect(pasted?.notes.map(({ what }) => what)).toEqual(["the room between paragraphs"]);
  });

  it("of a table is nested where the caret is, and gives its lines where no table may stand", () => {
    const html = "<table><tr><td>Left</td><td>Right</td></tr></table>";
    const first = pasteHtml(stateAt(inLine("Stays", ""), "", 0), html, importing);
    expect(first?.tr.selection).toBeInstanceOf(NodeSelection);
    const document = first?.tr.doc ?? inLine("");
    expect(linesOf(document)).toEqual(["Stays", "Left", "Right"]);
    const again = pasteHtml(stateAt(document, "Left", 4), html, importing);
    expect(again && linesOf(again.tr.doc)).toEqual(["Stays", "LeftLeft", "Right", "Right"]);
  });

  it("of a whole signature upon a blank one becomes it, and one step takes it back", () => {
    const blank = blankSignature(2, 3);
    const state = EditorState.create({ doc: blank, schema });
    const pasted = pasteHtml(
      state,
      '<table width="200" style="font:12px Georgia"><tr><td>Ada</td><td>Quill</td></tr></table>',
      importing,
    );
    expect(pasted?.whole).toBe(true);
    expect(pasted?.tr.doc.attrs.font).toBe("Georgia");
    expect(pasted && linesOf(pasted.tr.doc)).toEqual(["Ada", "Quill"]);
    // Upon one that is begun it is a part like any other.
    expect(
      pasteHtml(
        stateAt(inLine("Begun", ""), "", 0),
        "<table><tr><td>A</td><td>B</td></tr></table>",
        importing,
      )?.whole,
    ).toBe(false);
  });

  it("is read without what stands beside it where that would make a table that is none", () => {
    const spans = { a: { colspan: 7 } };
    const [row] = importing.importParts("<table><tr><td>x</td><td>y</td></tr></table>", {
      settings: settingsOf(blankSignature(1, 1)),
      room: 300,
      tables: true,
    }).nodes;
    const mark = importing.markOfPart(row?.firstChild?.firstChild ?? blankSignature(1, 1), spans);
    const written = JSON.stringify({ ...spans, o: mark }).replaceAll('"', "'");
    const spoilt = pasteHtml(
      stateAt(inLine("Begun", ""), "", 0),
      `<table><tr><td data-still="${written}">x</td><td>y</td></tr></table>`,
      importing,
    );
    expect(spoilt && readSignature(spoilt.tr.doc.toJSON()).ok).toBe(true);
  });

  it("of nothing that shows is left to the editor", () => {
    expect(pasteHtml(stateAt(inLine("Here"), "Here", 4), '<meta charset="utf-8">', importing)).toBeNull();
  });
});
