import { drawnFrom } from "@/contract";
import { siteAnswer } from "@/server/invented-sites/sites";

interface Context {
  readonly params: Promise<{ address: string[] }>;
}

/** A redirect goes on on the invented sites. */
function leadOn(headers: Readonly<Record<string, string>>, from: string): Readonly<Record<string, string>> {
  const { location } = headers;
  return location ? { ...headers, location: drawnFrom(new URL(location, from).href) } : headers;
}

/** What an invented address answers a reader: `/invented-sites/HOST/PATH`. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const [host, ...path] = (await params).address;
  const address = `https://${host}/${path.join("/")}`;
  const answer = URL.canParse(address) ? await siteAnswer(new URL(address), {}) : null;
  if (!answer) return new Response("There is no such host.\n", { status: 404 });
  if (answer.breaks) return new Response(`The connection breaks off: ${answer.breaks}.\n`, { status: 502 });
  if (answer.after) await new Promise((resolve) => setTimeout(resolve, answer.after));
  const body = typeof answer.body === "string" ? answer.body : new Uint8Array(answer.body);
  return new Response(body, {
    status: answer.status,
    headers: { ...leadOn(answer.headers, address), "x-content-type-options": "nosniff" },
  });
}
