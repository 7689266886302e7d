/** Fields that bodies have in common, checked with Yup. */
import { lazy, object, string, type ObjectSchema, type AnyObject } from "yup";
import { hexColor } from "@/core/signature";

/** Six hex digits; what is missing is left to `required` and `defined`. */
export const colorField = () =>
  string().test(
    "hex",
    "A colour has six hex digits, such as #3F5B2E.",
    (value) => value === undefined || value === null || hexColor(value) === null,
  );

/** The hash of content that is kept here. */
export const hashField = (complaint: string) =>
  string()
    .required()
    .matches(/^[0-9a-f]{20}$/, complaint);

/** One of several objects, told apart by the field `tag`; each of `kinds` is checked by its own schema. */
export const taggedField = (tag: string, kinds: Readonly<Record<string, ObjectSchema<AnyObject>>>) =>
  lazy((value: Readonly<Record<string, unknown>> | undefined) => {
    const name = value?.[tag];
    const known = typeof name === "string" && Object.hasOwn(kinds, name) ? kinds[name] : undefined;
    return known ?? object({ [tag]: string().required().oneOf(Object.keys(kinds)) });
  });
