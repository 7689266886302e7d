import { endpoints } from "@/contract";
import { forgetForeignPicture, lookAtAddress } from "@/server/addresses/foreign-pictures";
import { handle } from "@/server/http/handle";

export const POST = handle(endpoints.lookAtAddress, async ({ body }) => ({
  report: await lookAtAddress(body.address),
}));

export const DELETE = handle(endpoints.forgetAddress, async ({ body }) => forgetForeignPicture(body.address));
