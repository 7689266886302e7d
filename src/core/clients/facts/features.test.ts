import { describe, expect, it } from "vitest";
import { attributeFeature, declarationFeatures, supportOf } from "./features";

describe("features of the support table", () => {
  it.each([
    ["border-left", "1px solid #000", ["css-border"]],
    ["padding-top", "4px", ["css-padding"]],
    ["display", "flex", ["css-display", "css-display-flex"]],
    ["color", "rgba(0,0,0,.5)", ["css-rgba"]],
    ["background", "url(x.png)", ["css-background", "css-background-image"]],
    ["width", "2rem", ["css-width", "css-unit-rem"]],
    ["mso-line-height-rule", "exactly", []],
  ])("%s:%s needs %j", (property, value, features) =>
    expect(declarationFeatures(property, value)).toEqual(features),
  );

  it("are looked up by kind of client", () => {
    expect(supportOf("css-border-radius", "webmail-inline")).toBe("yes");
    expect(supportOf("css-border-radius", "desktop-document")).toBe("no");
    expect(attributeFeature("role")).toBe("html-role");
    expect(attributeFeature("data-x")).toBeNull();
  });
});
