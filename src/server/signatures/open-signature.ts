/** A signature with everything that its screens need: its person, its findings and what its pictures weigh. */
import { LRUCache } from "lru-cache";
import type { Node } from "prosemirror-model";
import type { Cut, KeptAnswer, WaitingVersion } from "@/contract";
import {
  checkSignature,
  gapsOf,
  weightOf,
  type Asides,
  type ColorsBySource,
  type DirectoryGaps,
  type Finding,
  type PictureFactsBySource,
} from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import type { NetworkKind } from "@/core/links";
import {
  hasShortForm,
  linksOf,
  parseSignature,
  pictureSourcesOf,
  shortForm,
  shownTo,
  withPicturesOf,
} from "@/core/signature";
import { notFound } from "../http/refusal";
import { publicBase } from "../addresses/public-address";
import { findAnswers } from "../links/answers";
import { listNetworks } from "../links/networks";
import { findOrganisation, type Organisation } from "../settings/organisation";
import { allWithOwnPictures, withOwnPictures } from "../people/own-pictures";
import { findDetails, findDetailsOfAll, listPeople } from "../people/people";
import { findCuts } from "../pictures/cuts";
import { colorsOfCuts } from "../pictures/picture-colors";
import { factsOf } from "../pictures/facts";
import { listWaiting } from "./refused-saves";
import { readDocument } from "./read-document";
import {
  findRow,
  findRows,
  findSignature,
  toStored,
  type SignatureRow,
  type StoredSignature,
} from "./signatures";

export interface OpenedSignature extends StoredSignature {
  readonly person: Person | null;
  readonly base: string;
  /** Its HTML for pasting into webmail. */
  readonly html: string;
  /** What a reply holds of it, for pasting into webmail; null where replies leave nothing out. */
  readonly shortHtml: string | null;
  /** Bytes of its hosted pictures, each counted once. */
  readonly weight: number;
  readonly cuts: readonly Cut[];
  /** What is known of its pictures' files, by their sources. */
  readonly pictures: PictureFactsBySource;
  /** The colours of its hosted pictures, by their sources. */
  readonly colors: ColorsBySource;
  /** What its links led to when they were walked, by their addresses. */
  readonly answers: Readonly<Record<string, KeptAnswer>>;
  /** Who it speaks for; null before an organisation has been described. */
  readonly organisation: Organisation | null;
  readonly networks: readonly NetworkKind[];
  /** How many people of the directory lack each field. */
  readonly gaps: DirectoryGaps;
  readonly findings: readonly Finding[];
}

/** What all signatures have in common. */
type Surroundings = Pick<OpenedSignature, "base" | "organisation" | "networks" | "gaps">;

async function findSurroundings(): Promise<Surroundings> {
  const [base, organisation, networks, people] = await Promise.all([
    publicBase(),
    findOrganisation(),
    listNetworks(),
    listPeople(),
  ]);
  return { base, organisation, networks, gaps: gapsOf(people.map(({ person }) => person)) };
}

/** What a signature's pictures and links are known by. */
type Known = Pick<OpenedSignature, "cuts" | "pictures" | "colors" | "answers">;

/** What is worked out of a signature and all that is known around it. */
type Derived = Pick<OpenedSignature, "html" | "shortHtml" | "weight" | "findings">;

interface Made {
  readonly document: Node;
  /** All else that it was worked out from. */
  readonly from: string;
  readonly derived: Derived;
}

/** Compiling and checking again gives the same for the same, and a Shelf asks it of hundreds; by signature. */
const made = new LRUCache<string, Made>({ max: 2000 });

function derive(
  document: Node,
  { base, organisation, networks, gaps }: Surroundings,
  { pictures, colors, answers }: Known,
  person: Person | null,
  asides: Asides,
): Derived {
  const pasted = (shown: Node): string => compile(shown, { destination: "webmail-paste", person, base });
  return {
    html: pasted(document),
    shortHtml: hasShortForm(document) ? pasted(shortForm(document)) : null,
    weight: weightOf(shownTo(document, person), pictures),
    findings: checkSignature(document, {
      person,
      base,
      pictures,
      colors,
      answers,
      gaps,
      asides,
      organisation: organisation?.name ?? "",
      networks,
    }),
  };
}

