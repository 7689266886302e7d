/** Why a signature could not be put into a file: one sentence that can be shown, with what to do. */
export class GraftError extends Error {}
