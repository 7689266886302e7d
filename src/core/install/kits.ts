/**
 * What is put into a client: the files of a signature for each kind, each in the encoding that is read there. The same
 * document, person and pictures always give the same bytes. Paths are relative, with forward slashes.
 */
import type { Node } from "prosemirror-model";
import { publicAddress } from "../addresses";
import { compile, fileNameOf, fileText } from "../compile";
import { withUnsaid } from "../importing";
import type { InstallForm, KitKind, PicturesIn } from "../install-kinds";
import {
  base64,
  bytesEntity,
  headerValue,
  messagePage,
  multipart,
  textEntity,
  writeEntity,
  type Entity,
} from "../mail";
import { buildCard, type Person } from "../people";
import { keptApart, withDensity } from "../pictures";
import { writeBinaryPlist } from "../plist";
import { codePng, codeSvg, mostInCode } from "../qr";
import type { DestinationId } from "../signature";
import { pathsIn, placePictures, type KitPictures } from "./place-pictures";
import { richText } from "./rich-text";

/** Kinds whose kit carries its pictures unless asked otherwise, and why. */
export const carriedByItself: Readonly<Record<KitKind, string | null>> = {
  webmail: null,
  "desktop-document": "the client attaches pictures from the folder beside the file",
  "desktop-browser": "the archive holds its pictures, and the client sends them along",
  "desktop-open": "one file that needs nothing else",
  phone: null,
  anything: "a draft that shows its pictures wherever it is opened",
};

export interface KitFile {
  readonly path: string;
  /** With its character set where it is text. */
  readonly type: string;
  readonly bytes: Uint8Array;
}

export interface KitSource {
  /** What the signature is called. */
  readonly name: string;
  readonly full: Node;
  /** What a reply holds; null where that is the whole. */
  readonly short: Node | null;
  readonly person: Person | null;
  /** The public address of hosted pictures. */
  readonly base: string;
  /** The bytes of those that the kit can carry. */
  readonly pictures: KitPictures;
}

/** One form of a signature on its way into a kit. */
export interface Form {
  readonly name: string;
  readonly document: Node;
  readonly source: KitSource;
  readonly picturesIn: PicturesIn;
}

const encoded = (text: string): Uint8Array => new TextEncoder().encode(text);

const file = (path: string, type: string, text: string): KitFile => ({ path, type, bytes: encoded(text) });

export const html = ({ document, source }: Form, destination: DestinationId): string =>
  withUnsaid(compile(document, { destination, person: source.person, base: source.base }), document);

const plain = ({ document, source }: Form): string =>
  compile(document, { destination: "plain-text", person: source.person, base: source.base });

const named = ({ name }: Form, ending: string): string => fileNameOf(name, ending);

const plainFile = (form: Form): KitFile =>
  file(named(form, ".txt"), "text/plain;charset=utf-8", fileText(plain(form), "plain-text"));

/** The pictures that are carried, each under a name of its own, by their paths. */
export function carried(
  form: Form,
  written: string,
): ReadonlyMap<string, { name: string; picture: KitFile }> {
  const found = new Map<string, { name: string; picture: KitFile }>();
  if (form.picturesIn === "hosted") return found;
  const known = pathsIn(written, form.source.base).flatMap((path) => {
    const picture = form.source.pictures.get(path);
    return picture ? [{ path, picture }] : [];
  });
  const names = keptApart(known.map(({ path }) => path.slice(path.lastIndexOf("/") + 1)));
  for (const [index, { path, picture }] of known.entries()) {
    const name = names[index] ?? path;
    found.set(path, { name, picture: { path: name, ...picture } });
  }
  return found;
}

function webmailKit(form: Form): readonly KitFile[] {
  const written = fileText(html(form, "webmail-paste"), "webmail-paste");
  return [file(named(form, ".html"), "text/html;charset=utf-8", written), plainFile(form)];
}

/** px to the inch, as CSS counts them. */
export const densityOfCss = 96;

