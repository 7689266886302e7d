/** Files that are hosted for links to lead to: calendar files, contact cards, documents. */

export interface FileType {
  readonly type: string;
  /** Whether a browser may show it; anything else is saved. */
  readonly shown: boolean;
}

/** By ending. Nothing that runs in a browser is among them. */
export const fileTypes: Readonly<Record<string, FileType>> = {
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
};

export interface HostedFileAddress {
  readonly hash: string;
  readonly fileName: string;
}

const pattern = /^\/h\/([0-9a-f]{20})\/([a-z0-9-]{1,60}\.([a-z0-9]{2,4}))$/;

export const hostedFilePath = ({ hash, fileName }: HostedFileAddress): string => `/h/${hash}/${fileName}`;

/** The parts of a hosted file's path, or null for any other address, such as a picture's. */
export function readHostedFile(path: string): HostedFileAddress | null {
  const found = pattern.exec(path);
  return found && Object.hasOwn(fileTypes, found[3]!) ? { hash: found[1]!, fileName: found[2]! } : null;
}

/** A name that a recipient can read, in plain letters; null where its ending is none that is hosted. */
export function publicFile(name: string): string | null {
  const found = /^(.*)\.([a-z0-9]+)$/is.exec(name.trim());
  const ending = found?.[2]!.toLowerCase();
  if (!ending || !Object.hasOwn(fileTypes, ending)) return null;
  const plain = found![1]!
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 50)
    .replace(/-+$/, "");
  return `${plain || "file"}.${ending}`;
}
