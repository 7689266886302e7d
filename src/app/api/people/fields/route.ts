import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { addOwnField, removeOwnField } from "@/server/people/own-fields";

export const POST = handle(endpoints.addOwnField, async ({ body }) => ({
  fields: await addOwnField(body.kind, body.name),
}));

export const DELETE = handle(endpoints.removeOwnField, async ({ body }) => ({
  fields: await removeOwnField(body.field),
}));