function documentKit(form: Form): readonly KitFile[] {
  const written = html(form, "document-file");
  const pictures = carried(form, written);
  const folder = fileNameOf(`${form.name} pictures`, "");
  const placed = placePictures(written, form.source.base, (path) => {
    const found = pictures.get(path);
    return found ? `${folder}/${found.name}` : null;
  });
  // What HTML cannot say of a document is not for rich text.
  const shown = compile(form.document, {
    destination: "message",
    person: form.source.person,
    base: form.source.base,
  });
  const addressed = new Map(
    [...pictures].map(([path, { picture }]) => [publicAddress(path, form.source.base), picture] as const),
  );
  return [
    file(named(form, ".htm"), "text/html;charset=utf-8", fileText(placed, "document-file")),
    file(named(form, ".rtf"), "application/rtf", richText(shown, addressed)),
    plainFile(form),
    ...[...pictures.values()].map(({ name, picture }) => ({
      ...picture,
      bytes: withDensity(picture.bytes, densityOfCss),
      path: `${folder}/${name}`,
    })),
  ];
}

/** A web archive: the page and its pictures, each at the address that the page names. */
function archiveKit(form: Form): readonly KitFile[] {
  const written = html(form, "browser-archive");
  const { base, pictures } = form.source;
  const resources =
    form.picturesIn === "hosted"
      ? []
      : pathsIn(written, base).flatMap((path) => {
          const picture = pictures.get(path);
          if (!picture) return [];
          return [
            {
              WebResourceData: picture.bytes,
              WebResourceMIMEType: picture.type,
              WebResourceURL: publicAddress(path, base),
            },
          ];
        });
  const bytes = writeBinaryPlist({
    WebMainResource: {
      WebResourceData: encoded(written),
      WebResourceFrameName: "",
      WebResourceMIMEType: "text/html",
      WebResourceTextEncodingName: "UTF-8",
      WebResourceURL: "about:blank",
    },
    ...(resources.length > 0 ? { WebSubresources: resources } : {}),
  });
  return [{ path: named(form, ".webarchive"), type: "application/x-webarchive", bytes }];
}

/** One file that needs nothing else: its pictures stand in it as their bytes. */
function wholeFile(form: Form): KitFile {
  const written = html(form, "html-file");
  const { base, pictures } = form.source;
  const placed = placePictures(written, base, (path) => {
    const picture = form.picturesIn === "carried" ? pictures.get(path) : undefined;
    return picture ? `data:${picture.type};base64,${base64(picture.bytes)}` : null;
  });
  return file(named(form, ".html"), "text/html;charset=utf-8", fileText(placed, "html-file"));
}

/** The HTML with its pictures as one related part (RFC 2387); the HTML alone where none are carried. */
function related(form: Form, written: string): Entity {
  const pictures = carried(form, written);
  const id = (name: string): string => `${name}@signature.invalid`;
  const placed = placePictures(written, form.source.base, (path) => {
    const found = pictures.get(path);
    return found ? `cid:${id(found.name)}` : null;
  });
  const page = textEntity("html", messagePage(placed));
  if (pictures.size === 0) return page;
  return multipart(
    "related",
    [
      page,
      ...[...pictures.values()].map(({ name, picture: { type, bytes } }) =>
        bytesEntity(type, bytes, [
          ["Content-ID", `<${id(name)}>`],
          ["Content-Disposition", `inline; filename="${name}"`],
        ]),
      ),
    ],
    ' type="text/html";',
  );
}

/** A letter with the signature in it, to open and send, or to send to oneself and copy from. */
function draft(form: Form): KitFile {
  const { person } = form.source;
  const mail = person?.mail ? `${headerValue(person.name)} <${headerValue(person.mail)}>` : null;
  const body = multipart("alternative", [
    textEntity("plain", plain(form)),
    related(form, html(form, "message")),
  ]);
  const letter: Entity = {
    headers: [
      ...(mail ? [["From", mail] as const, ["To", mail] as const] : []),
      ["Subject", headerValue(`Signature: ${form.name}`)],
      ["MIME-Version", "1.0"],
      ...body.headers,
    ],
    body: body.body,
  };
  return file(named(form, ".eml"), "message/rfc822", writeEntity(letter));
}

