/**
 * What can be wrong with the data folder: told apart by what the database or the system says, each with what to do about it.
 * Nothing here writes.
 */

/** A reason why data cannot be read or written, none of which goes away by trying the same again. */
export type TroubleCode =
  "full" | "not-writable" | "damaged" | "empty" | "newer" | "foreign" | "no-pictures" | "gone" | "busy";

interface Told {
  readonly title: string;
  /** What is the matter with a place, as a sentence. */
  readonly what: (place: string) => string;
  readonly remedy: string;
}

const restore =
  "restore the newest backup into a new folder (still-line restore FILE --data FOLDER), which STILL_LINE_DATA then names";

const troubles: Readonly<Record<TroubleCode, Told>> = {
  full: {
    title: "The disk is full",
    what: (place) => `There is no room left for ${place}, so nothing can be saved.`,
    remedy: "Make room on its disk. What was saved is there, and what is being typed is kept in the browser.",
  },
  "not-writable": {
    title: "The data folder cannot be written",
    what: (place) => `${place} cannot be written by the user that runs Still Line.`,
    remedy: "Give that user leave to write there, or name another folder in STILL_LINE_DATA.",
  },
  damaged: {
    title: "The database is damaged",
    what: (place) => `${place} cannot be read as a database.`,
    remedy: `Keep it as it is, with what lies beside it, and ${restore}. Nothing in it was changed.`,
  },
  empty: {
    title: "The database is empty",
    what: (place) => `${place} holds nothing, though pictures lie beside it.`,
    remedy: `If that is not as it should be, ${restore}. To begin anew, move the whole folder away.`,
  },
  newer: {
    title: "The database is newer than this Still Line",
    what: (place) => `${place} was last used with a later release.`,
    remedy: "Start that release, or a later one. Nothing in it was changed.",
  },
  foreign: {
    title: "The database is not one of this release",
    what: (place) => `The database in ${place} was not made by this release.`,
    remedy: "Move that folder away, or name another one in STILL_LINE_DATA. Nothing in it was changed.",
  },
  "no-pictures": {
    title: "The folder of pictures is missing",
    what: (place) => `${place} is not there, though the database names pictures in it.`,
    remedy:
      "Put it back, or restore the newest backup. To go on without them, make an empty folder of that name: their addresses then answer nothing.",
  },
  gone: {
    title: "The database is gone",
    what: (place) => `${place} was taken away while Still Line runs, so nothing that is saved would be kept.`,
    remedy: "Put it back where it was, and start Still Line again; or restore the newest backup.",
  },
  busy: {
    title: "Another program holds the database",
    what: (place) => `${place} is held by another program, and did not become free.`,
    remedy: "End what has it open: two servers on one folder, or a program that looks into databases.",
  },
};

export class DataTrouble extends Error {
  constructor(
    readonly code: TroubleCode,
    /** The file or folder that it is about. */
    readonly place: string,
    options?: ErrorOptions,
  ) {
    super(`${troubles[code].what(place)} ${troubles[code].remedy}`, options);
    this.name = "DataTrouble";
  }

  get title(): string {
    return troubles[this.code].title;
  }

  get what(): string {
    return troubles[this.code].what(this.place);
  }

  get remedy(): string {
    return troubles[this.code].remedy;
  }

  /** HTTP's own word for it (RFC 4918, 11.5); not one of those that a proxy says when the server is away. */
  get status(): 500 | 507 {
    return this.code === "full" ? 507 : 500;
  }
}

/** What SQLite (sqlite.org/rescode.html) and the system (POSIX, errno) say, by the beginning of their codes. */
const codes: readonly (readonly [start: string, code: TroubleCode])[] = [
  ["SQLITE_FULL", "full"],
  ["ENOSPC", "full"],
  ["EDQUOT", "full"],
  ["SQLITE_CORRUPT", "damaged"],
  ["SQLITE_NOTADB", "damaged"],
  ["SQLITE_READONLY", "not-writable"],
  ["SQLITE_CANTOPEN", "not-writable"],
  ["SQLITE_PERM", "not-writable"],
  ["EACCES", "not-writable"],
  ["EPERM", "not-writable"],
  ["EROFS", "not-writable"],
  ["ENOTDIR", "not-writable"],
  ["EEXIST", "not-writable"],
  ["SQLITE_BUSY", "busy"],
];

/** An error and what it was caused by, as far as that goes. */
function* causesOf(error: unknown): Generator<object> {
  let at = error;
  for (let depth = 0; depth < 8 && typeof at === "object" && at !== null; depth += 1) {
    yield at;
    at = "cause" in at ? at.cause : null;
  }
}

/** The trouble that an error tells of, at a place; null for one of another kind. */
export function troubleOf(error: unknown, place: string): DataTrouble | null {
  for (const cause of causesOf(error)) {
    if (cause instanceof DataTrouble) return cause;
    const { code, message } = cause as { code?: unknown; message?: unknown };
    const said = typeof code === "string" ? code : "";
    const found = codes.find(([start]) => said.startsWith(start));
    if (found) return new DataTrouble(found[1], place, { cause: error });
    // The driver has no code for a file that cannot be opened.
    if (typeof message === "string" && message.includes("Unable to open connection"))
      return new DataTrouble("not-writable", place, { cause: error });
  }
  return null;
}
