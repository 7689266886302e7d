/** Files that are hosted for links to lead to: calendar files, contact cards, documents. */
import { wordTable } from "../values";
import { endingOf, readHostedPath, type HostedAddress } from "../addresses";

export interface FileType {
  readonly type: string;
  /** Whether a browser may show it; anything else is saved. */
  readonly shown: boolean;
}

/** By ending. Nothing that runs in a browser is among them. */
const fileTypes = wordTable<FileType>({
  ics: { type: "text/calendar; charset=utf-8", shown: true },
  vcf: { type: "text/vcard; charset=utf-8", shown: true },
  pdf: { type: "application/pdf", shown: true },
  txt: { type: "text/plain; charset=utf-8", shown: true },
  csv: { type: "text/csv; charset=utf-8", shown: false },
  zip: { type: "application/zip", shown: false },
  odt: { type: "application/vnd.oasis.opendocument.text", shown: false },
  ods: { type: "application/vnd.oasis.opendocument.spreadsheet", shown: false },
  odp: { type: "application/vnd.oasis.opendocument.presentation", shown: false },
  docx: { type: "application/vnd.openxmlformats-officedocument.wordprocessingml.document", shown: false },
  xlsx: { type: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", shown: false },
  pptx: { type: "application/vnd.openxmlformats-officedocument.presentationml.presentation", shown: false },
  mp3: { type: "audio/mpeg", shown: true },
});

/** The type of a hosted file, by its name; null where its ending is none that is hosted. */
export function fileTypeOf(fileName: string): FileType | null {
  const ending = endingOf(fileName);
  return Object.hasOwn(fileTypes, ending) ? (fileTypes[ending] ?? null) : null;
}

/** The parts of a hosted file's path, or null for any other address, such as a picture's. */
export function readHostedFile(path: string): HostedAddress | null {
  const found = readHostedPath(path);
  return found && fileTypeOf(found.fileName) ? found : null;
}

/** A name that a recipient can read, in plain letters; null where its ending is none that is hosted. */
export function publicFile(name: string): string | null {
  const given = name.trim();
  if (!fileTypeOf(given)) return null;
  const ending = endingOf(given);
  const plain = given
    .slice(0, -ending.length - 1)
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 50)
    .replace(/-+$/, "");
  return `${plain || "file"}.${ending}`;
}
