/** Which inline kind reads which node; the line's writer asks here. */
import { wordTable } from "../../values";
import type { ReadPieces } from "../piece";
import { readBreak } from "./break";
import { readInlinePicture } from "./inline-picture";
import { readPersonField } from "./person-field";
import { readSeparator } from "./separator";
import { readText } from "./text";

const readers = wordTable<ReadPieces>({
  text: readText,
  break: readBreak,
  personField: readPersonField,
  inlinePicture: readInlinePicture,
  separator: readSeparator,
});

/** What an inline node contributes to its line. Throws a TypeError for a node that is not inline. */
export const readPieces: ReadPieces = (node, writing) => {
  const read = readers[node.type.name];
  if (!read) throw new TypeError(`A line cannot hold a ${node.type.name}`);
  return read(node, writing);
};
