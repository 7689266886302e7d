/** How an organisation writes its phone numbers. What somebody typed is kept as it is; it is written so where it is drawn. */
import { formatNumber } from "../links";
import { choice, complain, describeValue, flag, object, type TypeOf } from "../values";
import { fieldKind, fieldsOf, fieldValue, type Person } from "./fields";

/** A country's calling code (ITU-T E.164), or nothing. */
export const callingCode = describeValue<string, "calling code">("calling code", (value) =>
  typeof value === "string" && /^(?:[1-9]\d{0,2})?$/.test(value)
    ? null
    : typeof value === "string"
      ? "A country’s calling code is one to three digits, such as 44."
      : complain("a calling code", value),
);

export const phoneForm = object({
  style: choice("typed", "international", "national"),
  extension: flag,
  callingCode,
});
export type PhoneForm = TypeOf<typeof phoneForm>;

/** As they were typed, until somebody says otherwise. */
export const typedPhones: PhoneForm = { style: "typed", extension: true, callingCode: "" };

/** The person as signatures show them: their numbers in the organisation's form. The same person where nothing changes. */
export function drawnPerson(person: Person, { style, extension, callingCode: code }: PhoneForm): Person {
  const written =
    style === "typed"
      ? []
      : fieldsOf([person])
          .filter((field) => fieldKind(field) === "phone")
          .map((field) => {
            const typed = fieldValue(person, field);
            return [field, typed && formatNumber(typed, { style, extension, callingCode: code })] as const;
          });
  if (written.length === 0 && code === "") return person;
  return { ...person, ...Object.fromEntries(written), ...(code && { callingCode: code }) };
}
