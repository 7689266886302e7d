/** Every endpoint of the application: what it takes and what it answers. */
import { contentHash } from "@/core/addresses";
import { findingCodes } from "@/core/checks";
import { deskSettings } from "@/core/desks";
import { iconLook, iconSize } from "@/core/icons";
import { codeContents, installForms, picturePlaces } from "@/core/install-kinds";
import { calendarEvent, networkKind, type NetworkKind } from "@/core/links";
import {
  darkLookValue,
  displaySide,
  largestArchive,
  largestFile,
  loopSourceValue,
  loopValue,
  recipeValue,
  type LoopRecipe,
  type PictureColors,
  type Focus,
} from "@/core/pictures";
import { outgrown } from "@/core/signature";
import {
  choice,
  complain,
  count,
  describeValue,
  flag,
  list,
  maybe,
  nameOf,
  object,
  optional,
  tagged,
  text,
  type TypeOf,
  words,
} from "@/core/values";
import { get, patch, post, put, remove } from "./endpoint";
import { iconChoice, type AddedIcons, type DrawnIcon, type OwnIcon } from "./icons";
import { installTick, kitsForAll, newInstall, type ComparedInstall, type KitsMade } from "./installs";
import {
  heldChange,
  letterBoxes,
  newLetter,
  placedFiles,
  type Desk,
  type Letters,
  type OpenedLetter,
  type Rehearsal,
} from "./mailroom";
import { mailAddress, outgoingServer } from "./outgoing";
import { pageEndpoints } from "./page-endpoints";
import { peopleEndpoints } from "./people-endpoints";
import type {
  AddedFiles,
  AddressCheck,
  Catalogue,
  CatalogueEntry,
  Cut,
  CutPreview,
  ForeignPicture,
  KeptAnswer,
  LoopPreview,
  Original,
  Publication,
  PublicAddress,
  Removal,
  Replacement,
} from "./pictures";
import { longestSearch, mostAtOnce, type ShelfCard } from "./shelf";
import { toldSighting } from "./sightings";
import { letterType, type LetterType, type Settled, type Version } from "./signatures";

const original = contentHash("an original");
const address = words("An address", 2000, "Paste an address.");
const id = text(80);
const name = (what: string, most = 80) => nameOf(`${what}'s name`, most, `${what} needs a name.`);

/** A document as JSON; what is in it is validated by the document's own rules. */
const documentJson = describeValue<object, "document">("document", (value) =>
  typeof value === "object" && value !== null && !Array.isArray(value)
    ? outgrown(value)
    : complain("a document", value),
);

/** The most that the JSON of what may hold pictures weighs: letters, and the files of a client; bytes. */
const withPictures = 16 * 1024 * 1024;

/** The most that a file behind a link may weigh; bytes. */
export const largestLinkedFile = 10 * 1024 * 1024;

/** How a cut is asked for. */
export const cutRequest = tagged("kind", {
  /** As a recipe says. */
  recipe: { original, recipe: recipeValue },
  /** The whole of an original, no wider than so many px. */
  whole: { original, widest: displaySide },
  /** As much of an original as fills a place. */
  fill: { original, width: displaySide, height: displaySide },
  /** A cut that is there already, at another exact width or height. */
  "at-width": { source: text(2000), width: displaySide },
  "at-height": { source: text(2000), height: displaySide },
  "in-look": { source: text(2000), look: darkLookValue },
});

export type CutRequest = TypeOf<typeof cutRequest>;

/** What a signature begins as. */
export const startRequest = tagged("kind", {
  pattern: { pattern: id },
  blank: { rows: count(1, 6), columns: count(1, 8) },
  /** From something that was imported; drawn for a person where its details were somebody's. */
  document: { document: documentJson, name: name("A signature"), person: optional(id) },
});

export type StartRequest = TypeOf<typeof startRequest>;

const frame = count(0, 10_000);

const isCount = (value: unknown): boolean =>
  (typeof value === "string" || typeof value === "number") && /^\d{1,9}$/.test(`${value}`);

/** A whole number in a query, which holds text only; 0 where there is none. Once read it passes as well. */
const countInQuery = <const N extends string>(name: N, what: string) =>
  describeValue<number, N>(
    name,
    (value) => (value === undefined || isCount(value) ? null : complain(what, value)),
    (value) => Number(value ?? 0),
  );

/** Which frame of an animation is drawn, from 0; the first where none is named. */
const frameQuery = object({ frame: countInQuery("frame", "the number of a frame") });

const pictures = object({
  cuts: list(text(120), { most: 5000, what: "cuts" }),
  originals: list(original, { most: 5000, what: "originals" }),
});

