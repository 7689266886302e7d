import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { keepSignature } from "@/server/mailroom/mailroom";

const kept = object({ html: string().max(500_000, "This is far too long for a signature.").defined() });

export const PUT = route<{ person: string }>(async (request, { person }) => {
  const { html } = await readBody(request, kept);
  return { html: await keepSignature(person, html) };
});
