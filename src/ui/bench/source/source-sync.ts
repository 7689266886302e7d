/**
 * The source in a code editor and the document on the sheet, kept the same: what is typed in the source is read and put on the
 * sheet while it is whole, and what changes on the sheet is written into the source by the smallest change. While the source is
 * broken the sheet keeps what it was.
 */
import { Transaction, type ChangeSpec } from "@codemirror/state";
import type { EditorView } from "@codemirror/view";
import { closeHistory, undo as undoSheet, redo as redoSheet } from "prosemirror-history";
import type { Node } from "prosemirror-model";
import type { EditorState, Transaction as Step } from "prosemirror-state";
import { undo as undoTyping, redo as redoTyping } from "@codemirror/commands";
import type { Person } from "@/core/people";
import { becomeDocument } from "@/core/signature";
import {
  checkSource,
  openSource,
  placeAtOffset,
  placeAtPosition,
  readSource,
  type OpenedSource,
  type SourceReading,
  type SourceTrouble,
} from "@/core/source";
import { markPart } from "../editor/marked-part";
import { selectionOfPart } from "../editor/selection";
import { fromSheet, markExtent, showTroubles } from "./code-marks";

export interface SourceState {
  readonly text: string;
  readonly opened: OpenedSource;
  /** Of the source as it was when it was whole last. */
  readonly reading: SourceReading;
  /** Empty while the source is whole. */
  readonly troubles: readonly SourceTrouble[];
}

interface Sheet {
  readonly current: () => EditorState;
  readonly apply: (change: (state: EditorState) => Step | null, options?: { focus?: boolean }) => void;
}

interface Drawn {
  readonly person: Person | null;
  readonly base: string;
}

/** Typing is read once it pauses for so long; ms. */
const pause = 60;

/** What is typed on the sheet is written into the source once it pauses for so long; ms. */
const sheetPause = 150;

/** Changes of one place that follow each other so fast are taken back as one; ms. */
const oneGesture = 900;

/** The one stretch in which two texts differ, as a change of the first; null where they are the same. */
export function changeBetween(before: string, after: string): ChangeSpec | null {
  if (before === after) return null;
  const shorter = Math.min(before.length, after.length);
  let start = 0;
  while (start < shorter && before[start] === after[start]) start += 1;
  let end = 0;
  while (end < shorter - start && before[before.length - 1 - end] === after[after.length - 1 - end]) end += 1;
  return { from: start, to: before.length - end, insert: after.slice(start, after.length - end) };
}

export class SourceSync {
  private view: EditorView | null = null;
  private state: SourceState;
  /** Until what was typed in the source is read. */
  private timer: ReturnType<typeof setTimeout> | null = null;
  /** Until what was changed on the sheet is written. */
  private writing: ReturnType<typeof setTimeout> | null = null;
  /** The last change that the source made of the document, for taking a gesture back as one. */
  private last: { readonly tr: Step; readonly at: number; readonly line: number } | null = null;
  /** Whether a selection is being carried over, which is not to come back. */
  private carrying = false;
  /** The part that the caret marks on the sheet; null once something else is selected there. */
  private caretPart: number | null = null;

  constructor(
    private readonly sheet: Sheet,
    private drawn: Drawn,
    private readonly tell: (state: SourceState) => void,
    /** Is told of a broken source that the sheet's change replaced. */
    private readonly onReplaced: (text: string) => void,
  ) {
    this.state = this.open(sheet.current().doc);
  }

  get present(): SourceState {
    return this.state;
  }

  attach(view: EditorView): void {
    this.view = view;
    this.followSheet(this.sheet.current());
  }

  detach(): void {
    this.flush();
    if (this.writing !== null) clearTimeout(this.writing);
    this.view = null;
  }

  /** Whose details are drawn has changed. */
  draw(drawn: Drawn): void {
    if (drawn.person === this.drawn.person && drawn.base === this.drawn.base) return;
    this.drawn = drawn;
    this.write(this.sheet.current().doc);
  }

  /** The source was typed in. */
  typed(): void {
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = setTimeout(() => this.read(), pause);
  }

  /** Reads at once what is still to be read. */
  flush(): void {
    this.catchUp();
    if (this.timer === null) return;
    clearTimeout(this.timer);
    this.read();
  }

  /** The source has lost the focus: it is laid out as the document writes it, unless it is broken. */
  tidy(): void {
    this.flush();
    const { troubles, text, opened } = this.state;
    const { doc } = this.sheet.current();
    if (troubles.length === 0 && (text !== opened.text || doc !== opened.document)) this.write(doc);
  }

