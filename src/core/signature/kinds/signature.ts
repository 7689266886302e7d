/** The whole document: the settings that every part takes from, around one outer table. */
import { blockKind } from "../kind";
import { signatureSettings } from "../settings";
import { writeChildren, writePlainChildren } from "../writing";

export const signatureKind = blockKind({
  name: "signature",
  word: "signature",
  structure: { content: "table" },
  attributes: signatureSettings.attributes,
  draw: () => ["div", 0],
  write: writeChildren,
  writePlain: writePlainChildren,
});
