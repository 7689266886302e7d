/** A signature with everything that its screens need: its person, its findings and what its pictures weigh. */
import { checkSignature, weightOf, type Finding, type PictureFactsBySource } from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import type { NetworkKind } from "@/core/links";
import { hasShortForm, linksOf, parseSignature, picturesOf, shortForm } from "@/core/signature";
import { publicBase } from "../addresses/public-address";
import { findAnswers, type KeptAnswer } from "../links/answers";
import { listNetworks } from "../links/networks";
import { findOrganisation } from "../organisation/organisation";
import { findPerson } from "../people/people";
import { findCuts, type Cut } from "../pictures/cuts";
import { factsOf } from "../pictures/facts";
import { findSignature, type StoredSignature } from "./signatures";

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
  /** What its links led to when they were walked, by their addresses. */
  readonly answers: Readonly<Record<string, KeptAnswer>>;
  /** Who it speaks for, and the user's networks: what is suggested for alt text. */
  readonly organisation: string;
  readonly networks: readonly NetworkKind[];
  readonly findings: readonly Finding[];
}

export async function openStored(stored: StoredSignature): Promise<OpenedSignature> {
  const document = parseSignature(stored.document);
  const person = stored.personId ? ((await findPerson(stored.personId))?.person ?? null) : null;
  const sources = [...new Set(picturesOf(document).map(({ node }) => node.attrs.source as string))];
  const addresses = [...new Set(linksOf(document, person).map(({ href }) => href))];
  const [cuts, base, answers, described, networks] = await Promise.all([
    findCuts(sources),
    publicBase(),
    findAnswers(addresses),
    findOrganisation(),
    listNetworks(),
  ]);
  const pictures = await factsOf(sources, cuts);
  const organisation = described?.name ?? "";
  return {
    ...stored,
    person,
    base,
    html: compile(document, { destination: "webmail-paste", person, base }),
    shortHtml: hasShortForm(document)
      ? compile(shortForm(document), { destination: "webmail-paste", person, base })
      : null,
    weight: weightOf(document, pictures),
    cuts,
    pictures,
    answers,
    organisation,
    networks,
    findings: checkSignature(document, { person, base, pictures, answers, organisation, networks }),
  };
}

export const openSignature = async (id: string): Promise<OpenedSignature> =>
  openStored(await findSignature(id));
