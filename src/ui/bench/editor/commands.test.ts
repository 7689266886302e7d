import { readFileSync } from "node:fs";
import { redo, undo, undoDepth } from "prosemirror-history";
import { NodeSelection, TextSelection, type EditorState } from "prosemirror-state";
import { CellSelection } from "prosemirror-tables";
import { describe, expect, it } from "vitest";
import { blankSignature, build, parseSignature, schema } from "@/core/signature";
import { paletteOf } from "../../signature/palette";
import { insertBlock, insertInline, linkRange, setLink, setMark, setTextValue, textState } from "./commands";
import { hints } from "./hints";
import { describeSelection } from "./selection";
import { removeWhole } from "./part-commands";
import { createState } from "./state";
import { stayAtEdge, stepCell } from "./table-selection";
import { writeAtPart } from "./writing-over";

/** A blank 1 × 2 with the cursor in its second cell, after some text. */
function typed(text: string): EditorState {
  const state = createState(blankSignature(1, 2));
  const second = TextSelection.near(state.doc.resolve(state.doc.content.size - 3), -1);
  const there = state.apply(state.tr.setSelection(second));
  return text ? there.apply(there.tr.insertText(text)) : there;
}

/** Selects the first piece of text that is found. */
function selecting(state: EditorState, text: string): EditorState {
  let from = -1;
  state.doc.descendants((node, position) => {
    if (from < 0 && node.isText && node.text!.includes(text)) from = position + node.text!.indexOf(text);
  });
  return state.apply(state.tr.setSelection(TextSelection.create(state.doc, from, from + text.length)));
}

const cellText = (state: EditorState): string[] => {
  const texts: string[] = [];
  state.doc.descendants((node) => {
    if (node.type.name === "cell") texts.push(node.textContent);
  });
  return texts;
};

/** The text of the one cell that is written in. */
const writtenIn = (state: EditorState): string => state.selection.$head.parent.textContent;

it("Tab goes from cell to cell that can be written in, past those that hold pictures alone", () => {
  const { cell, line, picture, row, signature, table, text } = build;
  const photo = cell(
    { width: [60] },
    picture({ source: "/h/0123456789abcdef0123/a.png", width: 50, height: 50 }),
  );
  const document = signature(
    {},
    table(row(cell({ width: [90] }, line(text("One"))), photo, cell({ width: [90] }, line(text("Two"))))),
  );
  let state = createState(document);
  const press = (step: 1 | -1): boolean => stepCell(step)(state, (tr) => (state = state.apply(tr)));
  expect(press(1)).toBe(true);
  expect(writtenIn(state)).toBe("Two");
  expect(state.selection.empty).toBe(false);
  expect(press(1)).toBe(false);
  expect(press(-1)).toBe(true);
  expect(writtenIn(state)).toBe("One");
  expect(press(-1)).toBe(false);
});

it("runs of spaces are kept as spaces that stay, and the caret with them", () => {
  let state = typed("Ada");
  for (const letter of "   Q") state = state.apply(state.tr.insertText(letter));
  expect(writtenIn(state)).toBe("Ada\u00a0\u00a0 Q");
  expect(state.selection.$head.parentOffset).toBe(7);
});

it("spaces are kept beside letters of two code units, and only in the lines that changed", () => {
  let state = typed("😀 Ada");
  state = state.apply(state.tr.insertText(" ", state.selection.from));
  state = state.apply(state.tr.insertText(" 🌱"));
  expect(writtenIn(state)).toBe("😀 Ada\u00a0 🌱");
});

