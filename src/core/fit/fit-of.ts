/**
 * Whether somebody's details fit a signature: which lines wrap in the cells that they stand in, which words stick out, which fields say
 * nothing, and which letters no face has. Only what is the person's own counts: what is the same for everybody was seen when it was
 * built. px.
 */
import type { Node } from "prosemirror-model";
import { missingLetters } from "../measure";
import type { FieldId, Person } from "../people";
import { fieldText, isHiddenFrom, personField, webSafeFont } from "../signature";
import { largest } from "../values";
import { breakLine } from "./break-line";
import { drawnLines, widthOf, wordsOfLine, type DrawnLine } from "./drawn-lines";
import { roomsIn } from "./rooms";

export interface TightLine {
  /** Where its line or button begins in the document. */
  readonly position: number;
  readonly text: string;
  readonly width: number;
  readonly room: number;
  readonly lines: number;
  /** By how much its widest word sticks out of the cell, or widens it; 0 where none does. */
  readonly over: number;
}

export interface EmptyField {
  readonly position: number;
  readonly field: FieldId;
  /** Whether its whole line goes with it. */
  readonly takesLine: boolean;
}

export interface Fit {
  /** How much of its room the fullest of them takes: over 1 where it wraps or sticks out. */
  readonly fullest: number;
  /** Those that take more than one line, or stick out. */
  readonly tight: readonly TightLine[];
  /** Fields that say nothing, and have nothing in their place. */
  readonly empty: readonly EmptyField[];
  /** Letters that the face of their line does not have, and the machine draws with another. */
  readonly missing: readonly string[];
}

function missingIn({ pieces }: DrawnLine): readonly string[] {
  return pieces.flatMap(({ text, run }) => {
    if (!run) return [];
    const { font, bold, italic } = run.look;
    const face = webSafeFont(font)?.drawnWith;
    return face ? missingLetters(text, { face, bold, italic }) : [];
  });
}

function emptyIn(document: Node, person: Person): readonly EmptyField[] {
  const found: EmptyField[] = [];
  document.descendants((node, position) => {
    if (isHiddenFrom(node, person)) return false;
    if (!personField.is(node) || fieldText(node, person) !== "") return true;
    const { field, takesLine } = personField.of(node);
    found.push({ position, field, takesLine });
    return true;
  });
  return found;
}

const personalLines = (document: Node, person: Person): readonly DrawnLine[] =>
  drawnLines(document, person).filter((line) => line.personal);

/** What the lines of a signature say that are somebody's own, in document order. */
export const personalWords = (document: Node, person: Person): readonly string[] =>
  personalLines(document, person).map((line) => wordsOfLine(line).trim());

export function fitOf(document: Node, person: Person): Fit {
  const room = roomsIn(document);
  const personal = personalLines(document, person);
  return {
    fullest: largest(
      personal.map((line) => widthOf(line) / (room.get(line.position) ?? Infinity)),
      0,
    ),
    tight: personal.flatMap((line): TightLine[] => {
      const own = room.get(line.position);
      if (own === undefined) return [];
      const broken = breakLine(line, own);
      if (broken.lines === 1 && broken.over === 0) return [];
      return [
        {
          ...{ position: line.position, text: wordsOfLine(line), width: widthOf(line), room: own },
          ...broken,
        },
      ];
    }),
    empty: emptyIn(document, person),
    missing: [...new Set(personal.flatMap(missingIn))],
  };
}
