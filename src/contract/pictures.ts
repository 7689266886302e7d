/** Pictures as the interface knows them: originals, cuts and loops, where they are used, and what becomes of them. */
import type { LinkAnswer, AddressReport } from "@/core/links";
import type {
  BudgetKind,
  Difference,
  Format,
  HostedType,
  LoopRecipe,
  OriginalType,
  Recipe,
  Size,
} from "@/core/pictures";

export interface Original extends Size {
  /** Content hash of the untouched bytes. */
  readonly hash: string;
  readonly name: string;
  readonly type: OriginalType;
  readonly bytes: number;
  readonly transparent: boolean;
  /** 1 for a still picture. */
  readonly frames: number;
  readonly createdAt: number;
}

/** A cut or loop; its size is the display size, in CSS px. */
export interface Cut extends Size {
  /** Its hosted path, or the address of a copy that is published elsewhere. */
  readonly source: string;
  readonly fileName: string;
  /** Null for a loop of text. */
  readonly originalHash: string | null;
  readonly originalName: string;
  readonly type: HostedType;
  /** Size of the file, px. */
  readonly pixels: Size;
  /** Pixels that the crop would need for its density; null where it has enough. */
  readonly needed: Size | null;
  readonly use: BudgetKind;
  /** Null for a loop. */
  readonly recipe: Recipe | null;
  /** Null for a still picture. */
  readonly loop: LoopRecipe | null;
  readonly bytes: number;
}

export interface CatalogueCut extends Cut {
  /** Names of the signatures that use it. */
  readonly usedIn: readonly string[];
}

export interface CatalogueEntry {
  readonly original: Original;
  readonly cuts: readonly CatalogueCut[];
}

export interface Catalogue {
  /** Newest first. */
  readonly entries: readonly CatalogueEntry[];
  readonly loops: readonly CatalogueCut[];
  /** How many originals there are that hold what was looked for: the newest are here. */
  readonly found: number;
}

/** Files that were not taken, with the sentence that says why. */
export interface RefusedFile {
  readonly name: string;
  readonly message: string;
}

export interface AddedFiles {
  readonly originals: readonly Original[];
  readonly refused: readonly RefusedFile[];
  /** Sentences about those that were taken, and of which something is not used. */
  readonly notes: readonly string[];
}

/** What a recipe would come out as; sizes of the file are px, pictures are data addresses. */
export interface CutPreview extends Size {
  readonly type: "png" | "jpeg";
  readonly format: Exclude<Format, { kind: "lightest" }>;
  /** From the picture as it was drawn. */
  readonly difference: Difference;
  readonly needed: Size | null;
  readonly use: BudgetKind;
  /** The path that keeping it would give it, or has given it already. */
  readonly source: string;
  readonly bytes: number;
  /** As it is sent. */
  readonly picture: string;
  /** With every colour, as it was drawn. */
  readonly drawn: string;
  readonly drawnBytes: number;
}

/** A loop as it would be sent; its size is that of the file, px. */
export interface LoopPreview extends Size {
  readonly bytes: number;
  readonly frames: number;
  readonly colors: number;
  /** A data address. */
  readonly picture: string;
}

/** What took an original's place. */
export interface Replacement {
  readonly original: Original;
  /** How many cuts and loops were made again. */
  readonly cuts: number;
  /** How many signatures show the new ones. */
  readonly signatures: number;
}

export interface Unused {
  readonly cuts: readonly Cut[];
  /** Those without any cut that is used. */
  readonly originals: readonly Original[];
}

/** Pictures that are taken out of the library, and can be taken back. */
export interface Removal {
  /** Hosted paths. */
  readonly cuts: readonly string[];
  readonly originals: readonly string[];
}

export interface ForeignPicture extends AddressReport {
  /** ms since 1970. */
  readonly checkedAt: number;
}

export interface AddressCheck {
  /** `reached`: everybody finds the pictures there; `here-only`: only this machine or network does. */
  readonly verdict: "reached" | "here-only" | "failed";
  readonly message: string;
  readonly at: number;
}

export interface PublicAddress {
  readonly base: string;
  /** Whether somebody set it here; else it comes from the environment. */
  readonly set: boolean;
  readonly check: AddressCheck | null;
}

export interface PublishedPicture {
  readonly name: string;
  readonly from: string;
  readonly address: string;
  readonly ok: boolean;
  readonly message: string;
}

export interface Publication {
  readonly pictures: readonly PublishedPicture[];
  /** Whether all were there, so that the signature was rewritten. */
  readonly rewritten: boolean;
}

export interface KeptAnswer extends LinkAnswer {
  /** ms since 1970. */
  readonly walkedAt: number;
}
