/** Icons as the interface knows them. */
import { contentHash } from "@/core/addresses";
import { tagged, text, type TypeOf } from "@/core/values";
import type { OriginalType } from "@/core/pictures";
import type { Cut, RefusedFile } from "./pictures";

/** An icon of the user's own. */
export interface OwnIcon {
  /** Hash of its original. */
  readonly hash: string;
  readonly name: string;
  readonly pack: string;
  readonly type: OriginalType;
  readonly width: number;
  readonly height: number;
  /** Where it came from, in the user's own words. */
  readonly note: string;
}

export interface AddedIcons {
  readonly icons: readonly OwnIcon[];
  /** Files of a zip that were left for a better one of the same icon. */
  readonly leftOut: number;
  readonly refused: readonly RefusedFile[];
}

/** What an icon of a row is made from: a glyph, an icon or picture of the library, or one that is in a row already. */
export const iconChoice = tagged("kind", {
  glyph: { glyph: text(60) },
  own: { hash: contentHash("an icon") },
  placed: { source: text(2000) },
});
export type IconChoice = TypeOf<typeof iconChoice>;

export interface DrawnIcon {
  /** Null for a picture from elsewhere, which stays as it is. */
  readonly cut: Cut | null;
  readonly name: string;
}
