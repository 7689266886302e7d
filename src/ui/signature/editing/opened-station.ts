import type { KeptAnswer, OpenSignature, Stillness } from "@/contract";
import type { Asides, ColorsBySource, DirectoryGaps, Finding, PictureFactsBySource } from "@/core/checks";
import type { NetworkKind } from "@/core/links";
import type { Person } from "@/core/people";

/** What a screen on which a signature is edited in single steps is opened with. */
export interface OpenedStation {
  readonly signature: OpenSignature;
  readonly person: Person | null;
  readonly base: string;
  readonly pictures: PictureFactsBySource;
  /** The colours of its hosted pictures, by their sources. */
  readonly colors: ColorsBySource;
  /** How many people of the directory lack each field. */
  readonly gaps: DirectoryGaps;
  /** Findings that are left as they are. */
  readonly asides: Asides;
  readonly answers: Readonly<Record<string, KeptAnswer>>;
  readonly organisation: string;
  readonly networks: readonly NetworkKind[];
  readonly findings: readonly Finding[];
  /** In how many proofs it was still when it was last measured, if it was measured as it is opened. */
  readonly kept: Stillness | null;
}
