/** The tables. Times are milliseconds since 1970; documents are the signature's own JSON. */
import { blob, index, integer, primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";
import { installForms, installUses, kitKinds } from "@/core/install-kinds";
import { deskClientIds } from "@/core/desks";
import { purposes } from "@/core/people";
import { originalTypes } from "@/core/pictures";
import { people } from "./people-tables";

export { corrections, pageLetters, personPages } from "./page-tables";
export { changedPeople, directoryChanges, ownFields, people, peoplesPictures } from "./people-tables";

export const signatures = sqliteTable("signatures", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  personId: text("person_id").references(() => people.id, { onDelete: "set null" }),
  document: text("document").notNull(),
  /** The reasons why findings are left as they are, by what was found; JSON. */
  asides: text("asides").notNull().default("{}"),
  /** Whom it is for, as JSON, and what for. */
  audience: text("audience").notNull().default('{"kind":"nobody"}'),
  purpose: text("purpose", { enum: purposes }).notNull().default("full"),
  /** Counts accepted saves; a save names the revision that it was made from. */
  revision: integer("revision").notNull().default(1),
  createdAt: integer("created_at").notNull(),
  updatedAt: integer("updated_at").notNull(),
  /** Set while it is deleted and can be taken back. */
  deletedAt: integer("deleted_at"),
});

/** Documents whose save was refused because another had been saved since; kept until somebody chooses. */
export const refusedSaves = sqliteTable(
  "refused_saves",
  {
    id: text("id").primaryKey(),
    signatureId: text("signature_id")
      .notNull()
      .references(() => signatures.id, { onDelete: "cascade" }),
    baseRevision: integer("base_revision").notNull(),
    document: text("document").notNull(),
    createdAt: integer("created_at").notNull(),
  },
  (table) => [index("refused_saves_by_signature").on(table.signatureId)],
);

export const originals = sqliteTable("originals", {
  /** Content hash of the untouched bytes. */
  hash: text("hash").primaryKey(),
  name: text("name").notNull(),
  type: text("type", { enum: originalTypes }).notNull(),
  width: integer("width").notNull(),
  height: integer("height").notNull(),
  bytes: integer("bytes").notNull(),
  transparent: integer("transparent", { mode: "boolean" }).notNull(),
  frames: integer("frames").notNull().default(1),
  createdAt: integer("created_at").notNull(),
  /** The original that took its place; its own cuts go on being served. */
  replacedBy: text("replaced_by"),
  /** Set while it is removed and can be taken back. */
  removedAt: integer("removed_at"),
});

export const cuts = sqliteTable(
  "cuts",
  {
    /** Content hash of the cut's bytes. */
    hash: text("hash").notNull(),
    fileName: text("file_name").notNull(),
    /** Null for a loop that is made of text. */
    originalHash: text("original_hash").references(() => originals.hash),
    /** A recipe, or of a GIF a loop's. */
    recipe: text("recipe").notNull(),
    type: text("type", { enum: ["png", "jpeg", "gif"] }).notNull(),
    /** Display size in CSS px. */
    width: integer("width").notNull(),
    height: integer("height").notNull(),
    pixelWidth: integer("pixel_width").notNull(),
    pixelHeight: integer("pixel_height").notNull(),
    bytes: integer("bytes").notNull(),
    createdAt: integer("created_at").notNull(),
    /** Set while it is removed and can be taken back; its address answers nothing. */
    removedAt: integer("removed_at"),
  },
  (table) => [
    primaryKey({ columns: [table.hash, table.fileName] }),
    index("cuts_by_original").on(table.originalHash),
  ],
);

/** In how many proofs each signature was still when it was last measured, and of what HTML that was. */
export const stillness = sqliteTable("stillness", {
  signatureId: text("signature_id")
    .primaryKey()
    .references(() => signatures.id, { onDelete: "cascade" }),
  /** Hash of the HTML that was measured: of another one nothing is known. */
  htmlHash: text("html_hash").notNull(),
  still: integer("still").notNull(),
  all: integer("all_proofs").notNull(),
});

/** The colours of cuts and loops, by the hash of their bytes: what they stand out from is asked often. */
export const pictureColors = sqliteTable("picture_colors", {
  hash: text("hash").primaryKey(),
  /** A list of colours with their shares. */
  colors: text("colors").notNull(),
});