/** The address under which recipients find pictures, as it is typed. */
export const publicBase = object({ base: words("An address", 300, "Write the address.") });

export const endpoints = {
  lookAtAddress: post("/api/addresses").body(object({ address })).json<{ report: ForeignPicture }>(),
  forgetAddress: remove("/api/addresses").body(object({ address })).json<void>(),

  takePictureIn: post("/api/addresses/taken").body(object({ address })).json<AddedFiles>(),

  findCut: get("/api/cuts")
    .query(object({ source: text(2000) }))
    .json<{ cut: Cut }>(),
  makeCut: post("/api/cuts").body(cutRequest).json<{ cut: Cut }>(),
  previewCut: post("/api/cuts/preview")
    .body(object({ original, recipe: recipeValue }))
    .json<CutPreview>(),

  /** `pictures` are uploaded ones that may be icons, and are in no pack. */
  listOwnIcons: get("/api/icons").json<{ icons: readonly OwnIcon[]; pictures: readonly OwnIcon[] }>(),
  addIcons: post("/api/icons")
    .query(
      object({
        pack: nameOf("A pack's name", 60, "Give the pack a name."),
        note: words("Where it came from", 300),
      }),
    )
    .file(largestArchive)
    .json<AddedIcons>(),
  describeIcon: patch("/api/icons/:hash")
    .body(object({ name: name("An icon", 60), note: words("Where it came from", 300) }))
    .json<void>(),
  deleteIcon: remove("/api/icons/:hash").json<void>(),
  drawIcons: post("/api/icons/cuts")
    .body(
      object({
        icons: list(iconChoice, { most: 40, what: "icons" }),
        look: iconLook,
        size: iconSize,
      }),
    )
    .json<{ icons: readonly DrawnIcon[] }>(),

  keepLetterType: put("/api/letter-type").body(letterType).json<LetterType>(),

  hostCalendar: post("/api/links/calendar").body(calendarEvent).json<{ href: string }>(),
  hostCard: post("/api/links/card")
    .body(object({ personId: words("A person", 80, "Choose whose card it is.") }))
    .json<{ href: string }>(),
  hostFile: post("/api/links/files").file(largestLinkedFile).json<{ href: string }>(),
  recordOpening: post("/api/links/openings").body(object({ address })).json<{ openedAt: number }>(),
  walkLinks: post("/api/links/walk")
    .body(object({ addresses: list(text(2000), { most: 200, what: "addresses" }) }))
    .lines<KeptAnswer>(),

  makeLoop: post("/api/loops")
    .body(object({ loop: loopValue, name: text(60) }))
    .json<{ cut: Cut }>(),
  previewLoop: post("/api/loops/preview")
    .body(object({ loop: loopValue }))
    .json<LoopPreview>(),
  previewLoopPicture: post("/api/loops/picture")
    .body(object({ loop: loopValue, picture: frame }))
    .json<{ picture: string }>(),
  startLoop: post("/api/loops/start")
    .body(object({ source: loopSourceValue }))
    .json<{ loop: LoopRecipe }>(),

  listLetters: get("/api/mailroom/:person/letters")
    .query(
      object({
        box: maybe(choice(...letterBoxes)),
        search: maybe(text(200)),
        most: countInQuery("most", "how many letters"),
      }),
    )
    .json<Letters>(),
  openLetter: get("/api/mailroom/:person/letters/:letter").json<OpenedLetter>(),
  throwLetter: remove("/api/mailroom/:person/letters/:letter").json<void>(),
  takeLetterBack: post("/api/mailroom/:person/letters/:letter/restore").json<void>(),
  downloadLetter: get("/api/mailroom/:person/letters/:letter/file").bytes(),
  letterPart: get("/api/mailroom/:person/letters/:letter/part")
    .query(object({ id: text(2000) }))
    .bytes(),
  emptyMailroom: remove("/api/mailroom").json<{ letters: number }>(),

  openDesk: get("/api/mailroom/:person/desks/:client").json<Desk>(),
  keepDesk: put("/api/mailroom/:person/desks/:client").body(deskSettings, withPictures).json<Desk>(),
  sendLetter: post("/api/mailroom/:person/desks/:client/letters").body(newLetter, withPictures).json<void>(),
  keepDraft: post("/api/mailroom/:person/desks/:client/drafts")
    .body(newLetter, withPictures)
    .json<{ draft: string }>(),
  dropDraft: remove("/api/mailroom/:person/desks/:client/drafts/:draft").json<void>(),
  placeFiles: post("/api/mailroom/:person/desks/:client/files").body(placedFiles, withPictures).json<Desk>(),
  placeKit: post("/api/mailroom/:person/desks/:client/kit")
    .body(object({ signature: id }))
    .json<Desk>(),
  deskFile: get("/api/mailroom/:person/desks/:client/file")
    .query(object({ path: text(2000) }))
    .bytes(),
  changeHeld: patch("/api/mailroom/:person/desks/:client/held").body(heldChange).json<Desk>(),
  findRehearsal: get("/api/mailroom/:person/desks/:client/rehearsal").json<{ rehearsal: Rehearsal | null }>(),
  beginRehearsal: post("/api/mailroom/:person/desks/:client/rehearsal")
    .body(object({ signature: id }))
    .json<void>(),
  /** Tells of what only the page knows. */
  tellRehearsal: patch("/api/mailroom/:person/desks/:client/rehearsal")
    .body(object({ happened: choice("pasted", "attached") }))
    .json<void>(),
  /** Puts the letter of a signature's kit into the mailbox of whom the desk is, as if it came from there. */
  mailKit: post("/api/mailroom/:person/kit-letters")
    .body(object({ signature: id }))
    .json<void>(),
  endRehearsal: remove("/api/mailroom/:person/desks/:client/rehearsal").json<void>(),
  /** Opens or closes the program; what it wrote over when it was closed is named. */
  runDesk: post("/api/mailroom/:person/desks/:client/running")
    .body(object({ running: flag }))
    .json<Desk & { readonly lost: readonly string[] }>(),

  saveNetwork: put("/api/networks")
    .body(object({ network: networkKind }))
    .json<{ network: NetworkKind }>(),
  deleteNetwork: remove("/api/networks").body(object({ id })).json<void>(),

  savePattern: post("/api/patterns")
    .body(object({ signatureId: id, name: name("A pattern") }))
    .json<{ id: string }>(),
  deletePattern: remove("/api/patterns/:id").json<void>(),

  ...peopleEndpoints,
  ...pageEndpoints,

  listPictures: get("/api/pictures")
    .query(object({ look: maybe(text(longestSearch)) }))
    .json<Catalogue>(),
  addPictures: post("/api/pictures").file(largestArchive).json<AddedFiles>(),
  findPictureColors: post("/api/pictures/colors")
    .body(object({ sources: list(text(2000), { most: 200, what: "pictures" }) }))
    .json<{ colors: Readonly<Record<string, PictureColors>> }>(),
  /** Those of some originals that stand in the library, with their cuts. */
  pictureEntries: post("/api/pictures/entries")
    .body(object({ hashes: list(original, { most: mostAtOnce, what: "originals" }) }))
    .json<{ entries: readonly CatalogueEntry[] }>(),
  findPicture: get("/api/pictures/:hash").json<{ original: Original; background: string | null }>(),
  renamePicture: patch("/api/pictures/:hash")
    .body(object({ name: name("A picture", 120) }))
    .json<{ original: Original }>(),
  /** The part of it that is to be seen of somebody, as it is first suggested. */
  suggestFocus: get("/api/pictures/:hash/focus").json<{ focus: Focus }>(),
  replacePicture: post("/api/pictures/:hash/replace").file(largestFile).json<Replacement>(),
  takeBackPicture: remove("/api/pictures/:hash/replace").json<Replacement>(),
  pictureThumbnail: get("/api/pictures/:hash/thumbnail").query(frameQuery).bytes(),
  pictureView: get("/api/pictures/:hash/view").query(frameQuery).bytes(),
  removePictures: post("/api/pictures/unused").body(pictures).json<{ removed: Removal }>(),
  restorePictures: put("/api/pictures/unused").body(pictures).json<void>(),

  findPublicAddress: get("/api/public-address").json<PublicAddress>(),
  setPublicAddress: put("/api/public-address")
    .body(object({ base: optional(publicBase.fields.base) }))
    .json<PublicAddress>(),
  checkPublicAddress: post("/api/public-address/check").json<{ check: AddressCheck }>(),

  /** Those of some signatures that are on the Shelf. */
  shelfCards: post("/api/shelf/cards")
    .body(object({ ids: list(id, { most: mostAtOnce, what: "signatures" }) }))
    .json<{ cards: readonly ShelfCard[] }>(),

  startSignature: post("/api/signatures").body(startRequest).json<{ id: string }>(),
  /** What has been saved since a revision; its document is null where that is the newest. */
  findNewer: get("/api/signatures/:id")
    .query(object({ after: countInQuery("after", "a revision") }))
    .json<{ revision: number; document: unknown }>(),
  /** `settles` names a refused save that is in this one, merged with what had come between. */
  saveSignature: put("/api/signatures/:id")
    .body(object({ document: documentJson, revision: count(1, 1e9), settles: maybe(id) }))
    .json<{ revision: number }>(),
  describeSignature: patch("/api/signatures/:id")
    .body(object({ name: maybe(name("A signature")), personId: maybe(optional(id)) }))
    .json<void>(),
  deleteSignature: remove("/api/signatures/:id").json<void>(),
  duplicateSignature: post("/api/signatures/:id/duplicate").json<{ id: string }>(),
  restoreSignature: post("/api/signatures/:id/restore").json<void>(),
  settleRefusedSave: post("/api/signatures/:id/refused")
    .body(object({ refusedId: id, keep: choice("mine", "saved", "apart") }))
    .json<Settled>(),
  setAside: put("/api/signatures/:id/asides")
    .body(
      object({
        code: choice(...findingCodes),
        message: text(4000),
        reason: optional(words("A reason", 300, "Say why it stays as it is.")),
      }),
    )
    .json<void>(),
  keepStillness: put("/api/signatures/:id/stillness")
    .body(object({ revision: count(1, 1e9), still: count(0, 1000), all: count(1, 1000) }))
    .json<void>(),
  listVersions: get("/api/signatures/:id/versions").json<{ versions: readonly Version[] }>(),
  nameVersion: post("/api/signatures/:id/versions")
    .body(object({ name: nameOf("A version's name", 80, "A version that is kept needs a name.") }))
    .json<{ id: string }>(),
  deleteVersion: remove("/api/signatures/:id/versions/:version").json<void>(),
  swapPicture: put("/api/signatures/:id/pictures")
    .body(object({ from: text(2000), to: text(2000) }))
    .json<void>(),
  publishPictures: post("/api/signatures/:id/pictures/publish")
    .body(object({ base: words("An address", 300, "Write the address of the folder.") }))
    .json<Publication>(),
  hostPicturesHere: remove("/api/signatures/:id/pictures/publish").json<void>(),
  zipPictures: get("/api/signatures/:id/pictures/zip").bytes(),
  downloadKit: get("/api/signatures/:id/kits/:kind")
    .query(object({ pictures: maybe(choice(...picturePlaces)), person: maybe(id) }))
    .bytes(),
  /** A kit for each of some people, as one zip that waits to be taken. */
  makeKits: post("/api/signatures/:id/kits/:kind/all").body(kitsForAll).lines<KitsMade>(),
  takeKits: get("/api/kits/:file").bytes(),
  /** Tells rehearsals that the signature was copied to be pasted. */
  tellCopied: post("/api/signatures/:id/copied").json<void>(),
  sendTest: post("/api/signatures/:id/test")
    .body(object({ to: mailAddress, form: choice(...installForms), pictures: choice(...picturePlaces) }))
    .json<void>(),
  drawCode: get("/api/signatures/:id/code")
    .query(
      object({
        of: choice(...codeContents),
        form: choice("png", "svg"),
        size: countInQuery("size", "a size in px"),
      }),
    )
    .bytes(),
  recordInstall: post("/api/signatures/:id/installs").body(newInstall).json<{ id: string }>(),
  compareInstall: get("/api/installs/:id").json<ComparedInstall>(),
  tickInstall: put("/api/installs/:id/ticks").body(installTick).json<void>(),
  renewInstall: post("/api/installs/:id/renew")
    .body(object({ revision: count(1, 1e9) }))
    .json<void>(),
  removeInstall: remove("/api/installs/:id").json<void>(),
  restoreInstall: post("/api/installs/:id/restore").json<void>(),

  keepSighting: post("/api/installs/:id/sightings").file(largestFile).json<{ id: string }>(),
  tellSighting: put("/api/sightings/:id").body(toldSighting).json<void>(),
  sightingPicture: get("/api/sightings/:id").bytes(),
  removeSighting: remove("/api/sightings/:id").json<void>(),
  restoreSighting: post("/api/sightings/:id/restore").json<void>(),

  keepOutgoing: put("/api/outgoing").body(outgoingServer).json<void>(),
  forgetOutgoing: remove("/api/outgoing").json<void>(),
  tryOutgoing: post("/api/outgoing/try").body(outgoingServer).json<void>(),

  listWebSpace: get("/api/web-space").json<{ files: readonly string[] }>(),
  uploadToWebSpace: post("/api/web-space").file(largestArchive).json<{ files: readonly string[] }>(),
  emptyWebSpace: remove("/api/web-space").json<void>(),
} as const;
