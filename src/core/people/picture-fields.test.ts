import { describe, expect, it } from "vitest";
import fc from "fast-check";
import { changePerson, personChange } from "./change-person";
import { emptyPerson, fieldId, ownFieldOf, pictureField, wordField, wordFieldNames } from "./fields";
import { initialsOf } from "./initials";
import { readPictureDetail, writePictureDetail } from "./picture-detail";
import { readPerson } from "./read-person";
import { drawnPerson } from "./phone-form";

const hash = "0123456789abcdef0123";

describe("what is in a picture field", () => {
  it("is a photograph and the square of it that shows, as one text", () => {
    const detail = { original: hash, focus: { x: 420, y: 380, side: 520 } };
    expect(writePictureDetail(detail)).toBe(`${hash} 420 380 520`);
    expect(readPictureDetail(`${hash} 420 380 520`)).toEqual(detail);
  });

  it("comes back as it was written, whatever it is", () => {
    const whole = fc.nat(12_000);
    fc.assert(
      fc.property(whole, whole, fc.integer({ min: 1, max: 12_000 }), (x, y, side) => {
        const detail = { original: hash, focus: { x, y, side } };
        expect(readPictureDetail(writePictureDetail(detail))).toEqual(detail);
      }),
    );
  });

  it.each([
    "",
    "portrait.jpg",
    `${hash}`,
    `${hash} 1 2`,
    `${hash} 1 2 0`,
    `${hash} -1 2 3`,
    `x${hash} 1 2 3`,
  ])("is not %j", (value) => expect(readPictureDetail(value)).toBeNull());

  it("is refused where it is anything else, and words are where they are words", () => {
    expect(() => readPerson({ name: "Ada", portrait: "ada.jpg" })).toThrow(
      "person, portrait: must be a picture of the library",
    );
    const change = (to: object) => personChange.check({ id: "ada", from: {}, to });
    expect(change({ portrait: "ada.jpg" })).toContain("portrait: must be a picture");
    expect(change({ portrait: `${hash} 1 2 3`, name: `${hash} 1 2 3` })).toBeNull();
    expect(change({ portrait: "" })).toBeNull();
  });

  it("is changed and emptied like any other detail", () => {
    const ada = { ...emptyPerson, name: "Ada" };
    const with_ = changePerson(ada, { id: "ada", from: { portrait: "" }, to: { portrait: `${hash} 1 2 3` } });
    expect(with_?.portrait).toBe(`${hash} 1 2 3`);
    expect(changePerson(with_, { id: "ada", from: {}, to: { portrait: "" } })).toEqual(ada);
  });

  it("is no field of words, and no words are one of pictures", () => {
    const badge = ownFieldOf("picture", "Badge");
    expect(wordFieldNames).not.toContain("portrait");
    expect(["portrait", badge].map((field) => pictureField.check(field))).toEqual([null, null]);
    expect(["portrait", badge].map((field) => wordField.check(field) === null)).toEqual([false, false]);
    expect([pictureField.check("title") === null, wordField.check("title")]).toEqual([false, null]);
    expect(fieldId.check(badge)).toBeNull();
  });

  it("goes with the pictures that were made of somebody, which are hosted", () => {
    const pictures = { key: `/h/${hash}/ada.png` };
    expect(readPerson({ name: "Ada", pictures }).pictures).toEqual(pictures);
    expect(() => readPerson({ pictures: { key: "https://sedgeweb.example/a.png" } })).toThrow(RangeError);
    const form = { style: "national", extension: true, callingCode: "44" } as const;
    expect(drawnPerson(readPerson({ name: "Ada", pictures }), form).pictures).toEqual(pictures);
  });
});

describe("initials", () => {
  it.each([
    ["Tamsin Okafor", "TO"],
    ["Aurélien Dubreuil-Sévigny", "AD"],
    ["Ravindra Chandrasekharan Iyer", "RI"],
    ["Dr. Ada Quill (Archive)", "AQ"],
    ["Jo", "J"],
    ["éva ångström", "ÉÅ"],
    ["Ελένη Μάρκου", "ΕΜ"],
    ["佐藤 陽菜", "佐"],
    ["박민서", "박"],
    ["ليلى منصور", "لم"],
    ["  ", ""],
    ["42", ""],
    ["Quill, Ada", "QA"],
  ])("of %s are %j", (name, letters) => expect(initialsOf(name)).toBe(letters));

  it("are never more than two letters, whatever somebody is called", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme" }), (name) => {
        const letters = [...new Intl.Segmenter("und", { granularity: "grapheme" }).segment(initialsOf(name))];
        expect(letters.length).toBeLessThanOrEqual(4);
      }),
    );
  });
});
