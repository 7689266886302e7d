/** The parts of packages without types of their own that lines are broken and turned with. */
declare module "linebreak" {
  /** Where lines may be broken (Unicode UAX 14), from the beginning of a text on. */
  export default class LineBreaker {
    constructor(text: string);
    /** The next place, in UTF-16 units; null at the end. */
    nextBreak(): { readonly position: number; readonly required: boolean } | null;
  }
}

declare module "bidi-js" {
  export interface EmbeddingLevels {
    readonly levels: Uint8Array;
  }
  interface Bidi {
    getEmbeddingLevels(text: string, direction?: "ltr" | "rtl" | "auto"): EmbeddingLevels;
  }
  export default function bidiFactory(): Bidi;
}
