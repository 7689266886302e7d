/** Finds what is hosted by a connection of its own that only reads, opened when it is first needed. */
import { LRUCache } from "lru-cache";
import { openReader } from "../database/database";
import { pictureStore } from "../store/store";
import { hostedIn, type FindHosted, type Hosted } from "./find-hosted";

/** Bytes that were sent lately, by what they are: they never change, so that only which are there has to be asked again. */
const sentLately = new LRUCache<string, Uint8Array>({
  maxSize: 32 * 2 ** 20,
  maxEntrySize: 2 ** 20,
  sizeCalculation: (bytes) => bytes.length,
});

const readOnce = (path: string, hosted: Hosted): Hosted => ({
  ...hosted,
  read: async () => {
    const before = sentLately.get(path);
    if (before) return before;
    const bytes = await hosted.read();
    if (bytes && bytes.length > 0) sentLately.set(path, bytes);
    return bytes;
  },
});

/** A failure to open is not kept: the next request tries again. */
export function sharedFinder(): () => Promise<FindHosted> {
  let opened: Promise<FindHosted> | null = null;
  return () => {
    opened ??= openReader()
      .then((database) => {
        const find = hostedIn(database, pictureStore);
        return async (path: string) => {
          const hosted = await find(path);
          return hosted && readOnce(path, hosted);
        };
      })
      .catch((error: unknown) => {
        opened = null;
        throw error;
      });
    return opened;
  };
}
