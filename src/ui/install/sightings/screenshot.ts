/** Screenshots as pictures: read from files, and written again without what programs write beside a picture. */
import { contextOf } from "./pixels-of";

/** What a person can do something about. */
export class LookError extends Error {
  override readonly name = "LookError";
}

/** So many px are looked through; more than the largest display has. */
const mostPixels = 40_000_000;

/** The px of a picture file. Throws a LookError for what is none. */
export async function readScreenshot(file: File): Promise<HTMLCanvasElement> {
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new LookError(`“${file.name}” is no picture that can be read: save the screenshot as PNG or JPEG.`);
  });
  const { width, height } = bitmap;
  if (width * height > mostPixels)
    throw new LookError(
      `“${file.name}” is ${width} × ${height} px, more than a display has: cut it to the letter first.`,
    );
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  contextOf(canvas).drawImage(bitmap, 0, 0);
  bitmap.close();
  return canvas;
}

/** As a file without what cameras and programs write beside the picture. */
export function pictureFile(canvas: HTMLCanvasElement, name: string): Promise<File> {
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => {
      if (blob)
        resolve(new File([blob], `${name.replace(/\.\w+$/, "") || "screenshot"}.png`, { type: "image/png" }));
      else reject(new LookError(`“${name}” could not be written as a picture.`));
    }, "image/png");
  });
}
