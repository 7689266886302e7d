import { describe, expect, it } from "vitest";
import fc from "fast-check";
import { emptyPerson } from "./fields";
import { matchPhotos } from "./match-photos";

const someone = (id: string, name: string, mail = "") => ({ id, person: { ...emptyPerson, name, mail } });
const people = [
  someone("tamsin", "Tamsin Okafor", "tamsin@harrowfen.example"),
  someone("bram", "Bram Üzel", "b.uzel@harrowfen.example"),
  someone("ravi", "Ravindra Chandrasekharan Iyer", "ravi@harrowfen.example"),
  someone("jo", "Jo Li"),
  someone("anna-a", "Anna Abel", "anna.abel@harrowfen.example"),
  someone("anna-b", "Anna Berg", "anna.berg@harrowfen.example"),
  someone("layla", "ليلى منصور", "layla@harrowfen.example"),
];
const whose = (...files: string[]) => matchPhotos(files, people).map(({ id }) => id);

describe("whose photograph a file is", () => {
  it.each([
    ["Tamsin Okafor.jpg", "tamsin"],
    ["portraits/2026/OKAFOR_Tamsin (2).JPG", "tamsin"],
    ["tamsin.png", "tamsin"],
    ["tamsin@harrowfen.example.jpg", "tamsin"],
    ["Headshot-tamsin-okafor-final.jpeg", "tamsin"],
    ["bram-uzel.jpg", "bram"],
    ["B.Uzel.jpg", "bram"],
    ["Ravindra Iyer 03.jpg", "ravi"],
    ["jo_li.webp", "jo"],
    ["anna.berg.jpg", "anna-b"],
    ["layla.jpg", "layla"],
    ["ليلى منصور.jpg", "layla"],
    ["C:\\photos\\Berg, Anna.jpg", "anna-b"],
  ])("%s is %s’s", (file, id) => expect(whose(file)).toEqual([id]));

  it.each(["IMG_2034.jpg", "anna.jpg", "group.jpg", "okaform.jpg", "", ".jpg", "jolly.jpg"])(
    "%j is nobody’s, or could be several people’s",
    (file) => expect(whose(file)).toEqual([null]),
  );

  it("is told by the surest sign first, and nobody gets two", () => {
    expect(whose("tamsin.jpg", "Tamsin Okafor.jpg")).toEqual([null, "tamsin"]);
    expect(whose("Tamsin Okafor 1.jpg", "Tamsin Okafor 2.jpg")).toEqual([null, null]);
    expect(whose("anna.jpg", "anna abel.jpg")).toEqual(["anna-b", "anna-a"]);
    // Whose address ends as another's.
    const alike = [someone("ada", "Ada", "ada@x.example"), someone("jo", "Jo", "jo.ada@x.example")];
    const files = ["jo.ada@x.example.jpg", "ada@x.example.jpg"];
    expect(matchPhotos(files, alike).map(({ id }) => id)).toEqual(["jo", "ada"]);
  });

  it("never throws, keeps the order, and gives nobody two", () => {
    const word = fc.constantFrom("anna", "berg", "Tamsin", "Okafor", "li", "2", "@", ".jpg", "منصور", "/");
    fc.assert(
      fc.property(fc.array(fc.array(word).map((words) => words.join("-"))), (files) => {
        const matched = matchPhotos(files, people);
        expect(matched.map(({ file }) => file)).toEqual(files);
        const ids = matched.flatMap(({ id }) => id ?? []);
        expect(new Set(ids).size).toBe(ids.length);
      }),
    );
  });
});