/** What each person has set in each client of the Mailroom; JSON. */
export const desks = sqliteTable(
  "desks",
  {
    personId: text("person_id")
      .notNull()
      .references(() => people.id, { onDelete: "cascade" }),
    client: text("client", { enum: deskClientIds }).notNull(),
    settings: text("settings").notNull(),
    updatedAt: integer("updated_at").notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.client] })],
);

/** The files that a client of the Mailroom keeps signatures in. */
export const deskFiles = sqliteTable(
  "desk_files",
  {
    personId: text("person_id")
      .notNull()
      .references(() => people.id, { onDelete: "cascade" }),
    client: text("client", { enum: deskClientIds }).notNull(),
    path: text("path").notNull(),
    /** What the client calls it; empty where that is its path. */
    name: text("name").notNull().default(""),
    bytes: blob("bytes", { mode: "buffer" }).notNull(),
    /** As a running program has it in memory; null while it is closed. */
    held: blob("held", { mode: "buffer" }),
    updatedAt: integer("updated_at").notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.client, table.path] })],
);

/** Rehearsals of installing a signature in a client, one at a desk at a time. */
export const rehearsals = sqliteTable(
  "rehearsals",
  {
    personId: text("person_id")
      .notNull()
      .references(() => people.id, { onDelete: "cascade" }),
    client: text("client", { enum: deskClientIds }).notNull(),
    signatureId: text("signature_id")
      .notNull()
      .references(() => signatures.id, { onDelete: "cascade" }),
    /** What happened since it began; JSON. */
    happened: text("happened").notNull().default("[]"),
    startedAt: integer("started_at").notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.client] })],
);

/** Letters that were begun and not sent. */
export const drafts = sqliteTable(
  "drafts",
  {
    id: text("id").primaryKey(),
    personId: text("person_id")
      .notNull()
      .references(() => people.id, { onDelete: "cascade" }),
    client: text("client", { enum: deskClientIds }).notNull(),
    /** What was written so far; JSON. */
    letter: text("letter").notNull(),
    updatedAt: integer("updated_at").notNull(),
  },
  (table) => [index("drafts_by_desk").on(table.personId, table.client)],
);

/** Letters as they lie in mailboxes: one row in each that a letter came to, and one in that of who sent it. */
export const messages = sqliteTable(
  "messages",
  {
    id: text("id").primaryKey(),
    mailbox: text("mailbox").notNull(),
    /** Whether it came, or was sent from there. */
    box: text("box", { enum: ["in", "sent"] })
      .notNull()
      .default("in"),
    /** Its own id, and that of the first letter of the talk that it belongs to (RFC 5322, 3.6.4). */
    messageId: text("message_id").notNull().default(""),
    thread: text("thread").notNull().default(""),
    fromAddress: text("from_address").notNull(),
    fromName: text("from_name").notNull(),
    /** Whom it says that it is for. */
    recipients: text("recipients").notNull().default(""),
    subject: text("subject").notNull(),
    /** The beginning of its text, which is searched. */
    words: text("words").notNull().default(""),
    /** The letter as it was handed over by SMTP: the bytes of RFC 5322. */
    raw: blob("raw", { mode: "buffer" }).notNull(),
    receivedAt: integer("received_at").notNull(),
    readAt: integer("read_at"),
    /** Set while it is thrown away and can be taken back. */
    thrownAt: integer("thrown_at"),
  },
  (table) => [
    index("messages_by_mailbox").on(table.mailbox, table.receivedAt),
    index("messages_by_thread").on(table.mailbox, table.thread),
  ],
);

/** What is set once for everybody, by its name: the organisation, letter type, public address; each as JSON. */
export const settings = sqliteTable("settings", {
  name: text("name").primaryKey(),
  value: text("value").notNull(),
});

/** Documents of a signature as they were at a revision: named by hand, or kept automatically. */
export const versions = sqliteTable(
  "versions",
  {
    id: text("id").primaryKey(),
    signatureId: text("signature_id")
      .notNull()
      .references(() => signatures.id, { onDelete: "cascade" }),
    revision: integer("revision").notNull(),
    /** Null for one that was kept automatically. */
    name: text("name"),
    document: text("document").notNull(),
    createdAt: integer("created_at").notNull(),
  },
  (table) => [index("versions_by_signature").on(table.signatureId, table.createdAt)],
);

