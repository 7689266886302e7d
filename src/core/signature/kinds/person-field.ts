/** A field of the directory, drawn as the person's own value, linked as its kind is linked. */
import type { Node } from "prosemirror-model";
import { fieldLink, fieldValue, wordField, type Person } from "../../people";
import { flag, text } from "../../values";
import { attribute, describeAttributes, needed, type AttributesOf } from "../description";
import { styledText } from "../inline";
import { inlineKind, marked } from "../kind";
import type { ReadPieces } from "../piece";

export const personField = describeAttributes(["personField"], {
  field: needed(wordField),
  /** Shown when the person has nothing there. */
  fallback: attribute(text(300), ""),
  /** Whether an empty field without a fallback takes its whole line with it. */
  takesLine: attribute(flag, true),
});
export type PersonFieldAttributes = AttributesOf<typeof personField.attributes>;

/** What a field says of a person: their own value, or what stands for it; empty where neither is known. */
export function fieldText(node: Node, person: Person | null): string {
  const { field, fallback } = personField.of(node);
  return (person && fieldValue(person, field)) || fallback;
}

export const readPersonField: ReadPieces = (node, writing) => {
  const { field, takesLine } = personField.of(node);
  const value = fieldText(node, writing.person);
  if (!value) return [{ role: "nothing", link: null, plain: "", html: () => "", takesLine }];
  const link = fieldLink(field, value, writing.person?.callingCode);
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

export const personFieldKind = inlineKind({
  name: "personField",
  word: "field",
  structure: { inline: true, group: "inline", atom: true, selectable: true },
  attributes: personField.attributes,
  draw: (node) => ["span", marked(node), `[${personField.of(node).field}]`],
  read: readPersonField,
});
