import { object, string } from "yup";
import { forgetForeignPicture, lookAtAddress } from "@/server/addresses/foreign-pictures";
import { readBody, route } from "@/server/http/route";

const asked = object({
  address: string()
    .trim()
    .required("Paste an address.")
    .max(2000, "An address has at most 2,000 characters."),
});

/** Looks at an address, and keeps what was found. */
export const POST = route(async (request) => ({
  report: await lookAtAddress((await readBody(request, asked)).address),
}));

export const DELETE = route(async (request) =>
  forgetForeignPicture((await readBody(request, asked)).address),
);
