/** How the user's letters are set: the type around every signature. Sizes in px. */
import { number, object, string, type InferType } from "yup";
import { hexColor } from "@/core/signature";
import { database } from "../database/database";
import { letterType } from "../database/schema";

export const letterTypeSchema = object({
  font: string().trim().required("The font of your letters needs a name.").max(60),
  size: number().required().min(6).max(72),
  color: string()
    .required()
    .test("hex", "A colour has six hex digits, such as #333333.", (value) => hexColor(value) === null),
});

export type LetterType = InferType<typeof letterTypeSchema>;

/** What most mail is written in, until somebody says otherwise. */
const usual: LetterType = { font: "Arial", size: 14, color: "#333333" };

export async function findLetterType(): Promise<LetterType> {
  const [row] = await (await database()).select().from(letterType).limit(1);
  return row ? letterTypeSchema.validate(JSON.parse(row.facts)) : usual;
}

/** Keeps how letters are set; rejects with a ValidationError that names the field. */
export async function keepLetterType(input: unknown): Promise<LetterType> {
  const facts = await letterTypeSchema.validate(input, { stripUnknown: true });
  const text = JSON.stringify(facts);
  await (
    await database()
  )
    .insert(letterType)
    .values({ id: 1, facts: text })
    .onConflictDoUpdate({ target: letterType.id, set: { facts: text } });
  return facts;
}
