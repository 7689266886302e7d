/** Originals with their cuts and where each is used, as the Pictures views list them. */
import type { Catalogue } from "@/contract";
import { originalsOfLoop } from "@/core/pictures";
import { listCuts } from "./cuts";
import { listOriginals } from "./originals";
import { usageInSignatures } from "./usage";

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
