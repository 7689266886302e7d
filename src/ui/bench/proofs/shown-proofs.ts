/** Which proofs stand on the Bench's strip: chosen ones, and the least still of all others. */
import { modes, standInIds, standIns, type ProofKey } from "@/core/clients";
import { keyText } from "../../signature/stillness/proof-keys";
import type { Measured } from "../../signature/stillness/measure-proofs";

/** A place on the strip: always one proof, or whichever is the least still. */
export type Place = ProofKey | "least-still";

const own = (client: ProofKey["client"], mode: ProofKey["mode"]): ProofKey => ({
  client,
  mode,
  account: "own",
});

/** One of each family, and the least still. */
export const ordinaryPlaces: readonly Place[] = [
  own("webmail-inline", "light"),
  own("desktop-document", "light"),
  own("phone-inline-full", "dark"),
  "least-still",
];

/** What the least still ones are while nothing has been measured, or all are still. */
const unmeasured: readonly ProofKey[] = [
  own("webmail-suite", "dark"),
  own("phone-system", "light"),
  own("desktop-fixed", "dark"),
  own("phone-maker", "dark"),
];

const all: readonly ProofKey[] = standInIds.flatMap((client) => modes.map((mode) => own(client, mode)));

/** Every proof that can be chosen, by its name. */
export const placeNames: Readonly<Record<string, string>> = {
  "least-still": "The least still",
  ...Object.fromEntries(all.map((key) => [keyText(key), `${standIns[key.client].name}, ${key.mode}`])),
};

export const placeText = (place: Place): string => (place === "least-still" ? place : keyText(place));

/** Reads what `placesText` wrote; what is not known any more becomes what is ordinary there. */
export function readPlaces(text: string): readonly Place[] {
  const words = text.split(";");
  return ordinaryPlaces.map((ordinary, index) => {
    const word = words[index];
    if (word === "least-still") return word;
    return all.find((key) => keyText(key) === word) ?? ordinary;
  });
}

export const placesText = (places: readonly Place[]): string => places.map(placeText).join(";");

/** The proofs that stand in those places. */
export function proofsIn(places: readonly Place[], measured: Measured | null): readonly ProofKey[] {
  const taken = new Set(places.flatMap((place) => (place === "least-still" ? [] : [keyText(place)])));
  const unstill = measured
    ? [...measured.values()]
        .filter(({ still }) => !still)
        .sort((one, other) => other.unrest - one.unrest)
        .map(({ client, mode, account }): ProofKey => ({ client, mode, account }))
    : [];
  const rest = [...unstill, ...unmeasured, ...all].filter((key) => !taken.has(keyText(key)));
  const next = rest[Symbol.iterator]();
  const used = new Set<string>();
  return places.map((place) => {
    if (place !== "least-still") return place;
    for (const key of next) {
      if (used.has(keyText(key))) continue;
      used.add(keyText(key));
      return key;
    }
    throw new Error("More places than proofs");
  });
}
