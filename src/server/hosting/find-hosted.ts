/**
 * What lies at public addresses: cuts, loops and files that links lead to, for whoever serves them. What has an address is
 * known before its bytes are read, so that those who have them already cost nothing.
 */
import { and, eq, isNull, sql } from "drizzle-orm";
import { readHostedPath } from "@/core/addresses";
import { fileTypeOf } from "@/core/links";
import type { Database } from "../database/database";
import { cuts, hostedFiles } from "../database/schema";
import type { DescribedBytes } from "../http/serve-bytes";
import type { PictureStore } from "../store/picture-store";
import { testPicture } from "./test-picture";

export interface Hosted extends DescribedBytes {
  /** Null where the store has lost them. */
  readonly read: () => Promise<Uint8Array | null>;
}

/** Finds by path, `/h/…`; null where there is nothing. Rejects where database or store cannot be read. */
export type FindHosted = (path: string) => Promise<Hosted | null>;

/** A way to find what is hosted, with its questions to the database prepared once. */
export function hostedIn(database: Database, store: () => PictureStore): FindHosted {
  const hash = sql.placeholder("hash");
  const fileName = sql.placeholder("fileName");
  const cutAt = database
    .select({ type: cuts.type, size: cuts.bytes })
    .from(cuts)
    .where(and(eq(cuts.hash, hash), eq(cuts.fileName, fileName), isNull(cuts.removedAt)))
    .prepare();
  const fileAt = database
    .select({ size: hostedFiles.bytes })
    .from(hostedFiles)
    .where(and(eq(hostedFiles.hash, hash), eq(hostedFiles.fileName, fileName)))
    .prepare();

  return async (path) => {
    const address = readHostedPath(path);
    if (!address) return null;
    const tag = address.hash;
    const file = fileTypeOf(address.fileName);
    if (file) {
      const [row] = await fileAt.all({ ...address });
      return row
        ? {
            size: row.size,
            type: file.type,
            disposition: file.shown ? "inline" : "attachment",
            tag,
            read: () => store().get({ kind: "file", ...address }),
          }
        : null;
    }
    const [row] = await cutAt.all({ ...address });
    if (row)
      return {
        size: row.size,
        type: `image/${row.type}`,
        disposition: "inline",
        tag,
        read: () => store().get({ kind: "cut", ...address, type: row.type }),
      };
    if (tag !== testPicture.hash) return null;
    const { bytes } = testPicture;
    return {
      size: bytes.length,
      type: "image/png",
      disposition: "inline",
      tag,
      read: () => Promise.resolve(bytes),
    };
  };
}
