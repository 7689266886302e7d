/** Asking the server, with errors that carry its sentence. */

export class RequestError extends Error {
  constructor(
    message: string,
    /** 0 when no answer came at all. */
    readonly status: number,
    readonly code: string,
    readonly details: Readonly<Record<string, unknown>>,
  ) {
    super(message);
    this.name = "RequestError";
  }
}

export const noAnswer = "Still Line does not answer. Nothing is lost; please try again in a moment.";

/** Sends JSON or a form, and reads JSON. Rejects with a RequestError whose message can be shown. */
export async function request<T = void>(
  method: "GET" | "POST" | "PUT" | "PATCH" | "DELETE",
  path: string,
  body?: unknown,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined
        ? {}
        : body instanceof FormData
          ? { body }
          : { body: JSON.stringify(body), headers: { "content-type": "application/json" } }),
    });
  } catch {
    throw new RequestError(noAnswer, 0, "no-answer", {});
  }
  if (response.status === 204) return undefined as T;
  const answer = (await response.json().catch(() => null)) as
    { error?: { message: string; code: string } & Record<string, unknown> } | T | null;
  if (response.ok) return answer as T;
  const error = (answer as { error?: { message: string; code: string } } | null)?.error;
  throw new RequestError(
    error?.message ?? noAnswer,
    response.status,
    error?.code ?? "unforeseen",
    error ?? {},
  );
}