/** A page with its pictures as one file (RFC 2557). */
function archivedPage(form: Form): KitFile {
  const written = html(form, "html-file");
  const pictures = carried(form, written);
  const { base } = form.source;
  const page = multipart(
    "related",
    [
      textEntity("html", written, [["Content-Location", "http://signature.invalid/signature.html"]]),
      ...[...pictures].map(
        ([
          path,
          {
            picture: { type, bytes },
          },
        ]) => bytesEntity(type, bytes, [["Content-Location", publicAddress(path, base)]]),
      ),
    ],
    ' type="text/html";',
  );
  const headers: Entity["headers"] = [
    ["Subject", headerValue(form.name)],
    ["MIME-Version", "1.0"],
    ...page.headers,
  ];
  return file(named(form, ".mhtml"), "multipart/related", writeEntity({ headers, body: page.body }));
}

function anythingKit(form: Form): readonly KitFile[] {
  return [draft(form), archivedPage(form), wholeFile(form), plainFile(form)];
}

/** How large codes in a kit are; px. */
const codeSize = 600;

/** A person's contact card, and the code that holds it; a card too long for a code is alone. */
function cardFiles(person: Person): readonly KitFile[] {
  const card = buildCard(person);
  const own = file(fileNameOf(person.name, ".vcf"), "text/vcard;charset=utf-8", card);
  if (encoded(card).length > mostInCode) return [own];
  const named = `${person.name} code`;
  return [
    own,
    { path: fileNameOf(named, ".png"), type: "image/png", bytes: codePng(card, codeSize) },
    file(fileNameOf(named, ".svg"), "image/svg+xml", codeSvg(card, codeSize)),
  ];
}

const kits: Readonly<Record<KitKind, (form: Form) => readonly KitFile[]>> = {
  webmail: webmailKit,
  "desktop-document": documentKit,
  "desktop-browser": archiveKit,
  "desktop-open": (form) => [wholeFile(form)],
  phone: (form) => [draft(form), plainFile(form)],
  anything: anythingKit,
};

/** Where a kind's kit has its pictures unless asked otherwise. */
export const usualPlace = (kind: KitKind): PicturesIn =>
  carriedByItself[kind] === null ? "hosted" : "carried";

/** The forms that a kit holds: the full one, and that of replies where it is another one. */
const formsOf = (source: KitSource, picturesIn: PicturesIn): readonly [full: Form, short?: Form] => [
  { name: source.name, document: source.full, source, picturesIn },
  ...(source.short
    ? ([{ name: `${source.name} in replies`, document: source.short, source, picturesIn }] as const)
    : ([] as const)),
];

/**
 * The files of a kit, both forms where a reply holds another one. Pictures that the source has no bytes of stay at their
 * addresses. Throws a RangeError for a base that is no http address.
 */
export function kitFiles(
  kind: KitKind,
  source: KitSource,
  picturesIn: PicturesIn = usualPlace(kind),
): readonly KitFile[] {
  const { person } = source;
  const card = kind === "anything" && person?.name ? cardFiles(person) : [];
  return [...formsOf(source, picturesIn).flatMap((form) => (form ? kits[kind](form) : [])), ...card];
}

/** The letter of a kit, which is sent as a test: the very bytes of its `.eml`. */
export function kitLetter(source: KitSource, form: InstallForm, picturesIn: PicturesIn): KitFile {
  const [full, short] = formsOf(source, picturesIn);
  return draft(form === "short" ? (short ?? full) : full);
}

/** The paths of all hosted pictures of a kit's source, for finding their bytes. */
export function picturesOfKit({
  full,
  short,
  person,
  base,
}: Omit<KitSource, "pictures" | "name">): readonly string[] {
  const written = [full, ...(short ? [short] : [])].map((document) =>
    compile(document, { destination: "webmail-paste", person, base }),
  );
  return [...new Set(written.flatMap((each) => pathsIn(each, base)))];
}
