/** A signature with everything that its screens need: its person, its findings and what its pictures weigh. */
import { checkSignature, weightOf, type Finding, type PictureFactsBySource } from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import { hasShortForm, parseSignature, picturesOf, shortForm } from "@/core/signature";
import { publicBase } from "../addresses/public-address";
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
  readonly findings: readonly Finding[];
}

export async function openStored(stored: StoredSignature): Promise<OpenedSignature> {
  const document = parseSignature(stored.document);
  const person = stored.personId ? ((await findPerson(stored.personId))?.person ?? null) : null;
  const sources = [...new Set(picturesOf(document).map(({ node }) => node.attrs.source as string))];
  const [cuts, base] = await Promise.all([findCuts(sources), publicBase()]);
  const pictures = await factsOf(sources, cuts);
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
    findings: checkSignature(document, { person, base, pictures }),
  };
}

export const openSignature = async (id: string): Promise<OpenedSignature> =>
  openStored(await findSignature(id));
