import { endpoints } from "@/contract";
import { takePictureIn } from "@/server/addresses/take-in";
import { handle } from "@/server/http/handle";

export const POST = handle(endpoints.takePictureIn, async ({ body }) => takePictureIn(body.address));
