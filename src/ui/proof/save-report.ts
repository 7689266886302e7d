/** The proofs and findings of a signature as one file, made here from what was measured. */
import { proofReport, type Finding } from "@/core/checks";
import { standIns, type Proof } from "@/core/clients";
import { stillDefinition } from "@/core/layout";
import { localPictures } from "../parts/drawing/local-pictures";
import { dataAddress } from "../parts/files/data-address";
import type { Measured } from "../signature/stillness/measure-proofs";
import { keyText } from "../signature/stillness/proof-keys";
import { notesOf, saidOf } from "../signature/stillness/said";
import { stillness } from "../signature/stillness/stillness-of";

interface Reported {
  readonly name: string;
  readonly person: string;
  readonly base: string;
  readonly proofs: readonly Proof[];
  readonly measured: Measured;
  readonly findings: readonly Finding[];
}

/** Pictures as `data:` addresses, by the addresses that they are drawn from; those that cannot be had are left out. */
async function pictures(addresses: ReadonlySet<string>): Promise<ReadonlyMap<string, string>> {
  const found = await Promise.all(
    [...addresses]
      .filter((address) => !address.startsWith("file:"))
      .map(async (address) => {
        try {
          const answer = await fetch(address.replaceAll("&amp;", "&"));
          const bytes = answer.ok ? await answer.blob() : null;
          return bytes?.type.startsWith("image/") ? [[address, await dataAddress(bytes)] as const] : [];
        } catch {
          return [];
        }
      }),
  );
  return new Map(found.flat());
}

const sourcePattern = / src="([^"]+)"/g;

export async function makeReport({
  name,
  person,
  base,
  proofs,
  measured,
  findings,
}: Reported): Promise<string> {
  const drawn = proofs.map((proof) => ({
    ...proof,
    html: localPictures(proof.html, base, standIns[proof.client].loops),
  }));
  const addresses = new Set(
    drawn.flatMap(({ html }) => [...html.matchAll(sourcePattern)].map(([, address = ""]) => address)),
  );
  const data = await pictures(addresses);
  const { still, all } = stillness(measured);
  return proofReport({
    name,
    person,
    day: new Intl.DateTimeFormat("en-GB", { dateStyle: "long" }).format(new Date()),
    stillness: `Still in ${still} of ${all}`,
    definition: stillDefinition,
    findings,
    proofs: drawn.map((proof) => {
      const known = measured.get(keyText(proof));
      return {
        ...proof,
        html: proof.html.replace(sourcePattern, (_whole, address: string) => {
          const bytes = data.get(address);
          return bytes ? ` src="${bytes}"` : "";
        }),
        still: known?.still ?? false,
        said: known ? [saidOf(known), ...notesOf(known)].join("; ") : "not measured",
      };
    }),
  });
}
