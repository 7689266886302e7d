/** Full dark mode: every colour of the message mirrored in lightness, pictures left as they are. */
import { mirrorLightness } from "../../color";
import {
  declarationText,
  parseDeclarations,
  attributeOf,
  setAttribute,
  walkElements,
  type Element,
} from "../../html";
import type { Report } from "../changes";

const colorWords = /#[0-9a-f]{3,8}\b|rgba?\([^)]*\)|hsla?\([^)]*\)/gi;
const colorProperty = /^(color|background(-color)?|border(-(top|right|bottom|left))?(-color)?)$/;

export function mirrorColors(body: Element, report: Report): void {
  walkElements(body, (element) => {
    const style = attributeOf(element, "style");
    if (style)
      setAttribute(
        element,
        "style",
        declarationText(
          parseDeclarations(style).map((declaration) =>
            colorProperty.test(declaration.property)
              ? {
                  ...declaration,
                  value:
                    mirrorLightness(declaration.value) ??
                    declaration.value.replace(colorWords, (color) => mirrorLightness(color) ?? color),
                }
              : declaration,
          ),
        ),
      );
    for (const name of ["bgcolor", "color"]) {
      const value = attributeOf(element, name);
      const mirrored = value && mirrorLightness(value);
      if (mirrored) setAttribute(element, name, mirrored);
    }
  });
  report("colors-mirrored", "every colour", "full dark mode mirrors the lightness of each");
}
