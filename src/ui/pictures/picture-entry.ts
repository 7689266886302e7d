/** Pictures as the views list them. */
export interface ListedCut {
  readonly source: string;
  /** Display size, CSS px. */
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
  readonly type: "png" | "jpeg";
  readonly usedIn: readonly string[];
}

export interface ListedPicture {
  readonly original: {
    readonly hash: string;
    readonly name: string;
    readonly type: "png" | "jpeg";
    /** px. */
    readonly width: number;
    readonly height: number;
    readonly bytes: number;
    readonly transparent: boolean;
  };
  readonly cuts: readonly ListedCut[];
}
