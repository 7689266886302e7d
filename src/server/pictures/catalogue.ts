/** Originals with their cuts and where each is used, as the Pictures views list them. */
import { parseSignature, picturesOf } from "@/core/signature";
import { listSignatures } from "../signatures/signatures";
import { listCuts, listOriginals, type Cut, type Original } from "./pictures";

export interface CatalogueCut extends Cut {
  /** Names of the signatures that use it. */
  readonly usedIn: readonly string[];
}

export interface CatalogueEntry {
  readonly original: Original;
  readonly cuts: readonly CatalogueCut[];
}

/** Everything, newest first. */
export async function pictureCatalogue(): Promise<readonly CatalogueEntry[]> {
  const [originals, cuts, signatures] = await Promise.all([listOriginals(), listCuts(), listSignatures()]);
  const users = new Map<string, Set<string>>();
  for (const { name, document } of signatures)
    for (const { node } of picturesOf(parseSignature(document))) {
      const source = node.attrs.source as string;
      users.set(source, (users.get(source) ?? new Set()).add(name));
    }
  return originals.map((original) => ({
    original,
    cuts: cuts
      .filter(({ originalHash }) => originalHash === original.hash)
      .map((cut) => ({ ...cut, usedIn: [...(users.get(cut.source) ?? [])] })),
  }));
}
