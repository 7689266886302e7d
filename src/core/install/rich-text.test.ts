import { describe, expect, it } from "vitest";
import { blankSignature, settingsOf } from "../signature";
import { richText } from "./rich-text";

const settings = settingsOf(blankSignature(1, 1));

/** What stands between the head and the end. */
const body = (text: string): string => /\\cf1 ([^]*)\\par\}\r\n$/.exec(richText(text, settings))?.[1] ?? "";

describe("rich text", () => {
  it("has the type and the colour of the signature", () => {
    const written = richText("Wren", { ...settings, size: 14, textColor: "#0A141E" });
    expect(written).toContain("\\red10\\green20\\blue30;");
    // 14 px are 10.5 pt, which is 21 half points.
    expect(written).toContain("\\fs21\\cf1 Wren");
  });

  it("escapes what it is written with, and has all other letters by their numbers", () => {
    expect(body("a\\b{c}")).toBe("a\\\\b\\{c\\}");
    expect(body("Søren")).toBe("S\\u248?ren");
    expect(body("佐")).toBe("\\u20304?");
    expect(body("\uFFFD")).toBe("\\u-3?");
  });

  it("has a line for each line, and links for what leads somewhere", () => {
    expect(body("One\nTwo\n")).toBe("One\\line\r\nTwo");
    expect(body("wren@harrowfen.example")).toBe(
      '{\\field{\\*\\fldinst HYPERLINK "mailto:wren@harrowfen.example"}{\\fldrslt wren@harrowfen.example}}',
    );
  });
});
