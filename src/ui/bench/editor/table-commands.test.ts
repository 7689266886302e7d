import { undo } from "prosemirror-history";
import { Fragment, Slice } from "prosemirror-model";
import { AllSelection, NodeSelection, Selection, type Command, type EditorState } from "prosemirror-state";
import { CellSelection } from "prosemirror-tables";
import { describe, expect, it } from "vitest";
import { blankSignature, build, cell as cellDescription, hasShortForm, tableMap } from "@/core/signature";
import { actions } from "./actions";
import {
  duplicateSelected,
  moveSelectedPart,
  removeSelected,
  selectedPart,
  toggleShortForm,
} from "./part-commands";
import { fitToPlace } from "./paste";
import { describeSelection } from "./selection";
import { createState } from "./state";
import { deleteSelected, evenOut, insertBeside, merge, moveSelected, moveTo, split } from "./table-commands";
import { insertAcross, insertNested } from "./table-insertions";
import { selectAll, selectBand, selectIn, selectMore, selectOut } from "./table-selection";

const { cell, line, row, signature, spacer, table, text } = build;

/** A table of cells of 100 px that each hold one letter; the cursor is in the first. */
const lettered = (...rows: string[]): EditorState =>
  createState(
    signature(
      {},
      table(
        ...rows.map((letters) =>
          row(...[...letters].map((letter) => cell({ width: [100] }, line(text(letter))))),
        ),
      ),
    ),
  );

function run(state: EditorState, command: Command): EditorState {
  let next = state;
  expect(command(state, (tr) => (next = state.apply(tr)))).toBe(true);
  return next;
}

/** Puts the cursor into the cell that holds a letter. */
function into(state: EditorState, letter: string): EditorState {
  let found = -1;
  state.doc.descendants((node, position) => {
    if (node.isText && node.text === letter) found = position;
  });
  return state.apply(state.tr.setSelection(Selection.near(state.doc.resolve(found))));
}

const plan = ({ doc }: EditorState): string => {
  const { grid, columns, rows } = tableMap(doc.firstChild!);
  const letters = grid.map((place) => place!.node.textContent || ".").join("");
  return Array.from({ length: rows }, (_unused, index) =>
    letters.slice(index * columns, (index + 1) * columns),
  ).join("/");
};

/** The letters of the selected cells. */
const selected = (state: EditorState): string =>
  describeSelection(state)
    .cells.map(({ node }) => node.textContent || ".")
    .join("");

describe("rows and columns", () => {
  it("are inserted beside the cursor, which goes into them", () => {
    const below = run(into(lettered("AB", "CD"), "B"), insertBeside("row", "after"));
    expect(plan(below)).toBe("AB/../CD");
    expect(describeSelection(below).cells[0]!.place).toMatchObject({ row: 1, column: 1 });
    expect(plan(run(into(lettered("AB"), "A"), insertBeside("column", "before")))).toBe(".AB");
    expect(plan(run(below, undo))).toBe("AB/CD");
  });

  it("a new column keeps the signature within its width where that leaves it room", () => {
    const wide = createState(signature({ maxWidth: 270 }, lettered("AB").doc.firstChild!));
    const widths = tableMap(run(wide, insertBeside("column", "after")).doc.firstChild!).columnWidths;
    expect(widths).toEqual([100, 70, 100]);
  });

  it("are deleted as far as they are selected, but never the last", () => {
    const block = lettered("AB", "CD", "EF");
    const two = block.apply(selectBand(block.tr, 0, "row", 1));
    expect(plan(run(two, deleteSelected("row")))).toBe("AB/EF");
    expect(deleteSelected("row")(lettered("AB"))).toBe(false);
    const all = block.apply(selectAll(block.tr, 0));
    expect(deleteSelected("column")(all)).toBe(false);
  });

  it("move past their neighbours and stay selected", () => {
    const state = lettered("AB", "CD", "EF");
    const second = state.apply(selectBand(state.tr, 0, "row", 1));
    const up = run(second, moveSelected("row", -1));
    expect([plan(up), selected(up)]).toEqual(["CD/AB/EF", "CD"]);
    expect(moveSelected("row", -1)(up)).toBe(false);
    const back = run(run(up, moveSelected("row", 1)), moveSelected("row", 1));
    expect([plan(back), selected(back)]).toEqual(["AB/EF/CD", "CD"]);
  });

  it("several move together", () => {
    const state = lettered("ABC");
    const two = state.apply(state.tr.setSelection(CellSelection.create(state.doc, 2, 7)));
    const moved = run(two, moveSelected("column", 1));
    expect([plan(moved), selected(moved)]).toEqual(["CAB", "AB"]);
  });

  it("that are dragged go to the far side of where they are dropped", () => {
    const state = lettered("ABC", "DEF");
    const moved = state.apply(moveTo(state, 0, "column", 2, 0)!);
    expect([plan(moved), selected(moved)]).toEqual(["CAB/FDE", "CF"]);
    expect(moveTo(state, 0, "column", 1, 1)).toBeNull();
  });

  it("are evened out: the selected columns, or all", () => {
    const state = createState(
      signature({}, table(row(...[60, 90, 120].map((width) => cell({ width: [width] }, line()))))),
    );
    expect(tableMap(run(state, evenOut).doc.firstChild!).columnWidths).toEqual([90, 90, 90]);
    const two = state.apply(state.tr.setSelection(CellSelection.create(state.doc, 2, 6)));
    expect(tableMap(run(two, evenOut).doc.firstChild!).columnWidths).toEqual([75, 75, 120]);
    expect(evenOut(lettered("AB"))).toBe(false);
  });
});

