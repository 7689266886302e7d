/** A field of the directory, drawn as the person's own value, linked as its kind is linked. */
import { fieldNames, fieldLink, fieldValue, type FieldName } from "../../people";
import { styledText, type ReadPieces } from "../inline";
import { marked, type InlineKind } from "../kind";
import { flag, oneOf, text } from "../values";

export interface PersonFieldAttributes {
  readonly field: FieldName;
  /** Shown when the person has nothing there. */
  readonly fallback: string;
  /** Whether an empty field without a fallback takes its whole line with it. */
  readonly takesLine: boolean;
}

export const readPersonField: ReadPieces = (node, writing) => {
  const { field, fallback, takesLine } = node.attrs as PersonFieldAttributes;
  const value = (writing.person && fieldValue(writing.person, field)) || fallback;
  if (!value) return [{ role: "nothing", link: null, plain: "", html: () => "", takesLine }];
  const link = fieldLink(field, value);
  const href = link === "visit" ? writing.settings.visitLink : link;
  return [
    {
      role: "content",
      link: href,
      quietLink: field === "address",
      leftToRight: link !== null && link !== "visit",
      plain: value,
      html: (style) => styledText(value, style, writing),
    },
  ];
};

export const personFieldKind: InlineKind = {
  name: "personField",
  word: "field",
  structure: { inline: true, group: "inline", atom: true, selectable: true },
  attributes: {
    field: { check: oneOf(...fieldNames) },
    fallback: { default: "", check: text(300) },
    takesLine: { default: true, check: flag },
  },
  draw: (node) => ["span", marked(node), `[${node.attrs.field}]`],
  read: readPersonField,
};
