/** Fills a data folder that holds the demo with as many signatures and pictures as a large office has. */
import sharp from "sharp";
import { contentHash } from "@/server/imaging/content-hash";
import { database } from "@/server/database/database";
import { cuts, originals } from "@/server/database/schema";
import { listPeople } from "@/server/people/people";
import { addSignature, listSignatures } from "@/server/signatures/signatures";
import { pictureStore } from "@/server/store/store";

const batch = 250;

/** A small picture of which there is no other. */
const picture = async (seed: number): Promise<Buffer> =>
  sharp({
    create: {
      width: 96 + (seed % 50),
      height: 72 + Math.floor(seed / 50),
      channels: 3,
      background: { r: (seed * 37) % 256, g: (seed * 91) % 256, b: (seed * 151) % 256 },
    },
  })
    .png()
    .toBuffer();

/** Originals with one cut of each, at addresses of their own. */
async function addPictures(count: number): Promise<void> {
  const db = await database();
  const [recipe] = await db.select({ recipe: cuts.recipe }).from(cuts).limit(1);
  for (let from = 0; from < count; from += batch) {
    const made = await Promise.all(
      Array.from({ length: Math.min(batch, count - from) }, async (_, at) => {
        const bytes = await picture(from + at);
        const hash = contentHash(bytes);
        await pictureStore().put({ kind: "original", hash }, bytes);
        const fileName = `tray-${from + at}.png`;
        await pictureStore().put({ kind: "cut", hash, fileName, type: "png" }, bytes);
        return { seed: from + at, hash, fileName, bytes: bytes.length };
      }),
    );
    await db
      .insert(originals)
      .values(
        made.map(({ seed, hash, fileName, bytes }) => ({
          ...{ hash, name: fileName, type: "png" as const, bytes, transparent: false, createdAt: seed },
          ...{ width: 96 + (seed % 50), height: 72 + Math.floor(seed / 50) },
        })),
      )
      .onConflictDoNothing();
    await db
      .insert(cuts)
      .values(
        made.map(({ seed, hash, fileName, bytes }) => ({
          ...{ hash, fileName, originalHash: hash, recipe: recipe?.recipe ?? "{}", type: "png" as const },
          ...{ width: 48, height: 36, pixelWidth: 96, pixelHeight: 72, bytes, createdAt: seed },
        })),
      )
      .onConflictDoNothing();
  }
}

/** A document of which there is no other: its first text has a number. */
function numbered(document: unknown, number: number): unknown {
  let done = false;
  return JSON.parse(JSON.stringify(document), (key, value: unknown) => {
    if (done || key !== "text" || typeof value !== "string") return value;
    done = true;
    return `${value} ${number}`;
  });
}

/** Until there are `signatureCount` signatures, each for somebody of the demo, and `pictureCount` pictures more. */
export async function fillLargeShelf(signatureCount: number, pictureCount: number): Promise<void> {
  const [people, few] = await Promise.all([listPeople(), listSignatures()]);
  for (let at = few.length; at < signatureCount; at += 1) {
    const like = few[at % few.length];
    const person = people[at % people.length];
    if (like)
      await addSignature({
        name: `${like.name} ${at}`,
        personId: person?.id ?? null,
        document: numbered(like.document, at),
        asides: like.asides,
      });
  }
  await addPictures(pictureCount);
}
