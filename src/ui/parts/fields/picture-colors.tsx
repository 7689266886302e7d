"use client";

import { useRef, useState } from "react";
import { hexOf } from "@/core/color";
import { extractPalette } from "@/core/pictures";
import { ChoiceField } from "./choice-field";
import { Swatches } from "./swatches";

export interface PalettePicture {
  readonly source: string;
  readonly alt: string;
}

interface Props {
  readonly pictures: readonly PalettePicture[];
  readonly onPick: (color: string) => void;
}

/** Pictures are read at most this large; px. */
const most = 400;
const colorsShown = 7;

interface Pixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** The pixels of a loaded picture; throws where the browser does not let them be read. */
function readPixels(image: HTMLImageElement): Pixels {
  const scale = Math.min(1, most / Math.max(image.naturalWidth, image.naturalHeight));
  const width = Math.max(1, Math.round(image.naturalWidth * scale));
  const height = Math.max(1, Math.round(image.naturalHeight * scale));
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d");
  if (!context) throw new TypeError("This browser draws no pictures");
  context.drawImage(image, 0, 0, width, height);
  return { data: context.getImageData(0, 0, width, height).data, width, height };
}

/** The colour at a place given as shares of width and height; null where the picture is transparent. */
function colorAt({ data, width, height }: Pixels, x: number, y: number): string | null {
  const column = Math.min(width - 1, Math.max(0, Math.floor(x * width)));
  const row = Math.min(height - 1, Math.max(0, Math.floor(y * height)));
  const at = (row * width + column) * 4;
  const [red = 0, green = 0, blue = 0, alpha = 0] = data.subarray(at, at + 4);
  return alpha < 128 ? null : hexOf(red, green, blue);
}

/** Colours out of a picture of the signature: taken from a place in it, or from those that it is made of. */
export function PictureColors({ pictures, onPick }: Props) {
  const [source, setSource] = useState(pictures[0]?.source ?? "");
  const shown = pictures.find((picture) => picture.source === source) ?? pictures[0];
  if (!shown) return null;
  return (
    <div className="mt-3">
      {pictures.length > 1 ? (
        <ChoiceField
          label="From a picture"
          className="mb-1"
          value={shown.source}
          choices={Object.fromEntries(
            pictures.map((picture, index) => [picture.source, picture.alt || `Picture ${index + 1}`]),
          )}
          onChange={setSource}
        />
      ) : (
        <p className="mb-1 text-xs text-soft">From a picture</p>
      )}
      <Picker key={shown.source} picture={shown} onPick={onPick} />
    </div>
  );
}

function Picker({ picture, onPick }: { picture: PalettePicture; onPick: (color: string) => void }) {
  const image = useRef<HTMLImageElement>(null);
  const [pixels, setPixels] = useState<Pixels | null>(null);
  const [failed, setFailed] = useState(false);
  const [cross, setCross] = useState({ x: 0.5, y: 0.5 });
  const color = pixels && colorAt(pixels, cross.x, cross.y);

  const place = (event: React.MouseEvent): { x: number; y: number } => {
    const box = image.current!.getBoundingClientRect();
    return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  };
  const move = (x: number, y: number): void =>
    setCross(({ x: oldX, y: oldY }) => ({
      x: Math.min(0.999, Math.max(0, oldX + x / (pixels?.width ?? 1))),
      y: Math.min(0.999, Math.max(0, oldY + y / (pixels?.height ?? 1))),
    }));
  const steps: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };

  if (failed)
    return (
      <p className="max-w-[200px] text-xs text-soft">
        This picture is not hosted here, so its colours cannot be read.
      </p>
    );
  return (
    <>
      <button
        type="button"
        aria-label={`Take a colour from ${picture.alt || "the picture"}: ${color ?? "nothing"} under the cross. Arrow keys move it.`}
        className="checkered relative block max-w-[200px] cursor-crosshair touch-none"
        onPointerMove={(event) => setCross(place(event))}
        onClick={(event) => {
          // A hand that clicks in the same moment as it arrives means where it is; a key means the cross.
          const at = event.detail === 0 ? cross : place(event);
          const taken = pixels && colorAt(pixels, at.x, at.y);
          if (taken) onPick(taken);
        }}
        onKeyDown={(event) => {
          const step = steps[event.key];
          if (!step) return;
          event.preventDefault();
          const size = event.shiftKey ? 5 : 1;
          move(step[0] * size, step[1] * size);
        }}
      >
        <img
          ref={image}
          src={picture.source}
          alt=""
          crossOrigin="anonymous"
          className="block max-h-28 max-w-[200px]"
          onError={() => setFailed(true)}
          onLoad={(event) => {
            try {
              setPixels(readPixels(event.currentTarget));
            } catch {
              setFailed(true);
            }
          }}
        />
        {pixels && (
          <span
            aria-hidden
            className="pointer-events-none absolute h-2.5 w-2.5 -translate-x-1/2 -translate-y-1/2 rounded-full border border-white outline outline-1 outline-black"
            style={{ left: `${cross.x * 100}%`, top: `${cross.y * 100}%` }}
          />
        )}
      </button>
      <p aria-live="polite" className="mt-1 flex h-5 items-center gap-1.5 text-xs text-soft">
        <span
          aria-hidden
          className="h-3.5 w-3.5 rounded-[2px] border border-hairline"
          style={{ background: color ?? "transparent" }}
        />
        {pixels ? (color ?? "transparent there") : "Reading its colours…"}
      </p>
      {pixels && (
        <Swatches
          label="What it is made of"
          colors={extractPalette(pixels.data, colorsShown)}
          onPick={onPick}
        />
      )}
    </>
  );
}
