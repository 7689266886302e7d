/**
 * A folder of signature files as a document-engine client reads it: each page on its own level is a signature that is named
 * like its file, with the pictures that lie beside it. What is wrong with one is said, and it is held all the same.
 */
import { declaredEncoding, encodingOf } from "../importing";
import { attributeOf, parseMessage, setAttribute, walkElements, writeParts } from "../html";
import { contentIdOf } from "./content-ids";
import type { HeldSignature } from "../desks";

export interface DeskFile {
  /** With forward slashes, relative to the client's folder. */
  readonly path: string;
  readonly bytes: Uint8Array;
}

const page = /^[^/]+\.html?$/i;
const nameOf = (path: string): string => path.replace(/\.[^.]*$/, "");

/** The name by which the Encoding Standard knows an encoding; null for one that it does not know. */
function known(label: string): string | null {
  try {
    return new TextDecoder(label).encoding;
  } catch {
    return null;
  }
}

/** The encoding that a page says it is in; null where it says none that there is. */
function saidEncoding(bytes: Uint8Array): string | null {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return "utf-16le";
  if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) return "utf-8";
  const said = declaredEncoding(bytes);
  return said === null ? null : known(said);
}

const isAscii = (bytes: Uint8Array): boolean => bytes.every((byte) => byte < 0x80);

/** The text of a page by what it says of itself, and what is wrong with that. */
function textOf(
  name: string,
  bytes: Uint8Array,
): { readonly text: string; readonly complaint: string | null } {
  const said = saidEncoding(bytes);
  // What says nothing is read in the encoding that most pages without one are in (WHATWG HTML 13.2.3.2).
  const text = new TextDecoder(said ?? "windows-1252").decode(bytes);
  const truly = known(encodingOf(bytes));
  if (isAscii(bytes) || said === truly) return { text, complaint: null };
  return {
    text,
    complaint: said
      ? `${name} says that it is ${said} and is ${truly}: letters such as é come out wrong.`
      : `${name} does not say in which encoding it is, and is ${truly}: letters such as é come out wrong.`,
  };
}

/** A relative address as a path of the folder; null for one that leads out of it or elsewhere. */
function pathOf(address: string): string | null {
  if (address === "" || /^[a-z][a-z0-9+.-]*:|^\/|^#/i.test(address)) return null;
  try {
    const path = decodeURIComponent(address.replaceAll("\\", "/").replace(/[?#].*$/, ""));
    return path.split("/").includes("..") ? null : path.replace(/^\.\//, "");
  } catch {
    return null;
  }
}

function readSignature(file: DeskFile, files: ReadonlySet<string>, client: string): HeldSignature {
  const { text, complaint } = textOf(file.path, file.bytes);
  const { body } = parseMessage(text);
  const pictures: Record<string, string> = {};
  const missing = new Set<string>();
  walkElements(body, (element) => {
    if (element.tagName !== "img") return;
    const path = pathOf(attributeOf(element, "src") ?? "");
    if (path === null) return;
    if (!files.has(path)) {
      missing.add(path.includes("/") ? `the folder “${path.slice(0, path.lastIndexOf("/"))}”` : `“${path}”`);
      return;
    }
    const id = contentIdOf(path, client);
    pictures[id] = path;
    setAttribute(element, "src", `cid:${id}`);
  });
  const name = nameOf(file.path);
  return {
    id: file.path,
    name,
    html: writeParts(body).trim(),
    pictures,
    complaints: [
      ...(complaint === null ? [] : [complaint]),
      ...(missing.size === 0
        ? []
        : [
            `${file.path} has pictures in ${[...missing].join(" and ")}, ${missing.size === 1 ? "which is" : "which are"} not here: put it beside the file.`,
          ]),
      ...(files.has(`${name}.txt`)
        ? []
        : [`There is no ${name}.txt: letters in plain text go without this signature.`]),
    ],
  };
}

export interface SignatureFolder {
  readonly signatures: readonly HeldSignature[];
  /** Files that belong to no signature. */
  readonly strays: readonly string[];
}

/** Reads what lies in the folder, by name. Never throws. */
export function readFolder(files: readonly DeskFile[], client: string): SignatureFolder {
  const paths = new Set(files.map(({ path }) => path));
  const signatures = files
    .filter(({ path }) => page.test(path))
    .map((file) => readSignature(file, paths, client))
    .sort((one, other) => one.name.localeCompare(other.name, "en"));
  const used = new Set(
    signatures.flatMap(({ id, name, pictures }) => [
      id,
      `${name}.txt`,
      `${name}.rtf`,
      ...Object.values(pictures),
    ]),
  );
  return { signatures, strays: [...paths].filter((path) => !used.has(path)).sort() };
}

/** All files of a signature: what is renamed or taken out with it. Pictures that another one shows as well are none of it. */
export function filesOfSignature({ signatures }: SignatureFolder, id: string): readonly string[] {
  const own = signatures.find((signature) => signature.id === id);
  if (!own) return [];
  const others = new Set(
    signatures.filter((signature) => signature !== own).flatMap(({ pictures }) => Object.values(pictures)),
  );
  return [
    own.id,
    `${own.name}.txt`,
    `${own.name}.rtf`,
    ...Object.values(own.pictures).filter((path) => !others.has(path)),
  ];
}

/** Where a file of a signature lies once that has another name. */
export const renamedPage = (path: string, name: string): string =>
  `${name}${/\.[^.]*$/.exec(path)?.[0] ?? ""}`;
