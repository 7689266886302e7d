/** The faces that a document has drawn with, as rules that hold their files: a picture of it loads nothing. */
import { dataAddress } from "../../parts/files/data-address";

const addressIn = /url\((["']?)([^"')]+)\1\)/;

const fileAt = async (address: string): Promise<Blob> => (await fetch(address)).blob();

/** What tells one face of a family from another, as font-face rules and loaded faces both write it. */
const faceKey = (family: string, style: string, weight: string, range: string): string =>
  [family.replace(/["']/g, ""), style, weight, range.replace(/\s/g, "").toUpperCase()].join("|");

export async function drawnFonts(drawn: Document): Promise<string> {
  const loaded = new Set(
    [...drawn.fonts]
      .filter(({ status }) => status === "loaded")
      .map(({ family, style, weight, unicodeRange }) => faceKey(family, style, weight, unicodeRange)),
  );
  const FontFaceRule = drawn.defaultView!.CSSFontFaceRule;
  const rules = [...drawn.styleSheets].flatMap((sheet) =>
    [...sheet.cssRules].flatMap((rule) => {
      if (!(rule instanceof FontFaceRule)) return [];
      const said = (name: string): string => rule.style.getPropertyValue(name);
      const key = faceKey(
        said("font-family"),
        said("font-style"),
        said("font-weight"),
        said("unicode-range"),
      );
      return loaded.has(key) ? [rule.cssText] : [];
    }),
  );
  return (
    await Promise.all(
      rules.map(async (rule) => {
        const address = addressIn.exec(rule)?.[2];
        return address ? rule.replace(addressIn, `url("${await dataAddress(await fileAt(address))}")`) : rule;
      }),
    )
  ).join("\n");
}
