import { firstFrame } from "@/contract";
import { largestDisplay } from "@/core/pictures";
import { database } from "@/server/database/database";
import { hostedIn } from "@/server/hosting/find-hosted";
import { serveBytes } from "@/server/http/serve-bytes";
import { imaging } from "@/server/imaging/imaging";
import { pictureStore } from "@/server/store/store";

interface Context {
  readonly params: Promise<{ hash: string; name: string }>;
}

/**
 * A hosted picture or file, for anyone, for ever: its address names its content, so it never changes. Once built, the server in
 * front answers (`hosting/serve-application`), and only first frames of loops are asked for here.
 */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { hash, name } = await params;
  const hosted = await hostedIn(await database(), pictureStore)(`/h/${hash}/${name}`);
  const bytes = await hosted?.read();
  if (!hosted || !bytes) return new Response("There is nothing at this address.\n", { status: 404 });
  if (hosted.type !== "image/gif" || !new URL(request.url).searchParams.has(firstFrame))
    return serveBytes(request, { ...hosted, bytes });
  const whole = { width: largestDisplay * 2, height: largestDisplay * 2 };
  return serveBytes(request, {
    bytes: await imaging.viewPicture(Buffer.from(bytes), whole),
    type: "image/webp",
    disposition: "inline",
    tag: `${hash}-first`,
  });
}
