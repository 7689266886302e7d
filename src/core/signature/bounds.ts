/** How large a document may be: far more than any signature needs, and little enough to be drawn while somebody types. */

/** Parts of a document, its runs of text among them. */
export const mostParts = 2000;
/** UTF-16 units of its JSON. */
const longest = 400 * 1024;
/** How deep values may lie in its JSON; two levels of tables need far less. */
const deepest = 60;

/** Why some JSON is too large for a document, as a sentence; null where it is not. Safe at any size and depth. */
export function outgrown(json: object): string | null {
  const tooLarge = `A signature has at most ${mostParts.toLocaleString("en")} parts and 400 KB of JSON. Nothing was changed.`;
  let parts = 1;
  const waiting: { readonly value: unknown; readonly depth: number }[] = [{ value: json, depth: 0 }];
  for (let one = waiting.pop(); one; one = waiting.pop()) {
    const { value, depth } = one;
    if (typeof value !== "object" || value === null) continue;
    if ("content" in value && Array.isArray(value.content)) parts += value.content.length;
    if (depth > deepest || parts > mostParts) return tooLarge;
    for (const inside of Object.values(value)) waiting.push({ value: inside, depth: depth + 1 });
  }
  return JSON.stringify(json).length > longest ? tooLarge : null;
}
