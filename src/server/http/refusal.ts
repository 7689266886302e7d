/** A request that is refused for a reason that its sender can do something about. */
export class Refusal extends Error {
  constructor(
    readonly status: 400 | 403 | 404 | 409 | 413 | 415 | 421 | 422,
    readonly code: string,
    /** One sentence for people: what happened, what was kept, what to do. */
    message: string,
    /** More for the program that asked. */
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
    this.name = "Refusal";
  }
}

export const notFound = (what: string): Refusal =>
  new Refusal(404, "not-found", `There is no such ${what} any more.`);