const picked = <T>(from: Readonly<Record<string, T>>, names: readonly string[]): Record<string, T> =>
  Object.fromEntries(
    names.flatMap((name) => {
      const value = Object.hasOwn(from, name) ? from[name] : undefined;
      return value === undefined ? [] : [[name, value] as const];
    }),
  );

const all = <T>(of: readonly (readonly T[])[]): T[] => [...new Set(of.flat())];

/** Opens signatures together: what their pictures and links are known by is asked for once. In the order of the rows. */
async function openRows(rows: readonly SignatureRow[]): Promise<readonly OpenedSignature[]> {
  const [surroundings, people] = await Promise.all([
    findSurroundings(),
    findDetailsOfAll(rows.flatMap(({ personId }) => personId ?? [])),
  ]);
  const shown = rows.map((row) => ({
    document: readDocument(row.document),
    person: (row.personId !== null && people.get(row.personId)) || null,
  }));
  const drawn = await allWithOwnPictures(shown);
  const read = rows.map((row, index) => {
    const document = readDocument(row.document);
    const person = drawn[index] ?? null;
    // Those of the places themselves are looked at as well, since others are made like them.
    const sources = all([pictureSourcesOf(document), pictureSourcesOf(withPicturesOf(document, person))]);
    const addresses = [...new Set(linksOf(document, person).map(({ href }) => href))];
    return { row, document, person, sources, addresses };
  });
  const sources = all(read.map((each) => each.sources));
  const [cuts, answers] = await Promise.all([
    findCuts(sources),
    findAnswers(all(read.map((each) => each.addresses))),
  ]);
  const [pictures, colors] = await Promise.all([factsOf(sources, cuts), colorsOfCuts(cuts)]);
  const cutsBySource = Object.fromEntries(cuts.map((cut) => [cut.source, cut]));
  const around = JSON.stringify(surroundings);
  return read.map(({ row, document, person, ...has }) => {
    const stored = toStored(row);
    const known: Known = {
      cuts: Object.values(picked(cutsBySource, has.sources)),
      pictures: picked(pictures, has.sources),
      colors: picked(colors, has.sources),
      answers: picked(answers, has.addresses),
    };
    const from = around + JSON.stringify([person, stored.asides, known]);
    const before = made.get(row.id);
    const same = before?.document === document && before.from === from;
    const derived = same ? before.derived : derive(document, surroundings, known, person, stored.asides);
    if (!same) made.set(row.id, { document, from, derived });
    return { ...stored, ...surroundings, ...known, person, ...derived };
  });
}

export async function openSignature(id: string): Promise<OpenedSignature> {
  const [opened] = await openRows([await findRow(id)]);
  if (!opened) throw notFound("signature");
  return opened;
}

/** Those of some that are on the Shelf, in the order that they are named in. */
export async function openSignatures(ids: readonly string[]): Promise<readonly OpenedSignature[]> {
  const opened = new Map((await openRows(await findRows(ids))).map((each) => [each.id, each]));
  return ids.flatMap((id) => opened.get(id) ?? []);
}

/** A version that waits, as it looks. */
export interface OpenedWaiting extends Omit<WaitingVersion, "document"> {
  readonly html: string;
  readonly base: string;
}

/** Refused saves that nobody has chosen about, each drawn for its signature's person. */
export async function openWaiting(): Promise<readonly OpenedWaiting[]> {
  const [waiting, base] = await Promise.all([listWaiting(), publicBase()]);
  return Promise.all(
    waiting.map(async ({ document, ...known }) => {
      const { personId } = await findSignature(known.signatureId);
      const read = parseSignature(document);
      const person = await withOwnPictures(read, await findDetails(personId));
      return {
        ...known,
        base,
        html: compile(read, { destination: "webmail-paste", person, base }),
      };
    }),
  );
}
