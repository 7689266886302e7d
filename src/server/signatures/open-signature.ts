/** A signature with everything that its screens need: its person, its findings and what its pictures weigh. */
import { checkSignature, type Finding } from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import { hasShortForm, parseSignature, picturesOf, shortForm } from "@/core/signature";
import { publicBase } from "../configuration";
import { findPerson } from "../people/people";
import { findCuts, type Cut } from "../pictures/pictures";
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
  readonly findings: readonly Finding[];
}

export async function openStored(stored: StoredSignature): Promise<OpenedSignature> {
  const document = parseSignature(stored.document);
  const person = stored.personId ? ((await findPerson(stored.personId))?.person ?? null) : null;
  const sources = [...new Set(picturesOf(document).map(({ node }) => node.attrs.source as string))];
  const cuts = await findCuts(sources);
  const weight = cuts.reduce((sum, { bytes }) => sum + bytes, 0);
  const base = publicBase();
  return {
    ...stored,
    person,
    base,
    html: compile(document, { destination: "webmail-paste", person, base }),
    shortHtml: hasShortForm(document)
      ? compile(shortForm(document), { destination: "webmail-paste", person, base })
      : null,
    weight,
    cuts,
    findings: checkSignature(document, { person, base, weight }),
  };
}

export const openSignature = async (id: string): Promise<OpenedSignature> =>
  openStored(await findSignature(id));
