import { describe, expect, it } from "vitest";
import { emptyPerson } from "./fields";
import { fillLetter, letterPlaces, unknownPlaces } from "./fill-letter";

const ada = { ...emptyPerson, name: "Ada {Title} Quill", title: "Archivist", "text:Room": "7b" };
const page = "https://mine.harrowfen.example/mine/x";

describe("a letter that is written once", () => {
  it("has each person's details and the address of their page in its places", () => {
    expect(fillLetter("Hello {name}, {TITLE}, room { Room }: {Page}{Phone}", ada, page)).toBe(
      `Hello Ada {Title} Quill, Archivist, room 7b: ${page}`,
    );
  });

  it("keeps what is in braces and means nothing", () => {
    expect(fillLetter("{Colour} {} {a\nb} {", ada, page)).toBe("{Colour} {} {a\nb} {");
  });

  it("is told of places that mean nothing, each once", () => {
    expect(unknownPlaces("{Colour} {Name} {Colour} {Room} {page}", [])).toEqual(["{Colour}", "{Room}"]);
    expect(unknownPlaces("{Room}", ["text:Room"])).toEqual([]);
  });

  it("offers fields of words and the page, and no pictures", () => {
    const places = letterPlaces(["text:Room", "picture:Badge"]);
    expect(places.slice(0, 2)).toEqual(["{Page}", "{Name}"]);
    expect(places).toContain("{Room}");
    expect(places).not.toContain("{Portrait}");
    expect(places).not.toContain("{Badge}");
  });
});
