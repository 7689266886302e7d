/** Originals with their cuts and where each is used, as the Pictures views list them. */
import { originalsOfLoop } from "@/core/pictures";
import { listCuts, type Cut } from "./cuts";
import { listOriginals, type Original } from "./originals";
import { usageInSignatures } from "./usage";

export interface CatalogueCut extends Cut {
  /** Names of the signatures that use it. */
  readonly usedIn: readonly string[];
}

export interface CatalogueEntry {
  readonly original: Original;
  readonly cuts: readonly CatalogueCut[];
}

export interface Catalogue {
  /** Newest first. */
  readonly entries: readonly CatalogueEntry[];
  readonly loops: readonly CatalogueCut[];
}

/** Everything; a loop stands by itself, and with the originals that it is made of. */
export async function pictureCatalogue(): Promise<Catalogue> {
  const [originals, cuts, usage] = await Promise.all([listOriginals(), listCuts(), usageInSignatures()]);
  const used = cuts.map((cut) => ({ ...cut, usedIn: [...(usage.get(cut.source) ?? [])] }));
  return {
    entries: originals.map((original) => ({
      original,
      cuts: used.filter(({ originalHash, loop }) =>
        loop ? originalsOfLoop(loop.source).includes(original.hash) : originalHash === original.hash,
      ),
    })),
    loops: used.filter(({ loop }) => loop !== null),
  };
}