describe("cells", () => {
  it("are merged and split again, and stay selected", () => {
    const state = lettered("AB", "CD");
    const top = state.apply(selectBand(state.tr, 0, "row", 0));
    const merged = run(top, merge);
    expect(tableMap(merged.doc.firstChild!).places.map(({ node }) => node.textContent)).toEqual([
      "AB",
      "C",
      "D",
    ]);
    expect(describeSelection(merged).cells[0]!.place.colspan).toBe(2);
    expect(tableMap(run(merged, split).doc.firstChild!).places.map(({ node }) => node.textContent)).toEqual([
      "AB",
      "",
      "C",
      "D",
    ]);
    expect(merge(lettered("AB"))).toBe(false);
    expect(split(lettered("AB"))).toBe(false);
  });

  it("are selected level by level outwards, and gone into again", () => {
    let state = lettered("AB", "CD");
    const seen: string[] = [];
    for (let press = 0; press < 5; press++) {
      if (!selectOut(state)) break;
      state = run(state, selectOut);
      seen.push(state.selection instanceof NodeSelection ? state.selection.node.type.name : selected(state));
    }
    expect(seen).toEqual(["line", "A", "AB", "ABCD"]);
    expect(run(state, selectIn).selection.$from.parent.textContent).toBe("A");
  });

  it("hold a nested table as wide as they are, which holds no further one", () => {
    const nested = run(lettered("A"), insertNested);
    const inner = nested.doc.firstChild!.firstChild!.firstChild!.lastChild!;
    expect(tableMap(inner).columnWidths).toEqual([50, 50]);
    expect(describeSelection(nested).table!.node).toBe(inner);
    expect(insertNested(nested)).toBe(false);
    const cellOf = run(run(run(run(nested, selectOut), selectOut), selectOut), selectOut);
    expect(describeSelection(cellOf).table!.position).toBe(0);
    const gone = run(run(nested, deleteSelected("column")), deleteSelected("column"));
    expect(gone.doc.textContent).toBe("A");
    expect(describeSelection(gone).table!.position).toBe(0);
  });

  it("across all columns go under the row of the cursor, past cells that span it", () => {
    const state = run(
      into(lettered("AB", "CD"), "A"),
      insertAcross((width) => [spacer(width / 10)]),
    );
    expect(tableMap(state.doc.firstChild!).places[2]).toMatchObject({ row: 1, colspan: 2 });
    expect((state.selection as NodeSelection).node.attrs.height).toBe(20);
    const spanning = run(
      lettered("AB", "CD").apply(selectBand(lettered("AB", "CD").tr, 0, "column", 0)),
      merge,
    );
    const under = run(
      into(spanning, "B"),
      insertAcross(() => [spacer(4)]),
    );
    expect(tableMap(under.doc.firstChild!).places.at(-1)).toMatchObject({ row: 2, colspan: 2 });
  });
});

