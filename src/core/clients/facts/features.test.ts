import { describe, expect, it } from "vitest";
import {
  attributeFeature,
  declarationFeatures,
  pictureFeatures,
  readPictureAddress,
  supportOf,
} from "./features";

describe("features of the support table", () => {
  it.each([
    ["border-left", "thin solid #000", ["css-border"]],
    ["border-block-start-color", "red", ["css-border"]],
    ["border-collapse", "collapse", ["css-border-collapse"]],
    ["border-start-start-radius", "0", ["css-border-radius"]],
    ["padding-top", "4px", ["css-padding", "css-unit-px"]],
    ["padding-inline-end", "0", ["css-padding"]],
    ["margin-inline", "-0.5EM", ["css-margin", "css-unit-em"]],
    ["overflow-wrap", "anywhere", ["css-word-wrap"]],
    ["overflow-inline", "hidden", ["css-overflow"]],
    ["max-inline-size", "100%", ["css-max-width", "css-unit-percent"]],
    ["font", "bold 13px Arial", ["css-font", "css-font-size", "css-font-weight", "css-unit-px"]],
    ["--ink", "#123", ["css-variables"]],
    ["color", "#12345678", ["css-rgba"]],
    ["color", "OKLCH(43% 0.06 190)", ["css-modern-color", "css-unit-percent"]],
    ["display", "flex", ["css-display", "css-display-flex"]],
    ["color", "rgba(0,0,0,.5)", ["css-rgba"]],
    ["background", "url(x.png)", ["css-background", "css-background-image"]],
    ["width", "2rem", ["css-width", "css-unit-rem"]],
    ["mso-line-height-rule", "exactly", []],
  ])("%s:%s needs %j", (property, value, features) =>
    expect(declarationFeatures(property, value)).toEqual(features),
  );

  it.each([
    ["https://a.example/x.SVG?1", { format: "svg", embedded: false }, ["image-svg"]],
    ["https://a.example/x", { format: "", embedded: false }, []],
    [" DATA:image/webp;base64,AA", { format: "webp", embedded: true }, ["image-webp", "image-base64"]],
    ["data:text/html,x", { format: "", embedded: true }, ["image-base64"]],
  ])("of the picture %s", (address, picture, features) => {
    expect(readPictureAddress(address)).toEqual(picture);
    expect(pictureFeatures(picture)).toEqual(features);
  });

  it("are looked up by kind of client", () => {
    expect(supportOf("css-border-radius", "webmail-inline")).toBe("yes");
    expect(supportOf("css-border-radius", "desktop-document")).toBe("no");
    expect(attributeFeature("role")).toBe("html-role");
    expect(attributeFeature("data-x")).toBeNull();
  });
});
