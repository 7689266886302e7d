/** A signature that a client holds in files, as the client draws it. */
import { addressOf, endpoints, type Desk } from "@/contract";
import { received, type StandInId } from "@/core/clients";
import type { HeldSignature } from "@/core/desks";
import { formatCount } from "../../parts/format";
import { drawnInBox } from "./rich-box";

/** Where the client's own pictures are drawn from, by content id. */
export const heldPictures = (desk: Desk, { pictures }: HeldSignature): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(pictures).map(([id, path]) => [
      id,
      addressOf(endpoints.deskFile, { person: desk.person.id, client: desk.client }, { path }),
    ]),
  );

export const heldHtml = (desk: Desk, signature: HeldSignature, standIn: StandInId): string =>
  drawnInBox(received(signature.html, standIn).html, heldPictures(desk, signature));

/** How many pictures it has with it, in words. */
export const picturesSaid = ({ pictures }: HeldSignature): string => {
  const count = Object.keys(pictures).length;
  return count === 0 ? "none beside it" : `${formatCount(count, "picture")} beside it`;
};