describe("selecting all", () => {
  it("selects what the cell holds, then every cell, and typing over them keeps the table", () => {
    const state = lettered("AB", "CD");
    const inCell = run(state, selectMore);
    expect(inCell.selection).toMatchObject({ from: 4, to: 5 });
    const all = run(inCell, selectMore);
    expect(selected(all)).toBe("ABCD");
    expect(plan(all.apply(all.tr.deleteSelection()))).toBe("../..");
  });

  it("nothing takes the last cell away", () => {
    const state = lettered("AB");
    const everything = state.apply(state.tr.setSelection(new AllSelection(state.doc)));
    const after = everything.apply(everything.tr.deleteSelection());
    expect(plan(after)).toBe("AB");
  });
});

describe("a paste", () => {
  const nested = table(row(cell({ width: [50] }, line(text("deep")))));

  it("holds no table deeper than a document does", () => {
    const outer = createState(signature({}, table(row(cell({ width: [100] }, line(text("A")), nested)))));
    const slice = new Slice(Fragment.from(nested), 0, 0);
    expect(fitToPlace(slice, into(outer, "A").selection).content.firstChild!.type.name).toBe("table");
    expect(fitToPlace(slice, into(outer, "deep").selection).content.firstChild!.type.name).toBe("line");
    const cells = new Slice(Fragment.from(row(cell({ width: [100] }, nested))), 1, 1);
    const kept = fitToPlace(cells, into(outer, "deep").selection).content.firstChild!.firstChild!;
    expect(kept.firstChild!.textContent).toBe("deep");
    expect(kept.firstChild!.type.name).toBe("line");
  });
});

describe("parts", () => {
  const threeLines = createState(
    signature(
      {},
      table(
        row(cell({ width: [100] }, line(text("A")), line(text("B"))), cell({ width: [90] }, line(text("C")))),
      ),
    ),
  );
  const cells = ({ doc }: EditorState): string[] =>
    tableMap(doc.firstChild!).places.map(({ node }) => node.textContent);

  it("move by key through their cell and on into the next, with the cursor in them", () => {
    const down = run(threeLines, moveSelectedPart(1));
    expect(cells(down)).toEqual(["BA", "C"]);
    const on = run(down, moveSelectedPart(1));
    expect(cells(on)).toEqual(["B", "AC"]);
    expect(on.selection.$from.parent.textContent).toBe("A");
    expect(cells(run(on, moveSelectedPart(-1)))).toEqual(["BA", "C"]);
    expect(moveSelectedPart(-1)(threeLines)).toBe(false);
  });

  it("are duplicated and taken out", () => {
    expect(cells(run(threeLines, duplicateSelected))).toEqual(["AAB", "C"]);
    expect(cells(run(threeLines, removeSelected))).toEqual(["B", "C"]);
    expect(selectedPart(threeLines)!.node.textContent).toBe("A");
  });

  it("and rows are left out of replies, and taken back", () => {
    const left = run(threeLines, toggleShortForm);
    expect(hasShortForm(left.doc)).toBe(true);
    expect(left.doc.firstChild!.firstChild!.attrs.inShortForm).toBe(true);
    expect(hasShortForm(run(left, toggleShortForm).doc)).toBe(false);
    const whole = threeLines.apply(selectAll(threeLines.tr, 0));
    expect(run(whole, toggleShortForm).doc.firstChild!.firstChild!.attrs.inShortForm).toBe(false);
  });
});

describe("undo", () => {
  it("goes back over 200 edits of every kind, to the first document", () => {
    const first = createState(blankSignature(2, 2));
    let state = first;
    const edits = actions
      .filter(({ group }) => group !== "Go" && group !== "Text")
      .map(({ command }) => command);
    let done = 0;
    for (let turn = 0; done < 200; turn++) {
      const command = edits[turn % edits.length]!;
      if (tableMap(state.doc.firstChild!).rows > 6 || tableMap(state.doc.firstChild!).columns > 6)
        state = run(state, undo);
      let next = state;
      // Each is a step of its own, as it is for somebody who takes their time.
      if (!command(state, (tr) => (next = state.apply(tr.setTime(Date.now() + turn * 10_000))))) continue;
      if (!next.doc.eq(state.doc)) done++;
      state = next;
    }
    for (let steps = 0; steps < 500 && undo(state); steps++) state = run(state, undo);
    expect(state.doc.eq(first.doc)).toBe(true);
    expect(cellDescription.of(state.doc.firstChild!.firstChild!.firstChild!).colspan).toBe(1);
  });
});
