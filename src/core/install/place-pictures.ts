/** The hosted pictures of compiled HTML named in another way: by their place in a folder, in a message, or by their bytes. */
import { readPicturePath } from "../addresses";
import { escapeAttribute, readTags } from "../html";

export interface KitPicture {
  readonly bytes: Uint8Array;
  /** Such as "image/png". */
  readonly type: string;
}

/** Pictures by their hosted paths. */
export type KitPictures = ReadonlyMap<string, KitPicture>;

interface Mentioned {
  /** Where the value of its `src` stands, quotes included. */
  readonly from: number;
  readonly to: number;
  readonly path: string;
}

/** Every hosted picture that HTML shows from under a base, in its order. */
function mentioned(html: string, base: string): readonly Mentioned[] {
  const under = base.replace(/\/+$/, "");
  return readTags(html).items.flatMap((item): Mentioned[] => {
    if (item.kind !== "void" || item.name !== "img") return [];
    const source = item.attributes.find(({ name }) => name === "src");
    if (!source) return [];
    const written = html.slice(source.from, source.to);
    const address = /^src="([^"]*)"$/.exec(written)?.[1]?.replaceAll("&amp;", "&") ?? "";
    const path = address.startsWith(under) ? address.slice(under.length) : "";
    return readPicturePath(path) ? [{ from: source.from + 4, to: source.to, path }] : [];
  });
}

/** The paths of all hosted pictures that HTML shows from under a base, each once. */
export const pathsIn = (html: string, base: string): readonly string[] => [
  ...new Set(mentioned(html, base).map(({ path }) => path)),
];

/** The HTML with each of them under what `place` answers; null leaves one at its address. */
export function placePictures(html: string, base: string, place: (path: string) => string | null): string {
  let written = "";
  let from = 0;
  for (const each of mentioned(html, base)) {
    const address = place(each.path);
    if (address === null) continue;
    written += `${html.slice(from, each.from)}"${escapeAttribute(address)}"`;
    from = each.to;
  }
  return written + html.slice(from);
}
