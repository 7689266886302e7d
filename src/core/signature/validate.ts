/**
 * Reading a document from JSON. Everything wrong with it is listed with its place, counted from 1 as people
 * count; nothing is repaired here.
 */
import { Node } from "prosemirror-model";
import type { Attributes } from "./description";
import { cell } from "./kinds/cell-attributes";
import { placeStep, wordsIn } from "./queries/place";
import { kindOf, markKinds, nodeKinds, schema } from "./schema";
import { tableMap, type TableProblem } from "./table-map";

export interface DocumentProblem {
  readonly code:
    | "not-a-signature"
    | "unknown-kind"
    | "unknown-attribute"
    | "bad-attribute"
    | "unknown-mark"
    | "mark-not-allowed"
    | "content-not-allowed"
    | "table-shape"
    | "nested-too-deep";
  /** "row 2, cell 1, picture", or "signature" for the whole. */
  readonly at: string;
  readonly message: string;
}

export type SignatureResult =
  | { readonly ok: true; readonly document: Node }
  | { readonly ok: false; readonly problems: readonly DocumentProblem[] };

/** One problem with its place. */
const problemInWords = (problem: DocumentProblem | undefined): string =>
  problem ? `${problem.at}: ${problem.message}` : "signature: it is no document";

/** A document that is not one; the message names the first place and what is wrong there. */
export class SignatureError extends Error {
  constructor(readonly problems: readonly DocumentProblem[]) {
    const more = problems.length > 1 ? ` (and ${problems.length - 1} more)` : "";
    super(`${problemInWords(problems[0])}${more}`);
    this.name = "SignatureError";
  }
}

type Json = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const shapeMessages: Record<TableProblem["code"], string> = {
  overlap: "two cells cover the same place of the table",
  hole: "no cell covers this place of the table",
  "past-last-row": "the cell's row span reaches past the last row",
  "empty-table": "the table has no cell",
};

/** A document may nest this deep and no deeper: table, row, cell, and one table more. */
const deepest = 8;

class Reader {
  readonly problems: DocumentProblem[] = [];

  private complain(code: DocumentProblem["code"], at: readonly string[], message: string): void {
    this.problems.push({ code, at: at.join(", ") || "signature", message });
  }

  private attributes(described: Attributes, given: unknown, at: readonly string[], whose: string): void {
    if (given !== undefined && given !== null && !isObject(given))
      return this.complain("bad-attribute", at, `the attributes of a ${whose} must be an object`);
    const values = given ?? {};
    for (const name of Object.keys(values))
      if (!Object.hasOwn(described, name))
        this.complain("unknown-attribute", at, `a ${whose} has no attribute ${JSON.stringify(name)}`);
    for (const [name, attribute] of Object.entries(described)) {
      if (!Object.hasOwn(values, name)) {
        if (!("default" in attribute)) this.complain("bad-attribute", at, `${name} is missing`);
        continue;
      }
      const complaint = attribute.value.check(values[name]);
      if (complaint) this.complain("bad-attribute", at, `${name} ${complaint}`);
    }
  }

  private marks(given: unknown, at: readonly string[]): void {
    if (given === undefined) return;
    if (!Array.isArray(given)) return this.complain("unknown-mark", at, "marks must be a list");
    for (const mark of given as unknown[]) {
      const kind = isObject(mark) ? markKinds.get(String(mark.type)) : undefined;
      if (!kind) {
        const name = isObject(mark) ? mark.type : mark;
        this.complain("unknown-mark", at, `there is no mark ${JSON.stringify(name) ?? "undefined"}`);
      } else this.attributes(kind.attributes, (mark as Json).attrs, at, kind.name);
    }
  }

