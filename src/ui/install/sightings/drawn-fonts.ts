/** The faces that a document has drawn with, as rules that hold their files: a picture of it loads nothing. */

const addressIn = /url\((["']?)([^"')]+)\1\)/;

async function dataAddress(address: string): Promise<string> {
  const bytes = await (await fetch(address)).blob();
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(reader.error ?? new Error(`${address} could not be read`));
    reader.readAsDataURL(bytes);
  });
}

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
        return address ? rule.replace(addressIn, `url("${await dataAddress(address)}")`) : rule;
      }),
    )
  ).join("\n");
}
