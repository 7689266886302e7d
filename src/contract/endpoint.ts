/**
 * What an endpoint is to both sides: its method and path, what it takes and what it answers. Handlers are made from
 * endpoints, and the interface calls through them, so neither writes a path or the type of an answer a second time.
 */
import type { Value } from "@/core/values";

export type Method = "GET" | "POST" | "PUT" | "PATCH" | "DELETE";

/** The parameters of a path: `{ id: string }` for `/api/signatures/:id`. */
export type ParamsOf<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? { readonly [K in Name]: string } & ParamsOf<`/${Rest}`>
  : P extends `${string}:${infer Name}`
    ? Readonly<Record<Name, string>>
    : unknown;

/** How an answer comes: as JSON, as JSON line by line while it is made, or as bytes. */
export type AnswerForm = "json" | "lines" | "bytes";

export interface Endpoint<P extends string, Query, Body, Answer, Form extends AnswerForm = "json"> {
  readonly method: Method;
  readonly path: P;
  /** What follows the path after a question mark. */
  readonly query: Value<Query> | null;
  /** The JSON that it takes. */
  readonly body: Value<Body> | null;
  /** The most bytes of that JSON. */
  readonly mostBody: number;
  /** The most bytes of the one file that it takes as a form; null where it takes none. */
  readonly file: number | null;
  readonly form: Form;
  /** Tells the type of an answer; never there. */
  readonly answer?: Answer;
}

export type AnyEndpoint = Endpoint<string, unknown, unknown, unknown, AnswerForm>;

interface Taking<P extends string, Query, Body> {
  readonly query: <Q>(query: Value<Q>) => Taking<P, Q, Body>;
  /** `most` in bytes; 2 MB where nothing is said. */
  readonly body: <B>(body: Value<B>, most?: number) => Taking<P, Query, B>;
  readonly file: (most: number) => Taking<P, Query, Body>;
  /** Answers with JSON; `void` is an answer without content. */
  readonly json: <A>() => Endpoint<P, Query, Body, A>;
  readonly lines: <A>() => Endpoint<P, Query, Body, A, "lines">;
  readonly bytes: () => Endpoint<P, Query, Body, never, "bytes">;
}

interface Plan<P extends string> {
  readonly method: Method;
  readonly path: P;
  readonly query: Value<unknown> | null;
  readonly body: Value<unknown> | null;
  readonly mostBody: number;
  readonly file: number | null;
}

const usualBody = 2 * 1024 * 1024;

function taking<P extends string, Query, Body>(plan: Plan<P>): Taking<P, Query, Body> {
  // The plan holds what the types say: each step adds the value that its type was taken from.
  const ending = <A, Form extends AnswerForm>(form: Form) =>
    ({ ...plan, form }) as Endpoint<P, Query, Body, A, Form>;
  return {
    query: (query) => taking({ ...plan, query }),
    body: (body, mostBody = usualBody) => taking({ ...plan, body, mostBody }),
    file: (file) => taking({ ...plan, file }),
    json: <A>() => ending<A, "json">("json"),
    lines: <A>() => ending<A, "lines">("lines"),
    bytes: () => ending<never, "bytes">("bytes"),
  };
}

const begin =
  (method: Method) =>
  <const P extends string>(path: P): Taking<P, null, null> =>
    taking({ method, path, query: null, body: null, mostBody: usualBody, file: null });

export const get = begin("GET");
export const post = begin("POST");
export const put = begin("PUT");
export const patch = begin("PATCH");
export const remove = begin("DELETE");

/** What follows the path, by name. */
export type Query<Q> = Readonly<Partial<Record<keyof Q & string, string | number>>>;

/** The address of an endpoint, its parameters escaped. Throws a RangeError where one is missing. */
export function addressOf<P extends string, Q>(
  { path }: Pick<Endpoint<P, Q, unknown, unknown, AnswerForm>, "path">,
  params: ParamsOf<P>,
  query?: Query<Q>,
): string {
  const known = params as Readonly<Record<string, string>>;
  const filled = path.replace(/:([a-zA-Z]+)/g, (_whole, name: string) => {
    const value = known[name];
    if (value === undefined) throw new RangeError(`The path ${path} lacks its ${name}`);
    return encodeURIComponent(value);
  });
  const asked = new URLSearchParams(
    Object.entries<string | number | undefined>(query ?? {}).flatMap(([name, value]) =>
      value === undefined ? [] : [[name, String(value)]],
    ),
  ).toString();
  return asked ? `${filled}?${asked}` : filled;
}
