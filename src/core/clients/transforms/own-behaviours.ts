/** What kinds of client do beside the tables, by the names under which a stand-in's entry lists it. */
import type { KindFacts } from "../facts/kind-facts";
import type { OwnMessage } from "../message";
import { attachedPicturesByStyle } from "./attached-pictures-by-style";
import { breakLongWords } from "./break-long-words";
import { drawByDocumentEngine } from "./document-engine";
import { fixTables } from "./fix-tables";
import { inlineStylesOnly } from "./inline-styles-only";
import { prefixIds } from "./prefix-ids";
import { wrapPictures } from "./wrap-pictures";

export type OwnBehaviour =
  | "inline-styles-only"
  | "long-words-broken"
  | "ids-prefixed"
  | "pictures-wrapped"
  | "document-engine"
  | "tables-fixed"
  | "attached-pictures-by-style";

/** How a proof is drawn. */
export interface Display {
  /** How much larger text is drawn than at 96 dpi: 1, 1.25 or 1.5. */
  readonly scale: number;
}

export type Behaviour = (message: OwnMessage, facts: KindFacts, display: Display) => void;

/** Carried out after the tables. */
export const ownBehaviours: Readonly<Record<OwnBehaviour, Behaviour>> = {
  "inline-styles-only": inlineStylesOnly,
  "long-words-broken": breakLongWords,
  "ids-prefixed": prefixIds,
  "pictures-wrapped": wrapPictures,
  "document-engine": drawByDocumentEngine,
  "tables-fixed": fixTables,
  "attached-pictures-by-style": attachedPicturesByStyle,
};
