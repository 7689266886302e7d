/** Files of a kit as one. */
import { zipSync } from "fflate";
import type { KitFile } from "./kits";

/** The first day that a zip can name: the same files are the same bytes whenever they are put together. */
const noTime = new Date(1980, 0, 1);

/** All files in a zip, at their paths. */
export const zipKit = (files: readonly KitFile[]): Uint8Array =>
  zipSync(Object.fromEntries(files.map(({ path, bytes }) => [path, bytes])), { mtime: noTime });
