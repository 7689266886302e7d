/** The facts of the organisation that the signatures are for: its name, where it is, and its colours. */
import { readInput } from "@/contract/yup-of";
import { isMapPattern } from "@/core/links";
import { color, describeValue, list, maybe, object, words, type TypeOf } from "@/core/values";
import { setting } from "./settings";

/** How addresses of its map look, with `{place}` where the place goes; empty where it uses none. */
const mapPattern = describeValue<string, "map pattern">(
  "map pattern",
  (value) =>
    typeof value === "string" && value.length <= 300 && (value.trim() === "" || isMapPattern(value.trim()))
      ? null
      : "A map's pattern is a web address with {place} in it.",
  (value) => value.trim(),
);

const organisation = object({
  name: words("The organisation's name", 120, "An organisation has a name."),
  web: words("A web address", 200),
  address: words("An address", 300),
  map: maybe(mapPattern),
  event: words("An event", 200),
  colors: list(object({ name: words("A colour's name", 40, "A brand colour has a name."), hex: color }), {
    most: 24,
    what: "colours",
  }),
});

type Facts = TypeOf<typeof organisation>;
export type Organisation = Facts & { readonly map: string };

const kept = setting("organisation", organisation);

/** The organisation, or null before one has been described. */
export async function findOrganisation(): Promise<Organisation | null> {
  const facts = await kept.find();
  return facts && { ...facts, map: facts.map ?? "" };
}

/** Describes the organisation; rejects with a ValidationError that names the field. */
export const describeOrganisation = async (input: unknown): Promise<void> =>
  kept.keep(await readInput(organisation, input));
