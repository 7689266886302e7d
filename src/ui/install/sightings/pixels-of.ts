/** Pictures as bare pixels, from a canvas. */
import type { Pixels } from "@/core/pictures";

export function pixelsOf(canvas: HTMLCanvasElement): Pixels {
  const { width, height } = canvas;
  const { data } = contextOf(canvas).getImageData(0, 0, width, height);
  return { data: new Uint8Array(data.buffer), width, height };
}

export function contextOf(canvas: HTMLCanvasElement): CanvasRenderingContext2D {
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error("This browser lets no page draw");
  return context;
}
