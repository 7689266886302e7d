import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { checkSignature, type Finding } from "../checks";
import { readPerson } from "../people";
import { blankSignature, parseSignature } from "../signature";
import { toLookAt, type LookedAt } from "./to-look-at";

const read = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const tamsin = readPerson(read("demo/people/tamsin-okafor.json"));
const full = parseSignature(read("demo/signatures/full.json"));

const blank: LookedAt = {
  document: blankSignature(1, 1),
  person: null,
  kind: "webmail",
  form: "full",
  use: "both",
  findings: [],
};
const says = (over: Partial<LookedAt>): readonly string[] =>
  toLookAt({ ...blank, ...over }).map((each) => each.says);

describe("what there is to look at", () => {
  it("of the barest signature is what no stand-in knows", () => {
    expect(toLookAt(blank)).toEqual([
      {
        where: "where it is installed",
        says: "It is still there after the program was closed and opened again.",
      },
      { where: "where it is installed", says: "A new letter begins with it, once." },
      {
        where: "in a letter on a desktop",
        says: "What arrives looks as it does here, its lines broken at the same words.",
      },
      {
        where: "on a phone",
        says: "It needs no scrolling sideways, and nothing in it is blue that is not meant to be.",
      },
      {
        where: "on a phone",
        says: "In the dark every line can be read, and every picture stands out.",
      },
      { where: "in an answer", says: "An answer holds it above the quoted letter, and once." },
      { where: "in an answer", says: "The third answer of a thread is still readable." },
    ]);
  });

  it("names each link with where it leads, and counts the pictures", () => {
    const list = says({ document: full, person: tamsin });
    expect(list).toContain("All 7 pictures show, sharp, and no letter lists them as attachments.");
    expect(list).toContain("“tamsin@harrowfen.example” leads to mailto:tamsin@harrowfen.example.");
    expect(list).toContain("“+44 1632 960118” leads to tel:+441632960118.");
    expect(new Set(list).size).toBe(list.length);
  });

  it("goes by where it stands: nothing of answers under new letters, nothing of new ones under answers", () => {
    expect(says({ use: "new" }).filter((each) => each.includes("nswer"))).toEqual([]);
    const answers = says({ use: "answers", form: "short" });
    expect(answers).not.toContain("A new letter begins with it, once.");
    expect(answers).toContain("An answer holds the short form, above the quoted letter.");
  });

  it("asks of no program whether it kept it where none is known", () => {
    expect(says({ kind: "anything" })[0]).toBe("A new letter begins with it, once.");
  });

  it("takes in what was found, but nothing that will break or is left as it is", () => {
    const finding = (message: string, over: Partial<Finding>): Finding => ({
      ...{ code: "many-lines", position: null, message, severity: "attention", station: "build" },
      ...{ at: "signature", clients: [] },
      ...over,
    });
    const list = says({
      findings: [
        finding("It has 9 lines.", {}),
        finding("Its picture is nowhere.", { severity: "break" }),
        finding("It is wide.", { aside: "All of it is needed." }),
        finding("It has 9 lines.", { severity: "note" }),
      ],
    });
    expect(list.slice(7)).toEqual(["It has 9 lines."]);
    const found = checkSignature(full, { person: tamsin, base: "https://pictures.harrowfen.example" });
    for (const { severity, message } of found)
      expect(says({ document: full, person: tamsin, findings: found }).includes(message)).toBe(
        severity !== "break",
      );
  });
});
