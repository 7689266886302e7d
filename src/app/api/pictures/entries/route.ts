import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { pictureEntries } from "@/server/pictures/catalogue";

export const POST = handle(endpoints.pictureEntries, async ({ body }) => ({
  entries: await pictureEntries(body.hashes),
}));
