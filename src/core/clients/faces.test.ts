import { describe, expect, it } from "vitest";
import { facesFallingIn, faceSeen, seenFaceRules, standIns } from "./index";

const desktop = standIns["desktop-open"];
const plainPhone = standIns["phone-maker"];

describe("the face that a recipient sees", () => {
  it("is the font that was asked for where it is installed", () => {
    expect(faceSeen(desktop, "Georgia")).toEqual({ name: "Georgia", drawnWith: "gelasio" });
    expect(faceSeen(standIns["phone-system"], "Georgia").name).toBe("Georgia");
  });

  it("is the next of its stack where it is not, and at last what the machine has for its generic", () => {
    expect(faceSeen(standIns["phone-system"], "Tahoma").name).toBe("Verdana");
    expect(faceSeen(plainPhone, "Georgia")).toEqual({ name: "its own serif", drawnWith: "tinos" });
    expect(faceSeen(plainPhone, "Courier New").drawnWith).toBe("cousine");
  });

  it("is Arial's for a font that nobody has", () => {
    expect(faceSeen(desktop, "Fenland Sans").drawnWith).toBe("arimo");
  });

  it("may be tried without the font: the next face, or the widest that might fall in", () => {
    expect(faceSeen(desktop, "Georgia", "next").name).toBe("Times New Roman");
    expect(faceSeen(desktop, "Arial", "widest").drawnWith).toBe("dejavu-sans");
  });
});

describe("what a frame is drawn with", () => {
  const html = `<p style="font-family:Georgia,'Times New Roman',serif">Ada</p>`;

  it("is told for the families that are there, and only where that differs", () => {
    expect(seenFaceRules(desktop, html, "installed", "/fonts")).toBe("");
    const rules = seenFaceRules(plainPhone, html, "installed", "/fonts");
    expect(rules).toContain('font-family:"Georgia"');
    expect(rules).toContain("/fonts/tinos-latin-400-normal.woff2");
    expect(rules).not.toContain('font-family:"Arial"');
    expect(rules).not.toContain('font-family:"Times New Roman"');
  });

  it("is said by name", () => {
    expect(facesFallingIn(plainPhone, html, "installed")).toEqual([
      { family: "Georgia", seen: "its own serif" },
    ]);
    expect(facesFallingIn(desktop, html, "installed")).toEqual([]);
  });
});