  /** Checks a node and all that is in it. Answers whether it can be read as a node at all. */
  node(value: unknown, at: readonly string[], depth: number, tables: number): void {
    if (!isObject(value)) return this.complain("unknown-kind", at, "there must be a node here");
    const kind = nodeKinds.get(String(value.type));
    if (!kind)
      return this.complain(
        "unknown-kind",
        at,
        `there is no kind of node ${JSON.stringify(value.type) ?? "without a type"}`,
      );
    if (depth > deepest || tables > 2)
      return this.complain("nested-too-deep", at, "a cell can hold a table, but that table's cells cannot");
    this.attributes(kind.attributes, value.attrs, at, kind.word);
    this.marks(value.marks, at);
    if (kind.name === "text" && (typeof value.text !== "string" || value.text === ""))
      this.complain("bad-attribute", at, "text must not be empty");
    if (value.content === undefined) return;
    if (!Array.isArray(value.content))
      return this.complain("content-not-allowed", at, "content must be a list");
    const content = value.content as unknown[];
    const kinds = content.map((child) => (isObject(child) ? nodeKinds.get(String(child.type)) : undefined));
    const words = kinds.map((childKind) => childKind?.word ?? "node");
    content.forEach((child, index) => {
      const childKind = kinds[index];
      const outerTable = kind.name === "signature" && childKind?.name === "table";
      const step = outerTable ? [] : [placeStep(words, index)];
      this.node(child, [...at, ...step], depth + 1, tables + (childKind?.name === "table" ? 1 : 0));
    });
  }

  /** Checks which nodes and marks stand where, once each of them is fine by itself. */
  shape(node: Node, at: readonly string[]): void {
    const kind = kindOf(node.type.name);
    if (!node.type.validContent(node.content)) {
      const marked = node.content.content.find((child) => !node.type.allowsMarks(child.marks));
      if (marked)
        this.complain(
          "mark-not-allowed",
          at,
          `a ${kind.word} cannot hold ${marked.marks.map((mark) => mark.type.name).join(" and ")}`,
        );
      else {
        const held = wordsIn(node).join(", ") || "nothing";
        this.complain("content-not-allowed", at, `a ${kind.word} cannot hold ${held}`);
      }
    }
    if (kind.name === "table") this.table(node, at);
    const words = wordsIn(node);
    node.forEach((child, _offset, index) => {
      const outerTable = kind.name === "signature" && child.type.name === "table";
      this.shape(child, outerTable ? at : [...at, placeStep(words, index)]);
    });
  }

  private table(table: Node, at: readonly string[]): void {
    const map = tableMap(table);
    for (const problem of map.problems)
      this.complain(
        "table-shape",
        [...at, `row ${problem.row + 1}`, `column ${problem.column + 1}`],
        `${shapeMessages[problem.code]} (table is ${map.rows} × ${map.columns})`,
      );
    for (const place of map.places) {
      const { colwidth: widths } = cell.of(place.node);
      if (widths && widths.length !== place.colspan)
        this.complain(
          "table-shape",
          [...at, `row ${place.row + 1}`, `column ${place.column + 1}`],
          `the cell covers ${place.colspan} columns and gives ${widths.length} widths`,
        );
    }
  }
}

/** A document from JSON, or everything that is wrong with it. Never throws. */
export function readSignature(json: unknown): SignatureResult {
  const reader = new Reader();
  if (!isObject(json) || json.type !== "signature")
    return {
      ok: false,
      problems: [
        {
          code: "not-a-signature",
          at: "signature",
          message: 'a signature document is an object whose type is "signature"',
        },
      ],
    };
  reader.node(json, [], 0, 0);
  if (reader.problems.length > 0) return { ok: false, problems: reader.problems };
  const document = Node.fromJSON(schema, json);
  reader.shape(document, []);
  return reader.problems.length > 0 ? { ok: false, problems: reader.problems } : { ok: true, document };
}

/** A document from JSON. Throws a SignatureError that names the place. */
export function parseSignature(json: unknown): Node {
  const result = readSignature(json);
  if (!result.ok) throw new SignatureError(result.problems);
  return result.document;
}
