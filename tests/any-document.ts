/** Any document that the schema lets be, for properties that hold of all of them: derived from the kinds' descriptions. */
import fc from "fast-check";
import type { Mark, Node } from "prosemirror-model";
import { fieldNames, wordFieldNames } from "@/core/people";
import type {
  Fields,
  ListValue,
  NumberValue,
  ObjectValue,
  OptionalValue,
  TextValue,
  Value,
} from "@/core/values";
import { markKinds, nodeKinds, schema, type Attributes } from "@/core/signature";

const words = [
  "Ada",
  "Quill",
  "Head of Collections",
  "®",
  "desk@harrowfen.example",
  "+44 1632 960100",
  "12 June 2027",
  "a  b",
  " ",
  "x",
  "3 Sluice Lane",
  "种子",
  "בנק",
  "’“",
];
const addresses = [
  "https://harrowfen.example/visit",
  "mailto:desk@harrowfen.example",
  "tel:+441632960100",
  "https://plotline.example/a?b=c&d=é",
  "/h/0123456789abcdef0123/card.vcf",
  "sms:+441632960100",
];
const pictures = [
  "",
  "/h/0123456789abcdef0123/ada.png",
  "https://pictures.example/a b.png",
  "https://elsewhere.example/x.png?y='z'",
];

/** Values by the kind of their description; those that no range describes are written out here. */
const byKind: Readonly<Record<string, (value: never) => fc.Arbitrary<unknown>>> = {
  number: ({ least, most, step }: NumberValue) =>
    fc
      .oneof(
        fc.integer({ min: Math.ceil(least / step), max: Math.floor(most / step) }),
        fc.constant(Math.ceil(least / step)),
      )
      .map((steps) => Math.round(steps * step * 100) / 100),
  color: () => fc.constantFrom("#FFFFFF", "#000000", "#3F5B2E", "#333333", "#C08A2B"),
  flag: () => fc.boolean(),
  choice: ({ choices }: { choices: readonly unknown[] }) => fc.constantFrom(...choices),
  text: ({ longest }: TextValue) =>
    fc
      .oneof(fc.constantFrom("", ...words), fc.string({ maxLength: 12 }))
      .map((text) => text.slice(0, longest)),
  field: () => fc.constantFrom(...fieldNames, "phone:Direct line", "picture:Badge"),
  list: ({ value }: ListValue<Value<unknown>>) => fc.array(arbitraryOf(value), { maxLength: 3 }),
  "word field": () => fc.constantFrom(...wordFieldNames, "phone:Direct line", "text:Room, floor"),
  "picture field": () => fc.constantFrom("portrait", "picture:Badge"),
  address: () => fc.constantFrom(...addresses),
  picture: () => fc.constantFrom(...pictures),
  language: () => fc.constantFrom("", "en", "de-AT", "ar"),
  campaign: () => fc.constantFrom({ source: "signature", medium: "mail", name: "" }),
  optional: ({ value }: OptionalValue<Value<unknown>>) => fc.option(arbitraryOf(value)),
  object: ({ fields }: ObjectValue<Fields>) =>
    fc.record(Object.fromEntries(Object.entries(fields).map(([name, value]) => [name, arbitraryOf(value)]))),
};

function arbitraryOf(value: Value<unknown>): fc.Arbitrary<unknown> {
  const make = byKind[value.kind];
  if (!make) throw new TypeError(`No value is made up for ${value.kind}`);
  return make(value as never).filter((made) => value.check(made) === null);
}

/** Attributes that are mostly as everywhere. */
const attributesOf = (
  attributes: Attributes,
  without: readonly string[] = [],
): fc.Arbitrary<Record<string, unknown>> =>
  fc.record(
    Object.fromEntries(
      Object.entries(attributes)
        .filter(([name]) => !without.includes(name))
        .map(([name, attribute]) => [
          name,
          "default" in attribute
            ? fc.oneof({ weight: 3, arbitrary: fc.constant(attribute.default) }, arbitraryOf(attribute.value))
            : arbitraryOf(attribute.value),
        ]),
    ),
  );

const attributes = (name: string): Attributes => nodeKinds.get(name)?.attributes ?? {};

