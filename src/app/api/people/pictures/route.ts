import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { madePictures } from "@/server/people/own-pictures";
import { findCuts } from "@/server/pictures/cuts";

export const POST = handle(endpoints.makeOwnPictures, async ({ body: { name, pictures } }) => {
  const made = await madePictures(pictures.map((picture) => ({ picture, name })));
  return { pictures: Object.fromEntries(made), cuts: await findCuts([...new Set(made.values())]) };
});
