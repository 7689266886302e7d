/** Links to a place: `geo:` (RFC 5870), or a map service of the user's own choosing by the pattern of its addresses. */

export type Place =
  | { readonly kind: "address"; readonly address: string }
  /** Degrees, WGS 84. */
  | { readonly kind: "coordinates"; readonly latitude: number; readonly longitude: number };

/** Where the place goes in a pattern such as `https://fenmap.example/?at={place}`. */
const slot = "{place}";

/** Whether a pattern names a web page and one slot for the place. */
export const isMapPattern = (pattern: string): boolean =>
  /^https?:\/\/[^\s{}]+\{place\}[^\s{}]*$/i.test(pattern);

/** Coordinates as people write them: `52.4712, 0.1093`; null when they are none. */
export function readCoordinates(text: string): Extract<Place, { kind: "coordinates" }> | null {
  const found = /^\s*(?:geo:)?\s*(-?\d{1,2}(?:\.\d+)?)\s*[,;\s]\s*(-?\d{1,3}(?:\.\d+)?)\s*$/i.exec(text);
  if (!found) return null;
  const [latitude, longitude] = [Number(found[1]), Number(found[2])];
  return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180
    ? { kind: "coordinates", latitude, longitude }
    : null;
}

/** A place from what is typed: coordinates, or else an address. */
export const readPlace = (typed: string): Place =>
  readCoordinates(typed) ?? { kind: "address", address: typed.trim().replace(/\s+/g, " ") };

const placeText = (place: Place): string =>
  place.kind === "address" ? place.address : `${place.latitude},${place.longitude}`;

/** The address of a place on the service with a pattern; null for a pattern without its slot or an empty place. */
export function buildMap(pattern: string, place: Place): string | null {
  const text = placeText(place).trim();
  if (!isMapPattern(pattern) || text === "") return null;
  return pattern.replace(slot, () => encodeURIComponent(text.toWellFormed()));
}

/** The place that an address of the service shows; null when it is none of its addresses. */
export function parseMap(pattern: string, href: string): Place | null {
  if (!isMapPattern(pattern)) return null;
  const at = pattern.indexOf(slot);
  const before = pattern.slice(0, at);
  const after = pattern.slice(at + slot.length);
  if (!href.startsWith(before) || !href.endsWith(after) || href.length <= before.length + after.length)
    return null;
  try {
    return readPlace(decodeURIComponent(href.slice(before.length, href.length - after.length)));
  } catch {
    return null;
  }
}