/** Signatures as they were installed in a client, each as it was then. */
export const installs = sqliteTable(
  "installs",
  {
    id: text("id").primaryKey(),
    signatureId: text("signature_id")
      .notNull()
      .references(() => signatures.id, { onDelete: "cascade" }),
    form: text("form", { enum: installForms }).notNull(),
    revision: integer("revision").notNull(),
    personId: text("person_id").references(() => people.id, { onDelete: "set null" }),
    /** The details that it had; JSON, null where it was nobody's. */
    person: text("person"),
    document: text("document").notNull(),
    /** The public address of its pictures. */
    base: text("base").notNull(),
    kind: text("kind", { enum: kitKinds }).notNull(),
    account: text("account").notNull(),
    use: text("use", { enum: installUses }).notNull(),
    by: text("by").notNull(),
    note: text("note").notNull(),
    /** What was looked at in the real client, by its name; JSON. */
    ticked: text("ticked").notNull().default("[]"),
    installedAt: integer("installed_at").notNull(),
    /** Set while it is removed and can be taken back. */
    removedAt: integer("removed_at"),
  },
  (table) => [index("installs_by_signature").on(table.signatureId, table.installedAt)],
);

/** Screenshots of what was received of an install. */
export const sightings = sqliteTable(
  "sightings",
  {
    id: text("id").primaryKey(),
    installId: text("install_id")
      .notNull()
      .references(() => installs.id, { onDelete: "cascade" }),
    /** Of the picture's bytes, which lie in the store as an original does. */
    hash: text("hash").notNull(),
    name: text("name").notNull(),
    width: integer("width").notNull(),
    height: integer("height").notNull(),
    /** What was found in it; JSON, null where nothing was looked for. */
    told: text("told"),
    createdAt: integer("created_at").notNull(),
    /** Set while it is removed and can be taken back. */
    removedAt: integer("removed_at"),
  },
  (table) => [index("sightings_by_install").on(table.installId, table.createdAt)],
);

/** Patterns that were saved from signatures. */
export const patterns = sqliteTable("patterns", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  document: text("document").notNull(),
  createdAt: integer("created_at").notNull(),
});

/** Pictures at addresses elsewhere, with what was found there. */
export const foreignPictures = sqliteTable("foreign_pictures", {
  address: text("address").primaryKey(),
  report: text("report").notNull(),
  checkedAt: integer("checked_at").notNull(),
});

/** Copies of cuts that were published on another web space and found to be there. */
export const publishedCopies = sqliteTable("published_copies", {
  address: text("address").primaryKey(),
  hash: text("hash").notNull(),
  fileName: text("file_name").notNull(),
  createdAt: integer("created_at").notNull(),
});

/** Which signatures were published at which addresses: what can be taken back. */
export const publications = sqliteTable(
  "publications",
  {
    signatureId: text("signature_id")
      .notNull()
      .references(() => signatures.id, { onDelete: "cascade" }),
    address: text("address").notNull(),
  },
  (table) => [primaryKey({ columns: [table.signatureId, table.address] })],
);

/** What answered at web links when they were last walked. */
export const linkAnswers = sqliteTable("link_answers", {
  address: text("address").primaryKey(),
  answer: text("answer").notNull(),
  walkedAt: integer("walked_at").notNull(),
});

/** When a person last opened a link by hand to see where it leads. */
export const linkOpenings = sqliteTable("link_openings", {
  address: text("address").primaryKey(),
  openedAt: integer("opened_at").notNull(),
});

/** The user's own list of networks. */
export const networkKinds = sqliteTable("network_kinds", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  glyph: text("glyph").notNull(),
  pattern: text("pattern").notNull(),
  createdAt: integer("created_at").notNull(),
});

/** Icons that rows are made of: drawn glyphs once they are used, and icons of the user's own. */
export const icons = sqliteTable("icons", {
  originalHash: text("original_hash")
    .primaryKey()
    .references(() => originals.hash, { onDelete: "cascade" }),
  name: text("name").notNull(),
  /** What its own icons came in; empty for a glyph. */
  pack: text("pack").notNull().default(""),
  glyph: text("glyph"),
  weight: text("weight", { enum: ["line", "solid"] }),
  /** What is drawn in it, in px of the original, as JSON. */
  box: text("box").notNull(),
  /** Where it came from, and under which terms; the user's own words. */
  note: text("note").notNull().default(""),
  createdAt: integer("created_at").notNull(),
});

/** Files that links lead to: calendar files, contact cards, documents. */
export const hostedFiles = sqliteTable(
  "hosted_files",
  {
    hash: text("hash").notNull(),
    fileName: text("file_name").notNull(),
    bytes: integer("bytes").notNull(),
    createdAt: integer("created_at").notNull(),
  },
  (table) => [primaryKey({ columns: [table.hash, table.fileName] })],
);
