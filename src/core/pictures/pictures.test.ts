import { describe, expect, it } from "vitest";
import { keptApart, publicFileName, sniffType, svgTrouble, typeRefusal } from "./index";

describe("names and addresses", () => {
  it.each([
    ["Zoë Ngata (final) 2.JPEG", "jpeg", "zoe-ngata-final-2.jpg"],
    ["../../etc/passwd", "png", "etc-passwd.png"],
    ["ليلى.png", "png", "picture.png"],
    ["", "png", "picture.png"],
    [`${"long ".repeat(40)}.png`, "png", `${"long-".repeat(12).slice(0, -1)}.png`],
  ] as const)("%j is served as a name that can be read", (name, type, expected) => {
    expect(publicFileName(name, type)).toBe(expected);
  });

  it("of the same kind are kept apart by numbers", () => {
    expect(keptApart(["a.png", "b.png", "A.png", "a.png", "a-2.png", "noend", "noend"])).toEqual([
      "a.png",
      "b.png",
      "A-2.png",
      "a-3.png",
      "a-2-2.png",
      "noend",
      "noend-2",
    ]);
  });
});

describe("the real type of a file", () => {
  const bytes = (...parts: (string | number[])[]): Uint8Array =>
    Uint8Array.from(
      parts.flatMap((part) => (typeof part === "string" ? [...part].map((c) => c.charCodeAt(0)) : part)),
    );

  it.each([
    ["png", bytes([0x89], "PNG\r\n", [0x1a, 0x0a], "rest")],
    ["jpeg", bytes([0xff, 0xd8, 0xff, 0xe0])],
    ["gif", bytes("GIF89a")],
    ["webp", bytes("RIFF", [0, 0, 0, 0], "WEBP")],
    ["avif", bytes([0, 0, 0, 0x20], "ftypavif")],
    ["heic", bytes([0, 0, 0, 0x20], "ftypheic")],
    ["pdf", bytes("%PDF-1.7")],
    ["zip", bytes("PK", [3, 4])],
    ["zip", bytes("PK", [5, 6])],
    ["html", bytes("\n <!DOCTYPE html><html>")],
    ["svg", bytes('<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg">')],
    ["unknown", bytes("hello")],
    ["unknown", bytes()],
  ] as const)("%s is told by its first bytes", (type, start) => expect(sniffType(start)).toBe(type));

  it("that is not taken is refused in one sentence with the file's name", () => {
    expect(typeRefusal("png", "a.png")).toBeNull();
    expect(typeRefusal("gif", "a.png")).toBeNull();
    expect(typeRefusal("heic", "a.png")).toBe(
      "“a.png” is a HEIC photo, which cannot be read here: share or save it as JPEG first.",
    );
    expect(typeRefusal("html", "a.png")).toMatch(/^“a\.png” is a web page and not a picture: /);
    expect(typeRefusal("unknown", "a.png")).toBe(
      "“a.png” is no picture that can be read here: upload a PNG, JPEG, GIF, WebP, AVIF or SVG.",
    );
  });
});

describe("an SVG", () => {
  it.each([
    ['<svg><path d="M0 0"/><use href="#a"/><image href="data:image/png;base64,AA"/></svg>', null],
    ['<svg><script>fetch("https://a.example")</script></svg>', null],
    ['<svg><a href="https://a.example"><path/></a></svg>', null],
    ['<svg><!-- <image href="https://a.example/x.png"/> --></svg>', null],
    ['<svg><image xlink:href="https://a.example/x.png"/></svg>', "external-reference"],
    ["<svg><image href='file:///etc/passwd'/></svg>", "external-reference"],
    ['<svg><use href="other.svg#a"/></svg>', "external-reference"],
    ['<svg><path style="fill:url(https://a.example/x)"/></svg>', "external-reference"],
    ['<svg><path fill="url(#own)"/></svg>', null],
    ["<svg><style>@import url(https://a.example/x.css);</style></svg>", "external-reference"],
    ['<!DOCTYPE svg [<!ENTITY a "b">]><svg>&a;</svg>', "entities"],
    ["<svg", null],
    ["", null],
  ] as const)("%s: %s", (svg, trouble) => expect(svgTrouble(svg)).toBe(trouble));
});
