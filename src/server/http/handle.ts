/** Handlers made from endpoints of the contract: what comes in is checked, what goes out has the type that both know. */
import type { Endpoint, ParamsOf } from "@/contract";
import { readInput } from "@/contract/yup-of";
import { troubleSince } from "../database/database";
import { describeFault, sayFault } from "../log";
import { readFile, type UploadedFile } from "./read-file";
import { Refusal } from "./refusal";
import { route } from "./route";

/** What a handler is given: only what its endpoint takes. */
export interface Asked<P extends string, Query, Body> {
  readonly params: ParamsOf<P>;
  readonly query: Query;
  readonly body: Body;
  /** The one file of an upload; asked for only where the endpoint takes one. */
  readonly file: () => UploadedFile;
  /** Aborted when the other side has left. */
  readonly signal: AbortSignal;
}

type Answering<Answer, Form> = Form extends "json" ? Answer : Response;
type Handler<P extends string, Query, Body, Answer, Form> = (
  asked: Asked<P, Query, Body>,
) => Promise<Answering<Answer, Form>>;

const tooLarge = (most: number): Refusal =>
  new Refusal(
    413,
    "too-many-bytes",
    `What was sent is larger than ${Math.round(most / 1024 / 1024)} MB. Nothing was changed.`,
  );

/** A body as text. Refuses what is over so many bytes as soon as that shows. */
async function readText(request: Request, most: number): Promise<string> {
  if (Number(request.headers.get("content-length") ?? 0) > most) throw tooLarge(most);
  const chunks: Uint8Array[] = [];
  const reader = request.body?.getReader();
  let size = 0;
  for (let read = await reader?.read(); read && !read.done; read = await reader?.read()) {
    size += read.value.length;
    if (size > most) {
      await reader?.cancel();
      throw tooLarge(most);
    }
    chunks.push(read.value);
  }
  return new TextDecoder().decode(Buffer.concat(chunks));
}

async function readJson(request: Request, most: number): Promise<unknown> {
  const text = await readText(request, most);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Refusal(400, "bad-input", "The request is not JSON.");
  }
}

/** The route handler of an endpoint. */
export const handle = <P extends string, Query, Body, Answer, Form extends "json" | "lines" | "bytes">(
  endpoint: Endpoint<P, Query, Body, Answer, Form>,
  handler: Handler<P, Query, Body, Answer, Form>,
) =>
  route<ParamsOf<P>>(async (request, params) => {
    // What is said to be saved has to be somewhere.
    const trouble = request.method === "GET" ? null : await troubleSince();
    if (trouble) throw trouble;
    const query = endpoint.query
      ? await readInput(endpoint.query, Object.fromEntries(new URL(request.url).searchParams))
      : (null as Query);
    const body = endpoint.body
      ? await readInput(endpoint.body, await readJson(request, endpoint.mostBody))
      : (null as Body);
    const file = endpoint.file === null ? null : await readFile(request, endpoint.file);
    const answer: unknown = await handler({
      params,
      query,
      body,
      file: () => {
        if (!file) throw new TypeError(`${endpoint.path} takes no file`);
        return file;
      },
      signal: request.signal,
    });
    return answer as Response | object | undefined;
  });

/** Bytes as an answer, shown by what asked for them and nobody else. */
export const bytesAnswer = (bytes: Uint8Array, headers: Readonly<Record<string, string>>): Response =>
  new Response(new Uint8Array(bytes), { headers });

/** Values that are answered as they come, each as a line of JSON; the other side's leaving aborts what makes them. */
export function linesAnswer<T>(
  make: (send: (value: T) => void, signal: AbortSignal) => Promise<void>,
  left: AbortSignal,
): Response {
  const stopped = new AbortController();
  left.addEventListener("abort", () => stopped.abort());
  const { signal } = stopped;
  const encoder = new TextEncoder();
  const lines = new ReadableStream<Uint8Array>({
    async start(controller) {
      try {
        await make((value) => {
          if (!signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
        }, signal);
        if (!signal.aborted) controller.close();
      } catch (error) {
        sayFault(describeFault(error));
        controller.error(error);
      }
    },
    cancel: () => stopped.abort(),
  });
  return new Response(lines, {
    headers: { "content-type": "application/x-ndjson", "cache-control": "no-store" },
  });
}
