import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { hostCalendar } from "@/server/links/hosted-files";

const text = (most: number, what: string) =>
  string().default("").max(most, `${what} has at most ${most} characters.`);

const event = object({
  title: text(120, "A title"),
  start: text(20, "A beginning"),
  end: text(20, "An end"),
  place: text(300, "A place"),
  description: text(2000, "A description"),
});

/** Hosts a calendar file of an event. */
export const POST = route(async (request) => ({ href: await hostCalendar(await readBody(request, event)) }));
