/** How icons are drawn, as it comes from outside. */
import { object, string } from "yup";
import { iconStyles, type IconLook } from "@/core/icons";
import { colorField } from "../http/fields";

const lookSchema = object({
  style: string().required().oneOf(iconStyles, "There is no such style of icons."),
  color: colorField().nullable().defined(),
  plate: colorField().required(),
});

/** Rejects with a ValidationError that says what is wrong. */
export const readLook = async (input: unknown): Promise<IconLook> =>
  (await lookSchema.validate(input, { stripUnknown: true })) as IconLook;
