import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { buildCard, emptyPerson } from "../people";
import {
  buildCalendar,
  contentLines,
  escapeValue,
  publicFile,
  readHostedFile,
  type CalendarEvent,
} from "./index";

const event: CalendarEvent = {
  title: "Open Store Weekend",
  start: "2027-06-12",
  end: "2027-06-13",
  place: "The Old Malthouse, 3 Sluice Lane; Harrow Fen",
  description: "Bring a jar.\nTake seed home.",
};
const stamp = Date.UTC(2026, 0, 1);
const linesOf = (given: Partial<CalendarEvent>): string[] => {
  const built = buildCalendar({ ...event, ...given }, "seed@harrowfen.example", stamp);
  if (!built.ok) throw new Error(built.message);
  return built.file.replaceAll("\r\n ", "").split("\r\n");
};

describe("a calendar file", () => {
  it("has the event's lines, whole days ending before the day after", () => {
    expect(linesOf({})).toEqual([
      "BEGIN:VCALENDAR",
      "VERSION:2.0",
      "PRODID:-//Still Line//EN",
      "METHOD:PUBLISH",
      "BEGIN:VEVENT",
      "UID:seed@harrowfen.example",
      "DTSTAMP:20260101T000000Z",
      "DTSTART;VALUE=DATE:20270612",
      "DTEND;VALUE=DATE:20270614",
      "SUMMARY:Open Store Weekend",
      String.raw`LOCATION:The Old Malthouse\, 3 Sluice Lane\; Harrow Fen`,
      String.raw`DESCRIPTION:Bring a jar.\nTake seed home.`,
      "END:VEVENT",
      "END:VCALENDAR",
      "",
    ]);
  });

  it("keeps times as the clock shows them, and takes an hour where no end is said", () => {
    const lines = linesOf({ start: "2027-06-12T23:30", end: "" });
    expect(lines).toContain("DTSTART:20270612T233000");
    expect(lines).toContain("DTEND:20270613T003000");
  });

  it.each<[message: string, given: Partial<CalendarEvent>]>([
    ["Give the event a title.", { title: " " }],
    ["Say on which day it begins, such as 2027-06-12.", { start: "12 June" }],
    ["Say on which day it begins, such as 2027-06-12.", { start: "2027-02-30" }],
    ["Say on which day it ends, such as 2027-06-13.", { end: "later" }],
    ["Give both its beginning and its end a time, or neither.", { end: "2027-06-13T10:00" }],
    ["It ends before it begins.", { end: "2027-06-01" }],
  ])("is refused: %s", (message, given) =>
    expect(buildCalendar({ ...event, ...given }, "uid", stamp)).toEqual({ ok: false, message }),
  );
});

describe("content lines", () => {
  it("have at most 75 octets, lose nothing, and cannot be broken out of", () => {
    fc.assert(
      fc.property(fc.string({ unit: "binary", maxLength: 300 }), (text) => {
        const file = contentLines([`X:${escapeValue(text)}`, "END:X"]);
        const lines = file.split("\r\n");
        for (const line of lines) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
        const unfolded = file.replaceAll("\r\n ", "").split("\r\n");
        expect(unfolded).toHaveLength(3);
        expect(unfolded[0]).toBe(`X:${escapeValue(text)}`);
      }),
    );
  });
});

describe("a contact card", () => {
  const ada = {
    ...emptyPerson,
    name: "Ada Brook",
    title: "Curator; seeds",
    organisation: "Harrow Fen Seed Library",
    department: "Collections",
    phone: "+44 1632 960142",
    mail: "ada@harrowfen.example",
    web: "harrowfen.example",
    address: "The Old Malthouse, 3 Sluice Lane",
  };
  it("has a line for each field that is known", () => {
    expect(buildCard(ada).replaceAll("\r\n ", "").split("\r\n")).toEqual([
      "BEGIN:VCARD",
      "VERSION:4.0",
      "FN:Ada Brook",
      "N:Brook;Ada;;;",
      String.raw`TITLE:Curator\; seeds`,
      "ORG:Harrow Fen Seed Library;Collections",
      'TEL;VALUE=uri;TYPE="work,voice":tel:+441632960142',
      "EMAIL;TYPE=work:ada@harrowfen.example",
      "URL:https://harrowfen.example",
      String.raw`ADR;TYPE=work:;;The Old Malthouse\, 3 Sluice Lane;;;;`,
      "END:VCARD",
      "",
    ]);
  });

  it("leaves out what is empty or no address, and needs a name", () => {
    const card = buildCard({ ...emptyPerson, name: "Zoë", mail: "nonsense", phone: "later" });
    expect(card).toBe("BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Zoë\r\nN:;Zoë;;;\r\nEND:VCARD\r\n");
    expect(() => buildCard(emptyPerson)).toThrow(RangeError);
  });
});

describe("the name of a hosted file", () => {
  it.each([
    ["Open Store Weekend.ics", "open-store-weekend.ics"],
    ["Zoë Ngata.VCF", "zoe-ngata.vcf"],
    ["../../etc/passwd.txt", "etc-passwd.txt"],
    ["种子.pdf", "file.pdf"],
    ["page.html", null],
    ["run.exe", null],
    ["picture.svg", null],
    ["nothing", null],
  ])("of %s is %s", (name, hosted) => expect(publicFile(name)).toBe(hosted));

  it("is told from a picture's", () => {
    const hash = "0123456789abcdef0123";
    expect(readHostedFile(`/h/${hash}/dates.ics`)).toEqual({ hash, fileName: "dates.ics" });
    for (const path of [
      `/h/${hash}/logo.png`,
      `/h/${hash}/page.html`,
      "/h/x/dates.ics",
      `/h/${hash}/toString.constructor`,
    ])
      expect(readHostedFile(path)).toBeNull();
  });
});
