/** The fields of the user's own, and what was chosen for the columns of lists. */
import { asc, eq } from "drizzle-orm";
import { chosenColumns, type ChosenColumns } from "@/contract";
import { fieldLabel, fieldNames, ownFieldOf, type FieldKind, type OwnField } from "@/core/people";
import { database } from "../database/database";
import { ownFields } from "../database/schema";
import { Refusal } from "../http/refusal";
import { setting } from "../settings/settings";

/** The most that there are. */
const most = 40;

/** In the order in which they were added. */
export async function listOwnFields(): Promise<readonly OwnField[]> {
  const rows = await (await database()).select().from(ownFields).orderBy(asc(ownFields.createdAt));
  return rows.map(({ id }) => id as OwnField);
}

/** Refuses a name that a field has already, whatever its kind. */
export async function addOwnField(kind: FieldKind, name: string): Promise<readonly OwnField[]> {
  const field = ownFieldOf(kind, name);
  const known = await listOwnFields();
  const called = fieldLabel(field).toLowerCase();
  if ([...fieldNames, ...known].some((each) => fieldLabel(each).toLowerCase() === called))
    throw new Refusal(422, "name-taken", `There is a field “${fieldLabel(field)}” already.`);
  if (known.length >= most)
    throw new Refusal(422, "too-many-fields", `A directory has at most ${most} fields of its own.`);
  await (await database()).insert(ownFields).values({ id: field, createdAt: Date.now() });
  return listOwnFields();
}

/** What people have in it stays with them, and is there again once it is added again. */
export async function removeOwnField(field: OwnField): Promise<readonly OwnField[]> {
  await (await database()).delete(ownFields).where(eq(ownFields.id, field));
  return listOwnFields();
}

const kept = setting("columns of lists", chosenColumns);

export const findChosenColumns = async (): Promise<ChosenColumns["columns"]> =>
  (await kept.find())?.columns ?? [];

/** Remembers what was chosen, the newest first; the oldest are forgotten. */
export async function keepChosenColumns(chosen: ChosenColumns["columns"]): Promise<void> {
  const now = new Set(chosen.map(({ key }) => key));
  const before = (await findChosenColumns()).filter(({ key }) => !now.has(key));
  await kept.keep({ columns: [...chosen, ...before].slice(0, 300) });
}
