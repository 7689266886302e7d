/**
 * The pictures that are each person's own: which have to be made of them for a document, and the document with them in their places.
 * Positions in that are those of the document itself.
 */
import { Fragment, type Node } from "prosemirror-model";
import { contentHash } from "../addresses";
import { contrast, darkCanvas, lightCanvas } from "../color";
import { initialsOf, readPictureDetail, typedValue, type Person } from "../people";
import { displaySide, focusValue } from "../pictures";
import { color, object, tagged, text, type TypeOf } from "../values";
import { picture, type Substitute } from "./kinds/picture";
import { settingsOf, type Settings } from "./settings";
import { someInside } from "./some-inside";
import { pictureSource } from "./values";

/** A photograph of somebody, or what stands for it: letters on a ground in a family of fonts, or a plain figure where there are none. */
const ownPicture = tagged("kind", {
  detail: { original: contentHash("an original"), focus: focusValue },
  initials: { letters: text(20), color, ground: color, font: text(60) },
});
export type OwnPicture = TypeOf<typeof ownPicture>;
export type Initials = Extract<OwnPicture, { kind: "initials" }>;

/** A picture that has to be made of somebody: as the one at `source` was made, or plainly where that is empty. Display size in px. */
export const pictureToMake = object({
  source: pictureSource,
  width: displaySide,
  height: displaySide,
  of: ownPicture,
});
export type PictureToMake = TypeOf<typeof pictureToMake>;

/** On the colour of links, which is the one that a signature is known by, in what is read best there. */
function initialsFor(person: Person, { linkColor: ground, font }: Settings): Initials {
  const lighter = contrast(lightCanvas, ground) >= contrast(darkCanvas, ground);
  return {
    kind: "initials",
    letters: initialsOf(person.name),
    color: lighter ? lightCanvas : darkCanvas,
    ground,
    font,
  };
}

type Shown = OwnPicture | "itself" | "nothing";

/** What a place shows of somebody. */
function shownIn(place: Node, person: Person, settings: Settings): Shown {
  const { field, without } = picture.of(place);
  if (!field) return "itself";
  const detail = readPictureDetail(typedValue(person, field));
  if (detail) return { kind: "detail", ...detail };
  const instead: Readonly<Record<Substitute, () => Shown>> = {
    initials: () => initialsFor(person, settings),
    picture: () => "itself",
    nothing: () => "nothing",
  };
  return instead[without]();
}

/** What a picture is of and how it is made, as one text: the same for all who would get the same. */
export function pictureKey({ source, width, height, of }: PictureToMake): string {
  const what =
    of.kind === "detail"
      ? [of.original, of.focus.x, of.focus.y, of.focus.side]
      : ["initials", of.letters, of.color, of.ground, of.font];
  return [source || "plain", `${width}x${height}`, ...what].join(" ");
}

/** Whether a picture is each person's own. */
export const isOwnPicture = (node: Node): boolean => picture.is(node) && picture.of(node).field !== null;

/** Whether anything in a document is each person's own. */
export const hasOwnPictures = someInside(isOwnPicture);

/** The pictures that a document shows of a person, each once; none for nobody. */
export function picturesToMake(document: Node, person: Person | null): readonly PictureToMake[] {
  if (!person || !hasOwnPictures(document)) return [];
  const settings = settingsOf(document);
  const found = new Map<string, PictureToMake>();
  document.descendants((node) => {
    if (!hasOwnPictures(node)) return false;
    if (!picture.is(node)) return true;
    const of = shownIn(node, person, settings);
    if (typeof of === "string") return false;
    const { source, width, height } = picture.of(node);
    const wanted = { source, width, height, of };
    found.set(pictureKey(wanted), wanted);
    return false;
  });
  return [...found.values()];
}

/** Those of the pictures that are not made yet. */
export const picturesLacking = (document: Node, person: Person | null): readonly PictureToMake[] =>
  picturesToMake(document, person).filter((wanted) => person?.pictures?.[pictureKey(wanted)] === undefined);

/**
 * A place as it shows a person: the same for everybody from then on, so that settling it again changes nothing. What is not made yet is
 * nothing, rather than somebody else.
 */
export function placeWithPicture(place: Node, person: Person | null, settings: Settings): Node {
  if (!person) return place;
  const of = shownIn(place, person, settings);
  if (of === "itself") return place;
  const own = picture.of(place);
  const made = of === "nothing" ? undefined : person.pictures?.[pictureKey({ ...own, of })];
  const attributes = made
    ? { source: made, alt: own.decorative ? "" : person.name, field: null }
    : // A place whose picture is still being made does not close up.
      { source: "", without: of === "nothing" ? own.without : "initials" };
  return place.type.create({ ...place.attrs, ...attributes }, null, place.marks);
}

const shown = new WeakMap<Person, WeakMap<Node, Node>>();

/**
 * The document as it shows somebody: their own pictures are in their places, said by their name. The very same document for nobody, and
 * where nothing in it is anybody's own.
 */
export function withPicturesOf(document: Node, person: Person | null): Node {
  if (!person || !hasOwnPictures(document)) return document;
  const ofPerson = shown.get(person) ?? new WeakMap<Node, Node>();
  shown.set(person, ofPerson);
  const before = ofPerson.get(document);
  if (before) return before;
  const settings = settingsOf(document);
  const settle = (node: Node): Node => {
    if (!hasOwnPictures(node)) return node;
    if (picture.is(node)) return placeWithPicture(node, person, settings);
    return node.copy(Fragment.fromArray(node.children.map(settle)));
  };
  const settled = settle(document);
  ofPerson.set(document, settled);
  return settled;
}
