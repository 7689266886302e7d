/** Where a cut or loop goes when it is kept: into the signature that it was opened from, or the library. */
import type { Cut } from "@/server/pictures/cuts";
import { request } from "../parts/request";

/** The signature whose picture is changed, and the picture's address there. */
export interface ChangedPicture {
  readonly id: string;
  readonly name: string;
  readonly source: string;
}

/** Puts a cut in the place of the picture. */
export const putInPlace = ({ id, source }: ChangedPicture, cut: Cut): Promise<void> =>
  request("PUT", `/api/signatures/${id}/pictures`, { from: source, to: cut.source });
