import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { sendFrom } from "@/server/mailroom/mailroom";

const message = object({
  toPersonId: string().required("Choose who it goes to."),
  subject: string().max(200, "A subject has at most 200 characters.").defined(),
  html: string().max(1_000_000, "This message is too long.").defined(),
});

export const POST = route<{ person: string }>(async (request, { person }) => {
  await sendFrom(person, await readBody(request, message));
});
