import { object, string } from "yup";
import { hostHereAgain, publishPictures } from "@/server/addresses/publish";
import { readBody, route } from "@/server/http/route";

interface Params {
  readonly id: string;
}

const asked = object({ base: string().trim().required("Write the address of the folder.").max(300) });

export const POST = route<Params>(async (request, { id }) =>
  publishPictures(id, (await readBody(request, asked)).base),
);

/** Goes back to Still Line's own addresses. */
export const DELETE = route<Params>(async (_request, { id }) => hostHereAgain(id));