const demo = (file: string) =>
  createState(parseSignature(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8"))));

it("an arrow key on a picture with nothing beyond it leaves the picture selected", () => {
  const { cell, line, picturePlace, row, signature, table, text } = build;
  const document = signature(
    {},
    table(row(cell({ width: [90] }, line(text("One")))), row(cell({ width: [90] }, picturePlace(50, 50)))),
  );
  const state = createState(document);
  const place = document.content.size - 4;
  const selected = state.apply(state.tr.setSelection(NodeSelection.create(document, place)));
  expect(describeSelection(selected).part?.node.type.name).toBe("picture");
  expect(stayAtEdge(1)(selected)).toBe(true);
  expect(stayAtEdge(-1)(selected)).toBe(false);
  expect(stayAtEdge(1)(state)).toBe(false);
});

describe("the cursor", () => {
  it("begins in the first line of text, past a picture", () => {
    const { selection } = demo("full.json");
    expect(selection.empty).toBe(true);
    expect(selection.$from.parent.firstChild!.attrs.field).toBe("name");
  });
});

describe("styling", () => {
  it("of a selection sets marks there only", () => {
    const state = selecting(typed("Ada Quill"), "Quill");
    const bold = state.apply(setMark(state, schema.marks.bold, {}));
    expect(textState(bold).bold).toBe(true);
    expect(textState(selecting(bold, "Ada")).bold).toBe(false);
    expect(textState(bold.apply(setMark(bold, schema.marks.bold, null))).bold).toBe(false);
  });

  it("at a cursor is for what is typed next", () => {
    const state = typed("");
    const styled = state.apply(setTextValue(state, "size", 18));
    const after = styled.apply(styled.tr.insertText("Big"));
    expect(textState(selecting(after, "Big")).size).toBe(18);
  });

  it("with the signature's own value leaves no mark", () => {
    const state = selecting(typed("Ada"), "Ada");
    const coloured = state.apply(setTextValue(state, "color", "#C08A2B"));
    expect(textState(coloured).color).toBe("#C08A2B");
    const back = coloured.apply(setTextValue(coloured, "color", "#333333"));
    expect(selecting(back, "Ada").selection.$from.nodeAfter!.marks).toEqual([]);
  });

  it("covers every selected cell", () => {
    const state = demo("from-last-year.json");
    const cells: number[] = [];
    state.doc.descendants((node, position) => {
      if (node.type.name === "cell") cells.push(position);
    });
    const all = state.apply(state.tr.setSelection(CellSelection.create(state.doc, cells[0]!, cells.at(-1))));
    const italic = all.apply(setMark(all, schema.marks.italic, {}));
    italic.doc.descendants((node) => {
      if (node.isText) expect(node.marks.map(({ type }) => type.name)).toContain("italic");
    });
  });
});

describe("links", () => {
  const href = "https://harrowfen.example";

  it("go on what is selected, and are taken away from anywhere inside", () => {
    const state = selecting(typed("See our page today"), "our page");
    const linked = state.apply(setLink(state, href)!);
    expect(textState(linked).link).toBe(href);
    const inside = linked.apply(
      linked.tr.setSelection(TextSelection.create(linked.doc, linked.selection.from + 3)),
    );
    expect(linkRange(inside)).toEqual({ from: linked.selection.from, to: linked.selection.to });
    const bare = inside.apply(setLink(inside, null)!);
    expect(textState(selecting(bare, "our")).link).toBeNull();
    expect(cellText(bare)).toEqual(["", "See our page today"]);
  });

  it("need something to lead from", () => {
    expect(linkRange(typed("Ada"))).toBeNull();
    expect(setLink(typed("Ada"), href)).toBeNull();
  });

  it("of a picture are its own attribute", () => {
    const state = demo("full.json");
    let position = -1;
    state.doc.descendants((node, where) => {
      if (position < 0 && node.type.name === "picture") position = where;
    });
    const selected = state.apply(state.tr.setSelection(NodeSelection.create(state.doc, position)));
    expect(selected.apply(setLink(selected, href)!).doc.nodeAt(position)!.attrs.link).toBe(href);
  });
});

describe("putting parts in", () => {
  const spacer = schema.nodes.spacer.create();
  const kinds = (state: EditorState): string[] => {
    const found: string[] = [];
    state.doc.lastChild!.lastChild!.lastChild!.forEach((block) => found.push(block.type.name));
    return found;
  };

  it("takes the place of an empty line, and goes after one that holds something", () => {
    const empty = typed("");
    expect(kinds(empty.apply(insertBlock(empty, spacer)!))).toEqual(["spacer"]);
    const full = typed("Ada");
    const after = full.apply(insertBlock(full, spacer)!);
    expect(kinds(after)).toEqual(["line", "spacer"]);
    expect((after.selection as NodeSelection).node.type.name).toBe("spacer");
  });

  it("puts fields and separators at the cursor, or in a new line beside a picture", () => {
    const field = schema.nodes.personField.create({ field: "title" });
    const state = typed("Ada ");
    const inline = state.apply(insertInline(state, field)!);
    expect(kinds(inline)).toEqual(["line"]);
    const block = state.apply(insertBlock(state, spacer)!);
    expect(kinds(block.apply(insertInline(block, field)!))).toEqual(["line", "spacer", "line"]);
  });

  it("can be taken back and done again", () => {
    let state = typed("Ada");
    state = state.apply(insertBlock(state, spacer)!);
    expect(undoDepth(state)).toBeGreaterThan(0);
    undo(state, (transaction) => (state = state.apply(transaction)));
    expect(kinds(state)).toEqual(["line"]);
    redo(state, (transaction) => (state = state.apply(transaction)));
    expect(kinds(state)).toEqual(["line", "spacer"]);
  });

  it("keeps at least 200 steps to take back", () => {
    let state = typed("");
    for (let step = 0; step < 220; step++)
      state = state.apply(insertBlock(state, spacer)!.setTime(step * 10_000));
    let taken = 0;
    while (undo(state, (transaction) => (state = state.apply(transaction)))) taken++;
    expect(taken).toBeGreaterThanOrEqual(200);
  });
});

describe("what is selected", () => {
  it("is named from the outer table down, with its cell's place", () => {
    const state = typed("Ada");
    const { path, cells, table, part } = describeSelection(state);
    expect(path.map(({ label }) => label)).toEqual(["table", "row 1", "cell 2", "line"]);
    expect(cells.map(({ place }) => place.column)).toEqual([1]);
    expect(table!.position).toBe(0);
    expect(part).toBeNull();
  });

  it("can be a part as a whole", () => {
    const state = typed("Ada");
    const withSpacer = state.apply(insertBlock(state, schema.nodes.spacer.create())!);
    const { path, part } = describeSelection(withSpacer);
    expect(path.map(({ label }) => label)).toEqual(["table", "row 1", "cell 2", "spacer"]);
    expect(part!.node.type.name).toBe("spacer");
  });

  it("can be several cells", () => {
    const state = createState(blankSignature(2, 2));
    const cells: number[] = [];
    state.doc.descendants((node, position) => {
      if (node.type.name === "cell") cells.push(position);
    });
    const column = state.apply(state.tr.setSelection(CellSelection.create(state.doc, cells[0]!, cells[2])));
    expect(describeSelection(column).cells.map(({ place }) => [place.row, place.column])).toEqual([
      [0, 0],
      [1, 0],
    ]);
  });
});

describe("a part that is selected as a whole", () => {
  const whole = (state: EditorState): EditorState =>
    state.apply(state.tr.setSelection(NodeSelection.create(state.doc, state.selection.$head.before())));

  it("is written over once, and what is typed next goes on behind it", () => {
    let state = whole(typed("Ada Thorne"));
    state = state.apply(writeAtPart(state, "x")!);
    expect(state.selection).toBeInstanceOf(TextSelection);
    state = state.apply(state.tr.insertText("yz"));
    expect(cellText(state)).toEqual(["", "xyz"]);
  });

  it("is taken out by Backspace, and the caret stays in its cell", () => {
    let state = whole(typed("Ada Thorne"));
    expect(removeWhole(state, (tr) => (state = state.apply(tr)))).toBe(true);
    state = state.apply(state.tr.insertText("again"));
    expect(cellText(state)).toEqual(["", "again"]);
  });

  it("gives way to the line above it in its cell", () => {
    let state = typed("one");
    state = state.apply(state.tr.split(state.selection.head));
    state = whole(state.apply(state.tr.insertText("two")));
    expect(removeWhole(state, (tr) => (state = state.apply(tr)))).toBe(true);
    expect(writtenIn(state)).toBe("one");
    expect(removeWhole(state)).toBe(false);
  });
});

describe("hints", () => {
  const shown = (state: EditorState): number =>
    hints.props.decorations!.call(hints, state) === null ? 0 : 1;

  it("stand in a blank signature, and go with the first thing that is put in", () => {
    expect(shown(createState(blankSignature(1, 2)))).toBe(1);
    expect(shown(typed("A"))).toBe(0);
    const empty = typed("");
    expect(shown(empty.apply(insertBlock(empty, schema.nodes.spacer.create())!))).toBe(0);
    expect(shown(demo("short.json"))).toBe(0);
  });
});

describe("the palette", () => {
  it("is the signature's own colours, most used first", () => {
    expect(paletteOf(demo("full.json").doc).slice(0, 3)).toEqual(["#3F5B2E", "#C08A2B", "#4F554A"]);
  });
});
