import { describe, expect, it } from "vitest";
import { blankSignature } from "../signature";
import { compile, destinationIds, fileForms, fileNameOf, fileText } from "./index";

describe("a destination's text as a file", () => {
  it("says its character set in one way: by a mark, by its head, or by being ASCII", () => {
    const document = blankSignature(1, 1);
    for (const destination of destinationIds) {
      const text = compile(document, { destination, person: null, base: "https://pictures.example" });
      const says = text.includes("charset=utf-8");
      const marked = fileText(text, destination).startsWith("\ufeff");
      expect(marked, destination).toBe(!says);
      expect(fileForms[destination].byteOrderMark, destination).toBe(marked);
    }
  });

  it("has a name that every disk takes", () => {
    expect(fileNameOf("Short, for answers", ".htm")).toBe("short-for-answers.htm");
    expect(fileNameOf("  Grüße & Co. ", ".txt")).toBe("gru-e-co.txt");
    expect(fileNameOf("--", ".html")).toBe("signature.html");
    expect(fileNameOf("佐藤", ".html")).toBe("signature.html");
  });
});
