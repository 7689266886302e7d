/** Bytes that never change under their address, as HTTP gives them out: whole, in part, or not again (RFC 9110, RFC 8246). */

/** What is known of some bytes before they are read. */
export interface DescribedBytes {
  /** How many they are. */
  readonly size: number;
  /** Their media type. */
  readonly type: string;
  readonly disposition: "inline" | "attachment";
  /** What tells these bytes from all others; letters and digits. */
  readonly tag: string;
}

/** Whether one of the tags of a header is ours; compared weakly (RFC 9110, 8.8.3.2 and 13.1.2). */
const holds = (header: string, tag: string): boolean =>
  header.trim() === "*" || header.split(",").some((one) => one.trim().replace(/^W\//, "") === tag);

export interface Span {
  readonly from: number;
  /** After its last byte. */
  readonly to: number;
}

/**
 * The one span of bytes that a Range header asks for (RFC 9110, 14.1.2). Null for what is none or several, which are given
 * whole; "outside" for one that begins after the end.
 */
function readSpan(header: string, size: number): Span | "outside" | null {
  const [whole, first = "", last = ""] = /^bytes=(\d*)-(\d*)$/.exec(header.trim()) ?? [];
  if (whole === undefined || (first === "" && last === "")) return null;
  if (first === "") {
    const length = Math.min(size, Number(last));
    return length > 0 ? { from: size - length, to: size } : "outside";
  }
  const from = Number(first);
  const to = last === "" ? size : Math.min(size, Number(last) + 1);
  if (last !== "" && Number(last) < from) return null;
  return from < size ? { from, to } : "outside";
}

const forever = "public, max-age=31536000, immutable";

/** What of a request decides the answer. */
export interface Asked {
  readonly method: string;
  /** The value of a header by its name in lower case; null or undefined where it is not there. */
  readonly header: (name: string) => string | null | undefined;
}

export interface AnswerPlan {
  readonly status: 200 | 206 | 304 | 416;
  readonly headers: Readonly<Record<string, string>>;
  /** The bytes to send; null for none, which then need not be read. */
  readonly span: Span | null;
}

/** How a GET or HEAD of some bytes is answered. */
export function planAnswer({ method, header }: Asked, described: DescribedBytes): AnswerPlan {
  const { size, type, disposition, tag } = described;
  const quoted = `"${tag}"`;
  const headers = {
    etag: quoted,
    "cache-control": forever,
    "access-control-allow-origin": "*",
    "cross-origin-resource-policy": "cross-origin",
    "x-content-type-options": "nosniff",
  };
  const known = header("if-none-match") ?? null;
  if (known !== null && holds(known, quoted)) return { status: 304, headers, span: null };

  const asked = method === "GET" ? (header("range") ?? null) : null;
  // A part is of use only to those who have the rest of the same bytes (RFC 9110, 13.1.5).
  const same = (header("if-range") ?? quoted) === quoted;
  const part = asked !== null && same ? readSpan(asked, size) : null;
  if (part === "outside")
    return { status: 416, headers: { ...headers, "content-range": `bytes */${size}` }, span: null };
  const { from, to } = part ?? { from: 0, to: size };
  return {
    status: part ? 206 : 200,
    headers: {
      ...headers,
      "accept-ranges": "bytes",
      "content-type": type,
      "content-disposition": disposition,
      "content-length": String(to - from),
      ...(part && {
        "content-range": `bytes ${from}-${to - 1}/${size}`,
        // A part that something packed on the way would be a part of nothing.
        "cache-control": `${forever}, no-transform`,
      }),
    },
    span: method === "HEAD" ? null : { from, to },
  };
}

export interface ServedBytes extends Omit<DescribedBytes, "size"> {
  readonly bytes: Uint8Array;
}

/** Answers a GET or HEAD with bytes that are at hand. */
export function serveBytes(request: Request, { bytes, ...described }: ServedBytes): Response {
  const { method, headers: sent } = request;
  const asked = { method, header: (name: string) => sent.get(name) };
  const { status, headers, span } = planAnswer(asked, { ...described, size: bytes.length });
  return new Response(span && new Uint8Array(bytes.subarray(span.from, span.to)), { status, headers });
}
