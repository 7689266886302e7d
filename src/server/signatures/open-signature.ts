/** A signature with everything that its screens need: its person, its findings and what its pictures weigh. */
import type { Cut, KeptAnswer, WaitingVersion } from "@/contract";
import {
  checkSignature,
  gapsOf,
  weightOf,
  type ColorsBySource,
  type DirectoryGaps,
  type Finding,
  type PictureFactsBySource,
} from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import type { NetworkKind } from "@/core/links";
import { hasShortForm, linksOf, parseSignature, pictureSourcesOf, shortForm } from "@/core/signature";
import { publicBase } from "../addresses/public-address";
import { findAnswers } from "../links/answers";
import { listNetworks } from "../links/networks";
import { findOrganisation, type Organisation } from "../settings/organisation";
import { findDetails, listPeople } from "../people/people";
import { findCuts } from "../pictures/cuts";
import { colorsOfCuts } from "../pictures/picture-colors";
import { factsOf } from "../pictures/facts";
import { listWaiting } from "./refused-saves";
import { findSignature, listSignatures, type StoredSignature } from "./signatures";

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

async function open(stored: StoredSignature, surroundings: Surroundings): Promise<OpenedSignature> {
  const { base, organisation, networks, gaps } = surroundings;
  const document = parseSignature(stored.document);
  const person = await findDetails(stored.personId);
  const sources = pictureSourcesOf(document);
  const addresses = [...new Set(linksOf(document, person).map(({ href }) => href))];
  const [cuts, answers] = await Promise.all([findCuts(sources), findAnswers(addresses)]);
  const [pictures, colors] = await Promise.all([factsOf(sources, cuts), colorsOfCuts(cuts)]);
  return {
    ...stored,
    ...surroundings,
    person,
    html: compile(document, { destination: "webmail-paste", person, base }),
    shortHtml: hasShortForm(document)
      ? compile(shortForm(document), { destination: "webmail-paste", person, base })
      : null,
    weight: weightOf(document, pictures),
    cuts,
    pictures,
    colors,
    answers,
    findings: checkSignature(document, {
      person,
      base,
      pictures,
      colors,
      answers,
      gaps,
      asides: stored.asides,
      organisation: organisation?.name ?? "",
      networks,
    }),
  };
}

export async function openSignature(id: string): Promise<OpenedSignature> {
  const [stored, surroundings] = await Promise.all([findSignature(id), findSurroundings()]);
  return open(stored, surroundings);
}

/** All signatures that are not deleted, oldest first. */
export async function openSignatures(): Promise<readonly OpenedSignature[]> {
  const [all, surroundings] = await Promise.all([listSignatures(), findSurroundings()]);
  return Promise.all(all.map((stored) => open(stored, surroundings)));
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
      const person = await findDetails(personId);
      return {
        ...known,
        base,
        html: compile(parseSignature(document), { destination: "webmail-paste", person, base }),
      };
    }),
  );
}
