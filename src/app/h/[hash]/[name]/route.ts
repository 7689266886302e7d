import { readHostedPath } from "@/core/pictures";
import { testPicture } from "@/server/addresses/public-address";
import { readHosted, type HostedFile } from "@/server/pictures/cuts";

/** The picture by which the public address is checked belongs to nobody, and is always there. */
async function readTestPicture(hash: string): Promise<HostedFile | null> {
  const test = await testPicture();
  return test.hash === hash ? { bytes: test.bytes, type: "png" } : null;
}

interface Context {
  readonly params: Promise<{ hash: string; name: string }>;
}

/** A hosted picture, for anyone, for ever: its address names its content, so it never changes. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { hash, name } = await params;
  const address = readHostedPath(`/h/${hash}/${name}`);
  const hosted =
    address && ((await readHosted(address.hash, address.fileName)) ?? (await readTestPicture(address.hash)));
  if (!hosted) return new Response("There is no picture at this address.\n", { status: 404 });
  return new Response(new Uint8Array(hosted.bytes), {
    headers: {
      "content-type": `image/${hosted.type}`,
      "content-length": String(hosted.bytes.length),
      "cache-control": "public, max-age=31536000, immutable",
      "access-control-allow-origin": "*",
      "cross-origin-resource-policy": "cross-origin",
      "x-content-type-options": "nosniff",
    },
  });
}
