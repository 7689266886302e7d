/** Bytes that never change under their address, as HTTP gives them out: whole, in part, or not again (RFC 9110, RFC 8246). */

export interface ServedBytes {
  readonly bytes: Uint8Array;
  /** Its media type. */
  readonly type: string;
  readonly disposition: "inline" | "attachment";
  /** What tells these bytes from all others; letters and digits. */
  readonly tag: string;
}

/** Whether one of the tags of a header is ours; compared weakly (RFC 9110, 8.8.3.2 and 13.1.2). */
const holds = (header: string, tag: string): boolean =>
  header.trim() === "*" || header.split(",").some((one) => one.trim().replace(/^W\//, "") === tag);

interface Span {
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

/** Answers a GET or HEAD. */
export function serveBytes(request: Request, { bytes, type, disposition, tag }: ServedBytes): Response {
  const quoted = `"${tag}"`;
  const headers = {
    etag: quoted,
    "cache-control": forever,
    "access-control-allow-origin": "*",
    "cross-origin-resource-policy": "cross-origin",
    "x-content-type-options": "nosniff",
  };
  const known = request.headers.get("if-none-match");
  if (known !== null && holds(known, quoted)) return new Response(null, { status: 304, headers });

  const size = bytes.length;
  const whole = {
    ...headers,
    "accept-ranges": "bytes",
    "content-type": type,
    "content-disposition": disposition,
  };
  const asked = request.method === "GET" ? request.headers.get("range") : null;
  // A part is of use only to those who have the rest of the same bytes (RFC 9110, 13.1.5).
  const same = (request.headers.get("if-range") ?? quoted) === quoted;
  const span = asked !== null && same ? readSpan(asked, size) : null;
  if (span === "outside")
    return new Response(null, { status: 416, headers: { ...headers, "content-range": `bytes */${size}` } });
  const { from, to } = span ?? { from: 0, to: size };
  return new Response(request.method === "HEAD" ? null : new Uint8Array(bytes.subarray(from, to)), {
    status: span ? 206 : 200,
    headers: {
      ...whole,
      "content-length": String(to - from),
      ...(span && {
        "content-range": `bytes ${from}-${to - 1}/${size}`,
        // A part that something packed on the way would be a part of nothing.
        "cache-control": `${forever}, no-transform`,
      }),
    },
  });
}
