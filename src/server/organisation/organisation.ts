/** The facts of the organisation that the signatures are for: its name, where it is, and its colours. */
import { array, object, string, type InferType } from "yup";
import { isMapPattern } from "@/core/links";
import { hexColor } from "@/core/signature";
import { database } from "../database/database";
import { organisation } from "../database/schema";

const facts = object({
  name: string().trim().required().max(120),
  web: string().trim().defined().max(200),
  address: string().trim().defined().max(300),
  /** How addresses of its map look, with `{place}` where the place goes; empty where it uses none. */
  map: string()
    .trim()
    .default("")
    .max(300)
    .test(
      "map",
      "A map's pattern is a web address with {place} in it.",
      (value) => !value || isMapPattern(value),
    ),
  event: string().trim().defined().max(200),
  colors: array(
    object({
      name: string().trim().required().max(40),
      hex: string()
        .required()
        .test(
          "hex",
          "A brand colour has six hex digits, such as #3F5B2E.",
          (value) => hexColor(value) === null,
        ),
    }),
  )
    .required()
    .max(24),
});

export type Organisation = InferType<typeof facts>;

/** The organisation, or null before one has been described. */
export async function findOrganisation(): Promise<Organisation | null> {
  const [row] = await (await database()).select().from(organisation).limit(1);
  return row ? facts.validate(JSON.parse(row.facts)) : null;
}

/** Describes the organisation; rejects with a ValidationError that names the field. */
export async function describeOrganisation(input: unknown): Promise<void> {
  const text = JSON.stringify(await facts.validate(input, { stripUnknown: true }));
  await (
    await database()
  )
    .insert(organisation)
    .values({ id: 1, facts: text })
    .onConflictDoUpdate({ target: organisation.id, set: { facts: text } });
}
