import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { keepPhoneForm } from "@/server/people/phone-form";

export const PUT = handle(endpoints.keepPhoneForm, async ({ body }) => keepPhoneForm(body));
