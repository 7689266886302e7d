import { array, object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { removePictures, restorePictures } from "@/server/pictures/unused";

const named = object({
  cuts: array(string().required().max(120)).required().max(5000),
  originals: array(
    string()
      .required()
      .matches(/^[0-9a-f]{20}$/),
  )
    .required()
    .max(5000),
});

/** Removes; what was removed is answered, and taken back with PUT. */
export const POST = route(async (request) => ({
  removed: await removePictures(await readBody(request, named)),
}));

export const PUT = route(async (request) => restorePictures(await readBody(request, named)));
