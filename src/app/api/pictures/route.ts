import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { pictureCatalogue } from "@/server/pictures/catalogue";
import { addUpload } from "@/server/pictures/originals";

export const GET = handle(endpoints.listPictures, ({ query }) => pictureCatalogue(query.look));

export const POST = handle(endpoints.addPictures, async ({ file }) => addUpload(file().bytes, file().name));
