import { object, string } from "yup";
import { notFound } from "@/server/http/refusal";
import { readBody, route } from "@/server/http/route";
import { findCuts } from "@/server/pictures/cuts";
import { swapPicture } from "@/server/signatures/signatures";

const asked = object({ from: string().required().max(2000), to: string().required().max(2000) });

/** Puts a cut in the place of a picture, wherever the signature shows it. */
export const PUT = route<{ id: string }>(async (request, { id }) => {
  const { from, to } = await readBody(request, asked);
  const [cut] = await findCuts([to]);
  if (!cut) throw notFound("cut");
  await swapPicture(id, from, cut);
});
