/** How the organisation writes its phone numbers. */
import { randomUUID } from "node:crypto";
import { typedPhones, type PhoneForm } from "@/core/people";
import { database } from "../database/database";
import { Refusal } from "../http/refusal";
import { keptPhoneForm, writeStamp } from "./directory";

export const findPhoneForm = async (): Promise<PhoneForm> => (await keptPhoneForm.find()) ?? typedPhones;

/** Refuses numbers of a country that is not said. */
export async function keepPhoneForm(form: PhoneForm): Promise<PhoneForm> {
  if (form.style === "national" && form.callingCode === "")
    throw new Refusal(
      422,
      "no-country",
      "Say which country’s numbers are written without their code, such as 44.",
    );
  await keptPhoneForm.keep(form);
  await writeStamp(await database(), randomUUID());
  return form;
}
