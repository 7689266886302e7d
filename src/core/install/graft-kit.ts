/** A signature put into a client's own file: that file again, and the pictures that lie beside it. */
import type { Node } from "prosemirror-model";
import { publicAddress } from "../addresses";
import { readTags } from "../html";
import { grafted, type GraftedPicture, type GraftPlace, type HostFile, type HostForm } from "../graft";
import type { PicturesIn } from "../install-kinds";
import { withDensity } from "../pictures";
import type { DestinationId } from "../signature";
import { carried, densityOfCss, html, type Form, type KitFile, type KitSource } from "./kits";
import { pathsIn, placePictures } from "./place-pictures";

/** Where the pictures of a form of file can be: a message holds HTML alone. */
export const graftPictures: Readonly<Record<HostForm, readonly PicturesIn[]>> = {
  page: ["carried", "hosted"],
  archive: ["carried", "hosted"],
  listed: ["carried", "hosted"],
  entity: ["hosted"],
};

/** Pages are read by document engines; all else by browsers. */
const destinationOf = (form: HostForm): DestinationId =>
  form === "page" ? "document-file" : "browser-archive";

const types: Readonly<Record<HostForm, string>> = {
  page: "text/html",
  archive: "application/x-webarchive",
  listed: "application/x-webarchive",
  entity: "application/octet-stream",
};

/** What stands in the body of a page of ours. */
function bodyOf(page: string): string {
  const tags = readTags(page).items.filter((item) => "name" in item && item.name === "body");
  return page.slice(tags[0]?.to, tags.at(-1)?.from).trim();
}

/** The folder that a client keeps the pictures of its page in, as the page names it; else one that is called after it. */
function pictureFolder(page: string, fileName: string): string {
  for (const item of readTags(page).items) {
    if (item.kind !== "void" || item.name !== "link") continue;
    const written = page.slice(item.from, item.to);
    const folder = /rel=["']?file-list["']?/i.test(written) && /href=["']?([^"'/>]+)\//i.exec(written)?.[1];
    if (folder) {
      try {
        return decodeURIComponent(folder);
      } catch {
        return folder;
      }
    }
  }
  return `${fileName.replace(/\.[^.]*$/, "")} pictures`;
}

export interface Graft {
  readonly host: HostFile;
  /** As the client calls it. */
  readonly fileName: string;
  readonly place: GraftPlace;
  /** The form that is put in. */
  readonly document: Node;
  readonly source: Omit<KitSource, "full" | "short">;
  readonly picturesIn: PicturesIn;
}

/** What is put in the place, with its pictures where the file will have them. */
export function graftFragment({ host, fileName, document, source, picturesIn }: Graft): {
  readonly fragment: string;
  /** Held by the file itself. */
  readonly held: readonly GraftedPicture[];
  /** Beside the file, by their paths from it. */
  readonly beside: readonly KitFile[];
} {
  const form: Form = {
    name: source.name,
    document,
    source: { ...source, full: document, short: null },
    picturesIn,
  };
  const written = bodyOf(html(form, destinationOf(host.form)));
  if (picturesIn === "hosted" || !graftPictures[host.form].includes("carried"))
    return { fragment: written, held: [], beside: [] };
  if (host.holdsPictures) {
    const held = pathsIn(written, source.base).flatMap((path) => {
      const picture = source.pictures.get(path);
      return picture ? [{ address: publicAddress(path, source.base), ...picture }] : [];
    });
    return { fragment: written, held, beside: [] };
  }
  const pictures = carried(form, written);
  const folder = pictureFolder(host.html, fileName);
  const fragment = placePictures(written, source.base, (path) => {
    const found = pictures.get(path);
    return found ? `${encodeURIComponent(folder)}/${found.name}` : null;
  });
  const beside = [...pictures.values()].map(({ name, picture }) => ({
    ...picture,
    bytes: withDensity(picture.bytes, densityOfCss),
    path: `${folder}/${name}`,
  }));
  return { fragment, held: [], beside };
}

/** The client's file with the signature in its place, first, and what lies beside it. Throws a RangeError for a base that is no http address. */
export function graftFiles(graft: Graft): readonly KitFile[] {
  const { fragment, held, beside } = graftFragment(graft);
  const bytes = grafted(graft.host, graft.place, fragment, held);
  return [{ path: graft.fileName, type: types[graft.host.form], bytes }, ...beside];
}
