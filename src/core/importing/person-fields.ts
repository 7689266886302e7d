/**
 * Details in an imported signature that are those of a person of the directory, so that they can be fields: the whole of a
 * run of text, or words within it. Numbers are compared by their digits, all else by its letters.
 */
import { Fragment, type Node } from "prosemirror-model";
import { fieldLink, fieldValue, wordFieldNames, type FieldName, type Person } from "../people";
import { link, schema } from "../signature";
import { wholeWordAt, append } from "../values";

export interface FieldOffer {
  readonly field: FieldName;
  /** Where the detail stands in the document. */
  readonly from: number;
  readonly to: number;
  /** As it is written there. */
  readonly text: string;
}

const plain = (text: string): string => text.replace(/[\s\u00a0]+/g, " ").trim();
const digits = (text: string): string => text.replace(/\D/g, "");

/** Fields in the order in which they are looked for: a name may stand within an address of mail. */
const order: readonly FieldName[] = [
  "mail",
  "web",
  "address",
  "phone",
  "mobile",
  ...wordFieldNames.filter((name) => !["mail", "web", "address", "phone", "mobile"].includes(name)),
];

interface Found {
  readonly field: FieldName;
  readonly start: number;
  readonly end: number;
}

/** Fields whose values are words that stand in other sentences as well: they count where nothing else is said beside them. */
const apart: ReadonlySet<FieldName> = new Set<FieldName>(["title", "department", "pronouns", "organisation"]);

const isApart = (text: string, start: number, end: number): boolean =>
  /(^|[,;|·•/()\u2013\u2014:])[\s\u00a0]*$/.test(text.slice(0, start)) &&
  /^[\s\u00a0]*($|[,;|·•/()\u2013\u2014:])/.test(text.slice(end));

/** Where a value stands in a text, whatever its spaces and the case of its letters; null where it does not. */
function findValue(text: string, value: string, field: FieldName): { start: number; end: number } | null {
  if (field === "phone" || field === "mobile") {
    const wanted = digits(value);
    if (wanted.length < 7) return null;
    for (const found of text.matchAll(/[+(]?\d[\d\s\u00a0().\-/]{5,}\d/g)) {
      const own = digits(found[0]);
      // The area's zero, or the country's code, may be left out on either side.
      const alike =
        own === wanted ||
        (own.length >= 7 &&
          (wanted.endsWith(own.replace(/^0+/, "")) || own.endsWith(wanted.replace(/^0+/, ""))));
      if (alike) return { start: found.index, end: found.index + found[0].length };
    }
    return null;
  }
  const words = plain(value).split(" ");
  const pattern = words.map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")).join("[\\s\\u00a0]+");
  for (const found of text.matchAll(new RegExp(pattern, "giu"))) {
    const end = found.index + found[0].length;
    const whole = apart.has(field) ? isApart(text, found.index, end) : wholeWordAt(text, found.index, end);
    if (whole) return { start: found.index, end };
  }
  return null;
}

function detailsIn(text: string, person: Person, known: ReadonlySet<FieldName>): readonly Found[] {
  const found: Found[] = [];
  for (const field of order) {
    const value = fieldValue(person, field);
    if (value.length < 2 || known.has(field)) continue;
    const place = findValue(text, value, field);
    if (place && !found.some(({ start, end }) => place.start < end && start < place.end))
      found.push({ field, ...place });
  }
  return found.sort((one, other) => one.start - other.start);
}

/** The person's details that stand in a document as text, in reading order. */
export function offerFields(document: Node, person: Person): readonly FieldOffer[] {
  const offers: FieldOffer[] = [];
  document.descendants((node, position) => {
    if (!node.isText || !node.text) return;
    for (const { field, start, end } of detailsIn(node.text, person, new Set()))
      offers.push({ field, from: position + start, to: position + end, text: node.text.slice(start, end) });
  });
  return offers;
}

/** The person of a directory whose details stand in a document; null where those of none do. */
export function whoseDetails<P extends { readonly person: Person }>(
  document: Node,
  people: readonly P[],
): P | null {
  let best: P | null = null;
  let most = 0;
  for (const candidate of people) {
    // An organisation's details are everybody's: a name or a mail address is one's own.
    const own = offerFields(document, candidate.person).filter(
      ({ field }) => field === "name" || field === "mail" || field === "mobile",
    );
    if (own.length > most) {
      best = candidate;
      most = own.length;
    }
  }
  return best;
}

/** A text with some of its stretches as fields. */
function withFields(
  text: Node,
  position: number,
  offers: readonly FieldOffer[],
  person: Person,
): readonly Node[] {
  const made: Node[] = [];
  let from = 0;
  const written = text.text ?? "";
  for (const offer of offers) {
    const [start, end] = [offer.from - position, offer.to - position];
    if (start > from) made.push(schema.text(written.slice(from, start), text.marks));
    const leads = fieldLink(offer.field, fieldValue(person, offer.field));
    // A field leads by itself where its kind does.
    const marks = text.marks.filter((mark) => {
      if (!link.is(mark)) return true;
      const { href, color, underline } = link.of(mark);
      return href !== leads || color !== null || underline !== null;
    });
    made.push(
      schema.node(
        "personField",
        { field: offer.field, fallback: offer.text.slice(0, 300), takesLine: false },
        [],
        marks,
      ),
    );
    from = end;
  }
  if (from < written.length) made.push(schema.text(written.slice(from), text.marks));
  return made;
}

/** The document with details as fields; each keeps what it said for people who have nothing there. */
export function takeFields(document: Node, offers: readonly FieldOffer[], person: Person): Node {
  const sorted = [...offers].sort((one, other) => one.from - other.from);
  const rebuilt = (node: Node, start: number): Node => {
    if (node.isLeaf) return node;
    const children: Node[] = [];
    node.forEach((child, offset) => {
      const position = start + offset;
      const inside = sorted.filter(({ from, to }) => from < position + child.nodeSize && to > position);
      if (inside.length === 0) children.push(child);
      else if (child.isText) append(children, withFields(child, position, inside, person));
      else children.push(rebuilt(child, position + 1));
    });
    return node.copy(Fragment.fromArray(children));
  };
  return rebuilt(document, 0);
}
