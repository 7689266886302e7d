/** A browser's web archive, as a binary property list or as an XML one. */
import { largest } from "../../values";
import { bytesOfBase64, base64 } from "../../mail";
import { PlistAtom, readBinaryPlist, writeBinaryPlist, type PlistValue } from "../../plist";
import { escapeText } from "../../html";
import { byteText, type Edit } from "../byte-text";
import { GraftError } from "../graft-error";
import type { GraftedPicture, HostText } from "../host-file";

type PlistRecord = Readonly<Record<string, PlistValue>>;

const isRecord = (value: PlistValue | undefined): value is PlistRecord =>
  typeof value === "object" &&
  value !== null &&
  !Array.isArray(value) &&
  !(value instanceof Uint8Array) &&
  !(value instanceof PlistAtom);

const noPage =
  "This web archive holds no page: make a signature with one word in it there, and close the program.";

/** The encoding that an archive names; undefined where it names none that is known. */
function known(name: PlistValue | undefined): string | undefined {
  if (typeof name !== "string") return undefined;
  try {
    return new TextDecoder(name).encoding;
  } catch {
    return undefined;
  }
}

/** Null for what is no binary property list. Throws a PlistError for a damaged one, and a GraftError for one of something else. */
export function archiveHost(bytes: Uint8Array): HostText | null {
  if (String.fromCharCode(...bytes.subarray(0, 6)) !== "bplist") return null;
  const archive = readBinaryPlist(bytes);
  const main = isRecord(archive) ? archive.WebMainResource : undefined;
  const data = isRecord(main) ? main.WebResourceData : undefined;
  if (!isRecord(archive) || !isRecord(main) || !(data instanceof Uint8Array)) throw new GraftError(noPage);
  const { text, encoding, edited } = byteText(data, known(main.WebResourceTextEncodingName));
  const others = Array.isArray(archive.WebSubresources)
    ? (archive.WebSubresources as readonly PlistValue[])
    : [];
  const written = (edits: readonly Edit[], pictures: readonly GraftedPicture[]): Uint8Array => {
    const all = [
      ...others,
      ...pictures.map((picture) => ({
        WebResourceData: picture.bytes,
        WebResourceMIMEType: picture.type,
        WebResourceURL: picture.address,
      })),
    ];
    return writeBinaryPlist({
      ...archive,
      WebMainResource: { ...main, WebResourceData: edited(edits) },
      ...(all.length > 0 ? { WebSubresources: all } : {}),
    });
  };
  return { form: "archive", html: text, encoding, holdsPictures: true, written };
}

/** A tag of an XML property list with its place; these lists know neither CDATA nor attributes but of the outermost tag. */
interface ListTag {
  readonly name: string;
  readonly kind: "start" | "end" | "empty";
  readonly from: number;
  readonly to: number;
}

function* listTags(xml: string): Generator<ListTag> {
  for (const found of xml.matchAll(/<!--[\s\S]*?-->|<(\/?)([a-z]+)(?:\s[^<>]*?)?(\/?)>/g)) {
    const [written, end, name, empty] = found;
    if (name === undefined) continue;
    const kind = end ? "end" : empty ? "empty" : "start";
    yield { name, kind, from: found.index, to: found.index + written.length };
  }
}

/** Where the value of each key stands, by the keys that lead to it, such as "WebMainResource/WebResourceData". */
function valuesIn(
  xml: string,
): ReadonlyMap<string, { readonly from: number; readonly to: number; readonly tag: string }> {
  const found = new Map<string, { from: number; to: number; tag: string }>();
  /** The elements around, each with the path to it. */
  const around: { readonly tag: ListTag; readonly path: string }[] = [];
  let key: string | null = null;
  let keyFrom = 0;
  for (const tag of listTags(xml)) {
    if (tag.name === "plist") continue;
    if (tag.name === "key") {
      if (tag.kind === "start") keyFrom = tag.to;
      else key = xml.slice(keyFrom, tag.from);
      continue;
    }
    const parent = around.at(-1);
    if (tag.kind === "end") {
      const open = around.pop();
      if (open) found.set(open.path, { from: open.tag.to, to: tag.from, tag: open.tag.name });
      key = null;
      continue;
    }
    const path = parent === undefined ? "" : `${parent.path}/${key ?? ""}`;
    if (tag.kind === "start") around.push({ tag, path });
    key = null;
  }
  return found;
}

/** Base64 in lines as the one that it takes the place of, its white space around it kept. */
function inLinesOf(old: string, bytes: Uint8Array): string {
  const [indent = ""] = /^\s*/.exec(old) ?? [];
  const [end = ""] = /\s*$/.exec(old) ?? [];
  const width = largest(old.split(/\r\n|\r|\n/).map((line) => line.trim().length));
  const all = base64(bytes);
  if (!/\S\s+\S/.test(old) && !/[\r\n]/.test(indent)) return `${indent}${all}${end}`;
  const lines = all.match(new RegExp(`.{1,${Math.max(20, width)}}`, "g")) ?? [];
  const between = /[\r\n]/.test(indent) ? indent : (/\S(\s+)\S/.exec(old)?.[1] ?? "\n");
  return `${indent}${lines.join(between)}${end}`;
}

/** A picture as an entry of the list of what a page shows. */
const listed = ({ address, type, bytes }: GraftedPicture): string =>
  `<dict><key>WebResourceData</key><data>${base64(bytes)}</data>` +
  `<key>WebResourceMIMEType</key><string>${escapeText(type)}</string>` +
  `<key>WebResourceURL</key><string>${escapeText(address)}</string></dict>`;

/** Null for what is no XML property list. Throws a GraftError for one of something else. */
export function listedHost(bytes: Uint8Array): HostText | null {
  const list = byteText(bytes);
  if (!/^\ufeff?\s*(?:<\?xml[^>]*>\s*)?(?:<!DOCTYPE plist[^>]*>\s*)?<plist[\s>]/i.test(list.text))
    return null;
  const values = valuesIn(list.text);
  const data = values.get("/WebMainResource/WebResourceData");
  const old = data ? list.text.slice(data.from, data.to) : "";
  const content = data?.tag === "data" ? bytesOfBase64(old) : null;
  const whole = values.get("");
  if (!data || !content || !whole) throw new GraftError(noPage);
  const name = values.get("/WebMainResource/WebResourceTextEncodingName");
  const page = byteText(content, name && known(list.text.slice(name.from, name.to)));
  const written = (edits: readonly Edit[], pictures: readonly GraftedPicture[]): Uint8Array => {
    const entries = pictures.map(listed).join("");
    const others = values.get("/WebSubresources");
    const added =
      entries === ""
        ? []
        : others?.tag === "array"
          ? [{ from: others.to, to: others.to, text: entries }]
          : [{ from: whole.to, to: whole.to, text: `<key>WebSubresources</key><array>${entries}</array>` }];
    return list.edited([
      { from: data.from, to: data.to, text: inLinesOf(old, page.edited(edits)) },
      ...added,
    ]);
  };
  return { form: "listed", html: page.text, encoding: page.encoding, holdsPictures: true, written };
}
