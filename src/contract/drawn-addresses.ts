/** Where pictures are drawn from that have no public address: those that a client has itself, and those that came with a letter. */
import type { DeskClientId } from "@/core/desks";
import { addressOf } from "./endpoint";
import { endpoints } from "./endpoints";

/** A file that came with a letter, by its content id. */
export const partAddress = (person: string, letter: string, id: string): string =>
  addressOf(endpoints.letterPart, { person, letter }, { id });

/** A client's own pictures, by content id; `pictures` says where each lies among its files. */
export const heldAddresses = (
  person: string,
  client: DeskClientId,
  pictures: Readonly<Record<string, string>>,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(pictures).map(([id, path]) => [
      id,
      addressOf(endpoints.deskFile, { person, client }, { path }),
    ]),
  );
