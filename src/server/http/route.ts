/**
 * The frame around every route handler: requests under other names and from other sites are turned away, refusals become their
 * status with a sentence, trouble with the data folder is told as what it is, and anything unforeseen is logged and answered
 * without its inside.
 */
import { ValidationError } from "yup";
import { dataTroubleIn } from "../database/database";
import { describeFault, sayFault } from "../log";
import { refusalOf } from "./own-hosts";
import { Refusal } from "./refusal";

interface Context<P> {
  readonly params: Promise<P>;
}

type Handler<P> = (request: Request, params: P) => Promise<Response | object | void>;

/** A page of another site may make a browser send requests here, but must not get them carried out. */
function turnAwayOthers(request: Request): void {
  const refusal = refusalOf(request);
  if (refusal) throw new Refusal(refusal.status, refusal.code, refusal.message);
}

const failure = (status: number, code: string, message: string, details = {}): Response =>
  Response.json({ error: { code, message, ...details } }, { status });

export const route =
  <P = Record<string, never>>(handler: Handler<P>) =>
  async (request: Request, context: Context<P>): Promise<Response> => {
    try {
      turnAwayOthers(request);
      const answer = await handler(request, await context.params);
      if (answer instanceof Response) return answer;
      return answer === undefined ? new Response(null, { status: 204 }) : Response.json(answer);
    } catch (error) {
      if (error instanceof Refusal) return failure(error.status, error.code, error.message, error.details);
      if (error instanceof ValidationError) return failure(400, "bad-input", error.message);
      const trouble = dataTroubleIn(error);
      if (trouble)
        return failure(trouble.status, `data-${trouble.code}`, trouble.message, { title: trouble.title });
      sayFault(describeFault(error));
      return failure(500, "unforeseen", "Something went wrong here; nothing was changed. Please try again.");
    }
  };
