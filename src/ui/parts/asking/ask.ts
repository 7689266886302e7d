/** Asking the server through the contract: what is sent and what comes back have the types that both sides know. */
import { addressOf, type AnyEndpoint, type Endpoint, type ParamsOf, type Query } from "@/contract";

export class RequestError extends Error {
  constructor(
    message: string,
    /** 0 when no answer came at all. */
    readonly status: number,
    readonly code: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
    this.name = "RequestError";
  }
}

export const noAnswer = "Still Line does not answer. Nothing is lost; please try again in a moment.";

/** What an endpoint has to be given: only what it takes. */
type Given<P extends string, Q, B> = (unknown extends ParamsOf<P>
  ? unknown
  : { readonly params: ParamsOf<P> }) &
  ([Q] extends [null] ? unknown : { readonly query: Query<Q> }) &
  ([B] extends [null] ? unknown : { readonly body: B });

/** Nothing has to be given where nothing is taken. */
type Arguments<P extends string, Q, B, More = unknown> =
  unknown extends Given<P, Q, B> ? [given?: More] : [given: Given<P, Q, B> & More];

interface Loose {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Query<Record<string, unknown>>;
  readonly body?: unknown;
  readonly keepalive?: boolean;
}

const pathOf = ({ path }: AnyEndpoint, { params, query }: Loose): string =>
  addressOf({ path }, params ?? {}, query);

/** What the server says is wrong, as it is shown. */
function errorOf(status: number, answer: unknown): RequestError {
  const { error } = (answer ?? {}) as { error?: { message: string; code: string } & Record<string, unknown> };
  return new RequestError(error?.message ?? noAnswer, status, error?.code ?? "unforeseen", error);
}

async function fetched(endpoint: AnyEndpoint, given: Loose, signal?: AbortSignal): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(pathOf(endpoint, given), {
      method: endpoint.method,
      ...(given.body === undefined
        ? {}
        : { body: JSON.stringify(given.body), headers: { "content-type": "application/json" } }),
      ...(given.keepalive ? { keepalive: true } : {}),
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new RequestError(noAnswer, 0, "no-answer");
  }
  if (!response.ok) throw errorOf(response.status, await response.json().catch(() => null));
  return response;
}

/**
 * Sends JSON and reads JSON. Rejects with a RequestError whose message can be shown. `keepalive` lets it be finished
 * after the page is left.
 */
export async function ask<P extends string, Q, B, A>(
  endpoint: Endpoint<P, Q, B, A>,
  ...[given]: Arguments<P, Q, B, { readonly keepalive?: boolean }>
): Promise<A> {
  const response = await fetched(endpoint, given ?? {});
  if (response.status === 204) return undefined as A;
  const answer = (await response.json().catch(() => undefined)) as A | undefined;
  if (answer === undefined) throw new RequestError(noAnswer, response.status, "unforeseen");
  return answer;
}

interface Sending {
  readonly file: File;
  /** Called with 0 to 1. */
  readonly onProgress?: (part: number) => void;
  readonly signal?: AbortSignal;
}

/** Sends one file as a form, with its progress. Rejects with a RequestError whose message can be shown. */
export function send<P extends string, Q, A>(
  endpoint: Endpoint<P, Q, null, A>,
  { file, onProgress, signal, ...given }: Sending & Given<P, Q, null>,
): Promise<A> {
  return new Promise((resolve, reject) => {
    // Only XMLHttpRequest tells how much of an upload has gone.
    const sending = new XMLHttpRequest();
    sending.open(endpoint.method, pathOf(endpoint, given));
    sending.responseType = "json";
    sending.upload.onprogress = (event) => {
      onProgress?.(event.lengthComputable ? event.loaded / event.total : 0);
    };
    sending.onload = () => {
      if (sending.status === 200 && sending.response) resolve(sending.response as A);
      else reject(errorOf(sending.status, sending.response));
    };
    sending.onerror = () => reject(new RequestError(noAnswer, 0, "no-answer"));
    sending.onabort = () => reject(new RequestError("The upload was stopped.", 0, "stopped"));
    signal?.addEventListener("abort", () => sending.abort());
    const form = new FormData();
    form.set("file", file);
    sending.send(form);
  });
}

/** Hands on each line of an answer as it comes. Rejects when it is aborted, or the server breaks off. */
export async function follow<P extends string, Q, B, A>(
  endpoint: Endpoint<P, Q, B, A, "lines">,
  given: Given<P, Q, B> & { readonly signal: AbortSignal },
  onValue: (value: A) => void,
): Promise<void> {
  const { body } = await fetched(endpoint, given as Loose, given.signal);
  if (!body) return;
  const reader = body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (;;) {
    const { value, done } = await reader.read();
    const lines = (rest + (value ?? "")).split("\n");
    rest = lines.pop() ?? "";
    for (const line of lines) if (line) onValue(JSON.parse(line) as A);
    if (done) return;
  }
}
