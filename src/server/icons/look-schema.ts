/** How icons are drawn, as it comes from outside. */
import { object, string } from "yup";
import { iconStyles, type IconLook } from "@/core/icons";
import { hexColor } from "@/core/signature";

const color = () =>
  string().test(
    "hex",
    "A colour has six hex digits, such as #3F5B2E.",
    (value) => value === undefined || value === null || hexColor(value) === null,
  );

export const lookSchema = object({
  style: string().required().oneOf(iconStyles, "There is no such style of icons."),
  color: color().nullable().defined(),
  plate: color().required(),
});

/** Rejects with a ValidationError that says what is wrong. */
export const readLook = async (input: unknown): Promise<IconLook> =>
  (await lookSchema.validate(input, { stripUnknown: true })) as IconLook;
