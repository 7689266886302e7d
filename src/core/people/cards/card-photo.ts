/** The photograph of a contact card, which stands in it as base64 (RFC 2426, section 3.1.4; RFC 6350, section 6.2.4; RFC 2397) or at a web address. */

/** Name, parameters, kind of value and values (RFC 7095). */
export type CardProperty = readonly [string, CardParameters, string, ...(string | readonly string[])[]];
export type CardParameters = Readonly<Record<string, string | readonly string[]>>;

export interface CardPhoto {
  /** The ending of a file of its kind, as the card says it: "jpg". What it really is, its bytes say. */
  readonly ending: string;
  /** As it stands there, which may be no base64 at all. */
  readonly base64: string;
}

/** What a card has of a photograph: nothing, one within it, or the address of one. */
export type PhotoInCard = CardPhoto | "elsewhere" | null;

const endingOf = (kind: string): string => {
  const said = kind.toLowerCase().replace(/^image\//, "");
  if (said === "jpeg" || !/^[a-z]{2,5}$/.test(said)) return "jpg";
  return said;
};

/** Of the property of a photograph; null where there is none, or where it is empty. */
export function photoIn(property: CardProperty | undefined): PhotoInCard {
  if (!property) return null;
  const [, { type = "" }, , value] = property;
  const text = [value ?? ""].flat().join("").trim();
  if (text === "") return null;
  const data = /^data:([^;,]*)[^,]*,/i.exec(text);
  if (data) return { ending: endingOf(data[1] ?? ""), base64: text.slice(data[0].length) };
  if (/^[a-z][a-z0-9+.-]*:/i.test(text)) return "elsewhere";
  return { ending: endingOf([type].flat()[0] ?? ""), base64: text };
}
