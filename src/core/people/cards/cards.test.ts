import fc from "fast-check";
import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { changePerson } from "../change-person";
import { emptyPerson, wordFieldNames, ownFieldOf, type Person } from "../fields";
import { buildWholeCard } from "./build-card";
import type { PhotoInCard } from "./card-photo";
import { holdsCards, readCards } from "./read-cards";

const card = (...lines: string[]): string => ["BEGIN:VCARD", ...lines, "END:VCARD", ""].join("\r\n");
const detailsOf = (text: string) => readCards(text).listed.map(({ details }) => details);

describe("a contact card", () => {
  it("of version 3.0 is read", () => {
    expect(
      detailsOf(
        card(
          "VERSION:3.0",
          "N:Quill;Ada;;;",
          "FN:Ada Quill\\, MSc",
          "ORG:Harrow Fen Seed Library;Germination Lab",
          "TITLE:Head of\\nSeeds",
          "TEL;TYPE=WORK,FAX:+44 1632 960199",
          "TEL;TYPE=WORK,VOICE:+44 1632 960100",
          "item1.TEL;TYPE=CELL:+44 7700 900100",
          "EMAIL;TYPE=INTERNET:old@harrowfen.example",
          "EMAIL;TYPE=INTERNET,PREF:ada@harrowfen.example",
          "ADR;TYPE=WORK:;;3 Sluice Lane;Harrow Fen;;HF1;",
          "URL:https://harrowfen.example",
          "PHOTO;ENCODING=b;TYPE=JPEG:/9j/4AAQ",
        ),
      ),
    ).toEqual([
      {
        name: "Ada Quill, MSc",
        organisation: "Harrow Fen Seed Library",
        department: "Germination Lab",
        title: "Head of Seeds",
        phone: "+44 1632 960100",
        mobile: "+44 7700 900100",
        mail: "ada@harrowfen.example",
        address: "3 Sluice Lane, Harrow Fen, HF1",
        web: "https://harrowfen.example",
      },
    ]);
  });

  it("of version 4.0 has its numbers as addresses, with extensions", () => {
    expect(
      detailsOf(
        card(
          "VERSION:4.0",
          "FN:Ada",
          'TEL;VALUE=uri;TYPE="work,voice":tel:+441632960100;ext=12',
          'TEL;VALUE=uri;PREF=1;TYPE="work,voice":tel:+441632960101',
          "PRONOUNS:she/her",
        ),
      ),
    ).toEqual([{ name: "Ada", phone: "+441632960101", pronouns: "she/her" }]);
  });

  it.each<[string, PhotoInCard]>([
    ["PHOTO;ENCODING=b;TYPE=JPEG:/9j/4AAQ\r\n SkZJRg==", { ending: "jpg", base64: "/9j/4AAQSkZJRg==" }],
    ["PHOTO;TYPE=PNG;ENCODING=b:iVBORw0K", { ending: "png", base64: "iVBORw0K" }],
    ["item1.PHOTO:data:image/webp;base64\\,UklGRg==", { ending: "webp", base64: "UklGRg==" }],
    ["PHOTO:data:,", { ending: "jpg", base64: "" }],
    ["PHOTO;ENCODING=b:no base64 at all", { ending: "jpg", base64: "no base64 at all" }],
    ["PHOTO;VALUE=uri:https://harrowfen.example/ada.jpg", "elsewhere"],
    ["PHOTO;MEDIATYPE=image/png:https://harrowfen.example/ada.png", "elsewhere"],
    ["PHOTO:", null],
    ["NOTE:none", null],
    ["PHOTO;PREF=2;ENCODING=b:AAAA\r\nPHOTO;PREF=1;ENCODING=b:BBBB", { ending: "jpg", base64: "BBBB" }],
  ])("has its photograph: %s", (property, photo) => {
    const { listed } = readCards(card("VERSION:4.0", "FN:Ada", property));
    expect(listed.map((each) => each.photo)).toEqual([photo]);
  });

  it("without a full name has its parts, and says nothing of what it does not hold", () => {
    expect(detailsOf(card("VERSION:3.0", "N:Quill;Ada;;;"))).toEqual([{ name: "Ada Quill" }]);
  });

  it.each([
    ["of version 2.1", card("VERSION:2.1", "FN:Ada"), /version 2\.1, which is not read/],
    [
      "with a line that is none",
      card("VERSION:4.0", "FN:Ada", "rubbish"),
      /“rubbish” is no line of a contact card/,
    ],
    ["that is not closed", "BEGIN:VCARD\nVERSION:4.0\nFN:Ada\n", /END:VCARD is missing/],
  ])("%s is told with its line, and takes no other with it", (_what, text, reason) => {
    const { listed, broken } = readCards(
      `${card("VERSION:4.0", "FN:Bo")}${text}${card("VERSION:4.0", "FN:Cy")}`,
    );
    expect(listed.map(({ details }) => details.name)).toEqual(["Bo", "Cy"]);
    expect(broken).toMatchObject([{ line: 5, reason: expect.stringMatching(reason) as string }]);
  });

  it("never throws, whatever is between its lines", () => {
    const piece = fc.constantFrom(
      "BEGIN:VCARD\n",
      "END:VCARD\n",
      "VERSION:4.0\n",
      "FN:a\n",
      "TEL;TYPE=\n",
      "x\n",
      ':;"',
      " \n",
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 20 }), (pieces) => {
        const text = pieces.join("");
        const { listed, broken } = readCards(text);
        expect(listed.length + broken.length).toBeLessThanOrEqual(text.split("BEGIN:VCARD").length);
      }),
    );
  });

  it("is known by its first line", () => {
    expect(holdsCards("\uFEFFbegin:vcard\r\n")).toBe(true);
    expect(holdsCards("Name,Mail")).toBe(false);
  });
});

describe("a card with everything as it is typed", () => {
  const own = [ownFieldOf("phone", "Direct line"), ownFieldOf("text", 'Room "7", ^floor; 2:3')] as const;
  // A card holds each text on one line, without space around it.
  const value = fc.string({ unit: "grapheme", maxLength: 40 }).map((text) =>
    text
      .toWellFormed()
      .replace(/[\p{Cc}\u2028\u2029\uFEFF]/gu, "")
      .trim(),
  );
  const person = fc
    .record(Object.fromEntries([...wordFieldNames, ...own].map((field) => [field, value])))
    .map((said) =>
      changePerson(emptyPerson, {
        id: "",
        from: null,
        to: { ...(said as Partial<Person>), name: `N ${String(said.name)}`.trim() },
      }),
    );

  it("comes back as the same person", () => {
    fc.assert(
      fc.property(person, (given) => {
        const [details] = detailsOf(buildWholeCard(given ?? emptyPerson));
        expect(changePerson(emptyPerson, { id: "", from: null, to: details ?? {} })).toEqual(given);
      }),
    );
  });

  it("is a card to others as well, with a number that is no number", () => {
    const text = buildWholeCard({
      ...emptyPerson,
      name: "Ada Quill",
      phone: "ask at the desk",
      department: "Lab",
    });
    const [, properties] = ICAL.parse(text) as unknown as [string, [string, object, string, unknown][]];
    const said = Object.fromEntries(properties.map(([name, , , value]) => [name, value]));
    expect(said).toMatchObject({ fn: "Ada Quill", tel: "ask at the desk", org: ["", "Lab"] });
  });

  it("calls who has no name by their address", () => {
    expect(detailsOf(buildWholeCard({ ...emptyPerson, mail: "desk@harrowfen.example" }))).toEqual([
      { name: "desk@harrowfen.example", mail: "desk@harrowfen.example" },
    ]);
  });
});
