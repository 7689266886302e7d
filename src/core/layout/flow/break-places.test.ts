import { expect, it } from "vitest";
import { breakPlaces, pictureSign } from "./break-places";

/** A text with a bar wherever a line may be broken. */
const broken = (text: string): string => {
  const places = [0, ...breakPlaces(text), text.length];
  return places
    .slice(1)
    .map((end, index) => text.slice(places[index], end))
    .join("¦");
};

it.each([
  ["Head of Collections", "Head ¦of ¦Collections"],
  ["a  b", "a  ¦b"],
  ["Nkemelu-Lind", "Nkemelu-¦Lind"],
  ["960-100 and -5", "960-¦100 ¦and ¦-5"],
  ["why?Because", "why?¦Because"],
  ["really?!", "really?!"],
  ["harrowfen.example/visit", "harrowfen.example/visit"],
  ["store (cold)", "store ¦(cold)"],
  ["store(cold)", "store(cold)"],
  ["x)(y", "x)¦(y"],
  ["foo / bar !", "foo ¦/ ¦bar ¦!"],
])("of %j lines break as browsers break them: %j", (text, as) => {
  expect(broken(text)).toBe(as);
});

it.each([
  ["Ada\u00a0Quill", "Ada\u00a0Quill"],
  ["種子の店", "種¦子¦の¦店"],
  ["種子。", "種¦子。"],
  ["シード（冷）", "シ¦ー¦ド¦（冷）"],
  ["one — two", "one ¦— ¦two"],
  ["one–two", "one–¦two"],
  ["“Ada” Quill", "“Ada” ¦Quill"],
  ["long\u200bword", "long\u200b¦word"],
])("%j goes by Unicode: %j", (text, as) => {
  expect(broken(text)).toBe(as);
});

it("a line may end behind a picture whatever follows, and before it though a space holds to it", () => {
  expect(broken(`a${pictureSign}b`)).toBe(`a¦${pictureSign}¦b`);
  expect(broken(`${pictureSign}\u00a0b`)).toBe(`${pictureSign}¦\u00a0b`);
  expect(broken(`a\u00a0${pictureSign}`)).toBe(`a\u00a0¦${pictureSign}`);
});

it("nothing is broken where there is nothing", () => {
  expect(breakPlaces("")).toEqual([]);
  expect(breakPlaces("x")).toEqual([]);
});
