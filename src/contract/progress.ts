/** Long work that is done for many people, as the server tells of it line by line. */

/** How far it is. */
export interface Progress {
  readonly kind: "progress";
  readonly done: number;
  readonly all: number;
}

/** For whom it could not be done, and why. */
export interface FailedFor {
  readonly name: string;
  readonly reason: string;
}
