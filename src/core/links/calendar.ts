/** An event as a calendar file (iCalendar, RFC 5545), which calendars of every make take in. */
import { object, words, type TypeOf } from "../values";
import { contentLines, escapeValue } from "./content-lines";

export const calendarEvent = object({
  title: words("A title", 120),
  /** `2027-06-12`, or with a time as the clock shows it there, `2027-06-12T10:00`. */
  start: words("A beginning", 20),
  /** As `start`; the last day of whole days is part of the event. Empty is the same day, or an hour later. */
  end: words("An end", 20),
  place: words("A place", 300),
  description: words("A description", 2000),
});
export type CalendarEvent = TypeOf<typeof calendarEvent>;

interface Moment {
  /** Days and minutes as if in UTC, only to count with. */
  readonly date: Date;
  readonly timed: boolean;
}

function readMoment(text: string): Moment | null {
  const found = /^(\d{4})-(\d{2})-(\d{2})(?:T(\d{2}):(\d{2}))?$/.exec(text.trim());
  if (!found) return null;
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0] = found
    .slice(1)
    .map((part) => Number(part ?? 0));
  const date = new Date(Date.UTC(year, month - 1, day, hour, minute));
  const same = date.getUTCMonth() === month - 1 && date.getUTCDate() === day && hour < 24 && minute < 60;
  return same ? { date, timed: found[4] !== undefined } : null;
}

const digits = (date: Date): string => date.toISOString().replace(/[-:]|\.\d+Z$/g, "");

/** A floating time (section 3.3.5): the event is where it is, whatever the reader's time zone. */
const property = (name: string, { date, timed }: Moment): string =>
  timed ? `${name}:${digits(date)}` : `${name};VALUE=DATE:${digits(date).slice(0, 8)}`;

const later = ({ date, timed }: Moment, minutes: number): Moment => ({
  date: new Date(date.getTime() + minutes * 60_000),
  timed,
});

const day = 24 * 60;

export type CalendarResult =
  { readonly ok: true; readonly file: string } | { readonly ok: false; readonly message: string };

/** `stamp` is when it is written; ms since 1970. The same event and stamp give the same bytes. */
export function buildCalendar(event: CalendarEvent, uid: string, stamp: number): CalendarResult {
  const refuse = (message: string): CalendarResult => ({ ok: false, message });
  if (event.title.trim() === "") return refuse("Give the event a title.");
  const start = readMoment(event.start);
  if (!start) return refuse("Say on which day it begins, such as 2027-06-12.");
  const given = event.end.trim() === "" ? null : readMoment(event.end);
  if (event.end.trim() !== "" && !given) return refuse("Say on which day it ends, such as 2027-06-13.");
  if (given && given.timed !== start.timed)
    return refuse("Give both its beginning and its end a time, or neither.");
  // The end of whole days is the first day after them (section 3.6.1).
  const end = start.timed ? (given ?? later(start, 60)) : later(given ?? start, day);
  if (end.date <= start.date) return refuse("It ends before it begins.");
  const text = (name: string, value: string): string[] =>
    value.trim() ? [`${name}:${escapeValue(value.trim())}`] : [];
  return {
    ok: true,
    file: contentLines([
      "BEGIN:VCALENDAR",
      "VERSION:2.0",
      "PRODID:-//Still Line//EN",
      "METHOD:PUBLISH",
      "BEGIN:VEVENT",
      `UID:${escapeValue(uid)}`,
      `DTSTAMP:${digits(new Date(stamp))}Z`,
      property("DTSTART", start),
      property("DTEND", end),
      ...text("SUMMARY", event.title),
      ...text("LOCATION", event.place),
      ...text("DESCRIPTION", event.description),
      "END:VEVENT",
      "END:VCALENDAR",
    ]),
  };
}
