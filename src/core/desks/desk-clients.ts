/** The five working mail clients of the Mailroom, as data: which kind each is, how it keeps signatures, and how it writes. */
import type { StandInId } from "../clients";
import type { KitKind } from "../install-kinds";

export const deskClientIds = ["malthouse", "granary", "sluice", "oxbow", "wren"] as const;
export type DeskClientId = (typeof deskClientIds)[number];

/** What a client holds a signature as. */
export type Holding =
  /** What was pasted or typed into its settings. */
  | "text"
  /** Files of a folder, each named after a signature. */
  | "folder"
  /** Archives with names of its own, which it reads when it is opened and writes when it is closed. */
  | "archives";

export interface DeskClient {
  readonly id: DeskClientId;
  readonly name: string;
  /** What it is, in a few words. */
  readonly about: string;
  readonly kind: Exclude<KitKind, "anything">;
  readonly standIn: StandInId;
  readonly holding: Holding;
  /** What somebody types is set in; size in px. */
  readonly type: { readonly family: string; readonly size: number; readonly color: string };
  /** Whether changed settings hold by themselves, or only once they are kept. */
  readonly keeps: "by-itself" | "when-told";
  /** Where a signature stands in an answer, until something else is chosen. */
  readonly usualPlace: "above" | "below";
  /** Whether the delimiter line stands before a signature, until something else is chosen (RFC 3676, 4.3). */
  readonly usualDelimiter: boolean;
  /** How its parts are encoded on their way (RFC 2045, 6). */
  readonly encoding: "quoted-printable" | "base64";
  /** Whether the header block of a letter, or one line, stands over what an answer quotes. */
  readonly headline: "line" | "block";
}

export const deskClients: Readonly<Record<DeskClientId, DeskClient>> = {
  malthouse: {
    id: "malthouse",
    name: "Malthouse Mail",
    about: "a stand-in webmail that keeps inline styles only",
    kind: "webmail",
    standIn: "webmail-inline",
    holding: "text",
    type: { family: "Arial,Helvetica,sans-serif", size: 14, color: "#000000" },
    keeps: "when-told",
    usualPlace: "above",
    usualDelimiter: false,
    encoding: "quoted-printable",
    headline: "line",
  },
  granary: {
    id: "granary",
    name: "Granary",
    about: "a stand-in desktop client that is drawn by a document engine and keeps signatures as files",
    kind: "desktop-document",
    standIn: "desktop-document",
    holding: "folder",
    type: { family: "'Times New Roman',Times,serif", size: 16, color: "#000000" },
    keeps: "by-itself",
    usualPlace: "above",
    usualDelimiter: false,
    encoding: "base64",
    headline: "block",
  },
  sluice: {
    id: "sluice",
    name: "Sluice",
    about: "a stand-in desktop client that is drawn by a browser engine and keeps signatures in archives",
    kind: "desktop-browser",
    standIn: "desktop-browser",
    holding: "archives",
    type: { family: "Helvetica,Arial,sans-serif", size: 12, color: "#000000" },
    keeps: "by-itself",
    usualPlace: "above",
    usualDelimiter: false,
    encoding: "quoted-printable",
    headline: "line",
  },
  oxbow: {
    id: "oxbow",
    name: "Oxbow",
    about: "a stand-in independent desktop client that takes a file or source",
    kind: "desktop-open",
    standIn: "desktop-open",
    holding: "text",
    type: { family: "sans-serif", size: 15, color: "#000000" },
    keeps: "when-told",
    usualPlace: "below",
    usualDelimiter: true,
    encoding: "quoted-printable",
    headline: "line",
  },
  wren: {
    id: "wren",
    name: "Wren",
    about: "a stand-in phone client, 390 px wide",
    kind: "phone",
    standIn: "phone-system",
    holding: "text",
    type: { family: "system-ui,sans-serif", size: 16, color: "#000000" },
    keeps: "by-itself",
    usualPlace: "above",
    usualDelimiter: false,
    encoding: "base64",
    headline: "line",
  },
};

export const isDeskClient = (id: string): id is DeskClientId =>
  (deskClientIds as readonly string[]).includes(id);

/** The client to rehearse a kind's steps in. */
export const clientForKind = (kind: KitKind): DeskClient | null =>
  deskClientIds.map((id) => deskClients[id]).find((client) => client.kind === kind) ?? null;