const markSet = (allowed: readonly string[]): fc.Arbitrary<readonly Mark[]> =>
  fc
    .subarray([...allowed], { maxLength: Math.min(3, allowed.length) })
    .chain((names) =>
      fc.tuple(
        ...names.map((name) =>
          attributesOf(markKinds.get(name)?.attributes ?? {}).map((attrs) => schema.mark(name, attrs)),
        ),
      ),
    )
    .map((marks) => marks.reduce<readonly Mark[]>((set, mark) => mark.addToSet(set), []));

const allMarks = [...markKinds.keys()];
const text = (marks: readonly string[]): fc.Arbitrary<Node> =>
  fc.tuple(fc.constantFrom(...words), markSet(marks)).map(([said, set]) => schema.text(said, set));
const leaf = (name: string, marks: readonly string[]): fc.Arbitrary<Node> =>
  fc
    .tuple(attributesOf(attributes(name)), markSet(marks))
    .map(([attrs, set]) => schema.node(name, attrs, [], set));
const holding = (name: string, content: fc.Arbitrary<readonly Node[]>): fc.Arbitrary<Node> =>
  fc
    .tuple(attributesOf(attributes(name)), content)
    .map(([attrs, inside]) => schema.node(name, attrs, inside));

const inline = fc.oneof(
  { weight: 4, arbitrary: text(allMarks) },
  leaf("personField", allMarks),
  leaf("separator", allMarks),
  leaf("break", []),
  leaf("inlinePicture", ["link"]),
);
const buttonMarks = "bold italic size font letterSpacing upperCase strikethrough superscript subscript".split(
  " ",
);

const simpleBlock = fc.oneof(
  { weight: 4, arbitrary: holding("line", fc.array(inline, { maxLength: 5 })) },
  holding("line", fc.constant([])),
  leaf("picture", []),
  leaf("spacer", []),
  leaf("divider", []),
  holding("iconRow", fc.array(leaf("inlinePicture", ["link"]), { maxLength: 4 })),
  holding(
    "button",
    fc.array(fc.oneof(text(buttonMarks), leaf("personField", buttonMarks)), { maxLength: 2 }),
  ),
);

const cellAttributes = (name: string) => attributesOf(attributes(name), ["colspan", "rowspan", "colwidth"]);

/** Tables by bands: each row parts the columns in cells, and may lie under cells of the row above. */
const table = (block: fc.Arbitrary<Node>): fc.Arbitrary<Node> =>
  fc
    .tuple(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 3 }))
    .chain(([rows, columns]) =>
      fc.tuple(
        attributesOf(attributes("table")),
        fc.array(fc.integer({ min: 20, max: 300 }), { minLength: columns, maxLength: columns }),
        fc.array(
          fc.tuple(
            attributesOf(attributes("row")),
            // Whether each column goes on in the cell at its left.
            fc.array(fc.boolean(), { minLength: columns, maxLength: columns }),
            fc.array(
              fc.tuple(cellAttributes("cell"), fc.array(block, { minLength: 1, maxLength: 3 }), fc.boolean()),
              {
                minLength: columns,
                maxLength: columns,
              },
            ),
            // Whether the row lies wholly under the one above it.
            fc.boolean(),
          ),
          { minLength: rows, maxLength: rows },
        ),
      ),
    )
    .map(([attrs, widths, rows]) => {
      const made: Node[] = [];
      rows.forEach(([rowAttrs, joined, cells, under], index) => {
        if (under && index > 0) return;
        const covered = rows.slice(index + 1).findIndex(([, , , also]) => !also);
        const rowspan = covered < 0 ? rows.length - index : covered + 1;
        const row: Node[] = [];
        for (let column = 0; column < widths.length;) {
          let end = column + 1;
          while (end < widths.length && joined[end]) end++;
          const [own, content, sized] = cells[column] ?? [{}, [], true];
          const colwidth = sized ? widths.slice(column, end) : null;
          row.push(schema.node("cell", { ...own, colspan: end - column, rowspan, colwidth }, content));
          column = end;
        }
        made.push(schema.node("row", rowAttrs, row));
        for (let more = 1; more < rowspan; more++)
          made.push(schema.node("row", rows[index + more]?.[0] ?? null, []));
      });
      return schema.node("table", attrs, made);
    });

/** A valid document of at most three rows and columns at each of its two levels. */
export const anyDocument: fc.Arbitrary<Node> = fc
  .tuple(
    attributesOf(attributes("signature")),
    table(fc.oneof({ weight: 6, arbitrary: simpleBlock }, table(simpleBlock))),
  )
  .map(([attrs, outer]) => schema.node("signature", attrs, [outer]));
