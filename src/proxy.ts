/**
 * What every page has: it is shown under names of our own only, and its content security policy has scripts by nonce only,
 * and nothing from other sites but pictures.
 */
import { NextResponse, type NextRequest } from "next/server";
import { findTrouble } from "./server/database/database";
import { troubleHeaders, troublePage } from "./server/http/trouble-page";
import { refusalOf } from "./server/http/own-hosts";

const development = process.env.NODE_ENV === "development";

function policy(nonce: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ""}`,
    // Signatures are made of inline styles.
    "style-src 'self' 'unsafe-inline'",
    "worker-src 'self'",
    "img-src 'self' blob: data: http: https:",
    "font-src 'self'",
    "connect-src 'self'",
    "frame-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'self'",
  ].join("; ");
}

export async function proxy(request: NextRequest): Promise<NextResponse> {
  const refusal = refusalOf(request);
  if (refusal) return new NextResponse(`${refusal.message}\n`, { status: refusal.status });
  const trouble = await findTrouble();
  if (trouble)
    return new NextResponse(troublePage(trouble), { status: trouble.status, headers: troubleHeaders });
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy(nonce));
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy(nonce));
  response.headers.set("x-content-type-options", "nosniff");
  response.headers.set("referrer-policy", "same-origin");
  return response;
}

export const config = { matcher: ["/((?!_next/static|_next/image|h/|fonts/|api/|favicon.ico|icon.svg).*)"] };
