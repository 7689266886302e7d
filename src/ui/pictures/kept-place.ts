/** Where a cut or loop goes when it is kept: into the signature that it was opened from, or the library. */
import { endpoints, type Cut } from "@/contract";
import { ask } from "../parts/asking/ask";

/** The signature whose picture is changed, and the picture's address there. */
export interface ChangedPicture {
  readonly id: string;
  readonly name: string;
  readonly source: string;
}

/** Puts a cut in the place of the picture. */
export const putInPlace = ({ id, source }: ChangedPicture, cut: Cut): Promise<void> =>
  ask(endpoints.swapPicture, { params: { id }, body: { from: source, to: cut.source } });
