import { readPicturePath } from "@/core/addresses";
import { fileTypeOf, readHostedFile } from "@/core/links";
import { firstFrame } from "@/contract";
import { largestDisplay } from "@/core/pictures";
import { serveBytes } from "@/server/http/serve-bytes";
import { testPicture } from "@/server/addresses/public-address";
import { imaging } from "@/server/imaging/imaging";
import { readFileBytes } from "@/server/links/hosted-files";
import { readHosted, type HostedFile } from "@/server/pictures/cuts";

/** The picture by which the public address is checked belongs to nobody, and is always there. */
async function readTestPicture(hash: string): Promise<HostedFile | null> {
  const test = await testPicture();
  return test.hash === hash ? { bytes: test.bytes, type: "png" } : null;
}

interface Context {
  readonly params: Promise<{ hash: string; name: string }>;
}

/** A file that links lead to, with how it is to be shown. */
async function readFileFor(path: string) {
  const address = readHostedFile(path);
  const bytes = address && (await readFileBytes(address));
  const type = address && fileTypeOf(address.fileName);
  return bytes && type ? { bytes, ...type } : null;
}

/** A hosted picture or file, for anyone, for ever: its address names its content, so it never changes. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { hash, name } = await params;
  const file = await readFileFor(`/h/${hash}/${name}`);
  if (file)
    return serveBytes(request, {
      ...file,
      disposition: file.shown ? "inline" : "attachment",
      tag: hash,
    });
  const address = readPicturePath(`/h/${hash}/${name}`);
  const hosted =
    address && ((await readHosted(address.hash, address.fileName)) ?? (await readTestPicture(address.hash)));
  if (!hosted) return new Response("There is nothing at this address.\n", { status: 404 });
  if (hosted.type === "gif" && new URL(request.url).searchParams.has(firstFrame)) {
    const whole = { width: largestDisplay * 2, height: largestDisplay * 2 };
    const bytes = await imaging.viewPicture(hosted.bytes, whole);
    return serveBytes(request, { bytes, type: "image/webp", disposition: "inline", tag: `${hash}-first` });
  }
  return serveBytes(request, {
    bytes: hosted.bytes,
    type: `image/${hosted.type}`,
    disposition: "inline",
    tag: hash,
  });
}