  /** The sheet's state has changed, by whatever. */
  followSheet(next: EditorState): void {
    const changed = !next.doc.eq(this.state.reading.document);
    // Whoever types on the sheet waits for nothing here; whoever has the source before them sees it at once.
    if (changed && this.view && !this.view.hasFocus) {
      if (this.writing !== null) clearTimeout(this.writing);
      this.writing = setTimeout(() => this.catchUp(), sheetPause);
      return;
    }
    if (changed) this.write(next.doc);
    if (!this.carrying) this.markSelected();
  }

  /** Writes what the sheet has changed and is still to be written. */
  catchUp(): void {
    if (this.writing === null) return;
    this.write(this.sheet.current().doc);
    this.markSelected();
  }

  private markSelected(): void {
    const { doc, selection } = this.sheet.current();
    this.caretPart = null;
    const place = placeAtPosition(this.state.reading.places, doc, selection.from, selection.to);
    this.view?.dispatch(markExtent(place, true));
  }

  /** The caret stands elsewhere in the source: its part is marked on the sheet. */
  followCaret(offset: number): void {
    if (this.carrying || this.timer !== null || this.state.troubles.length > 0) return;
    const place = placeAtOffset(this.state.reading.places, offset);
    if (!place || place.position === this.caretPart) return;
    this.view?.dispatch(markExtent(place, false));
    this.caretPart = place.position;
    this.carry(() =>
      this.sheet.apply(
        ({ doc, tr }) =>
          markPart(tr.setSelection(selectionOfPart(doc, place.position)), place.position).scrollIntoView(),
        {
          focus: false,
        },
      ),
    );
  }

  /** Takes typing back while the source is broken, else the last change of the document. */
  undo(): boolean {
    return this.step(undoTyping, undoSheet);
  }

  redo(): boolean {
    return this.step(redoTyping, redoSheet);
  }

  /** Puts a text in place of the source, as if it were typed. */
  replace(changes: ChangeSpec, caret?: number): void {
    this.flush();
    this.last = null;
    this.view?.dispatch({
      changes,
      userEvent: "input",
      ...(caret === undefined ? {} : { selection: { anchor: caret } }),
    });
    this.flush();
  }

  private step(typing: typeof undoTyping, sheet: typeof undoSheet): boolean {
    const { view } = this;
    if (!view) return false;
    this.flush();
    if (this.state.troubles.length > 0 && typing(view)) return true;
    this.last = null;
    // The caret stays where somebody takes things back.
    this.carry(() =>
      this.sheet.apply(
        (state) => {
          let taken: Step | null = null;
          sheet(state, (tr) => (taken = tr));
          return taken;
        },
        { focus: false },
      ),
    );
    return true;
  }

  private open(document: Node): SourceState {
    const opened = openSource(document, this.drawn);
    return { text: opened.text, opened, reading: readSource(opened, opened.text), troubles: [] };
  }

  /** Writes the source of a document, by the smallest change. */
  private write(document: Node): void {
    for (const timer of [this.timer, this.writing]) if (timer !== null) clearTimeout(timer);
    this.timer = this.writing = null;
    if (this.state.troubles.length > 0) this.onReplaced(this.state.text);
    const next = this.open(document);
    const changes = this.view && changeBetween(this.view.state.doc.toString(), next.text);
    this.state = next;
    if (changes)
      this.view?.dispatch({ changes, annotations: [fromSheet.of(true), Transaction.addToHistory.of(false)] });
    this.view?.dispatch(showTroubles(this.view.state, [], next.reading.notes));
    this.tell(next);
  }

  /** Reads the source, and puts what it says on the sheet where it is whole. */
  private read(): void {
    this.timer = null;
    const { view } = this;
    if (!view) return;
    const text = view.state.doc.toString();
    const troubles = checkSource(text);
    const { opened } = this.state;
    const reading = troubles.length > 0 ? this.state.reading : readSource(opened, text);
    this.state = { text, opened, reading, troubles };
    view.dispatch(showTroubles(view.state, troubles, troubles.length > 0 ? [] : reading.notes));
    if (troubles.length === 0) this.put(reading.document);
    this.tell(this.state);
  }

  private put(document: Node): void {
    const line = this.view?.state.doc.lineAt(this.view.state.selection.main.head).number ?? 0;
    const now = Date.now();
    this.carry(() =>
      this.sheet.apply(
        ({ tr }) => {
          becomeDocument(tr, document);
          if (!tr.docChanged) return null;
          const { last } = this;
          if (last && last.line === line && now - last.at < oneGesture)
            tr.setMeta("appendedTransaction", last.tr);
          else closeHistory(tr);
          this.last = { tr, at: now, line };
          return tr;
        },
        { focus: false },
      ),
    );
  }

  private carry(action: () => void): void {
    this.carrying = true;
    try {
      action();
    } finally {
      this.carrying = false;
    }
  }
}
