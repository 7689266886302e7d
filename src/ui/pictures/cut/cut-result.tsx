"use client";

import type { CutPreview } from "@/contract";
import { looksTheSame } from "@/core/pictures";
import { formatBytes, formatSize } from "../../parts/format";
import { WeightBar } from "../../parts/drawing/weight-bar";
import type { CutTools } from "./use-cut";

const formatName = ({ format }: CutPreview): string => {
  switch (format.kind) {
    case "jpeg":
      return `JPEG, quality ${format.quality}`;
    case "palette":
      return `PNG, ${format.colors} colours`;
    case "png":
      return "PNG, all colours";
  }
};

interface CanvasProps {
  readonly source: string;
  readonly cut: CutTools;
  readonly dark?: boolean;
  readonly name: string;
}

/** A picture at the size that it is shown at, on one of the canvases that mail is read on. */
function Canvas({ source, cut: { recipe }, dark = false, name }: CanvasProps) {
  return (
    <div
      className={`flex h-[140px] min-w-0 flex-1 items-center justify-center border border-hairline p-2 ${dark ? "bg-dark-canvas" : "bg-canvas"}`}
    >
      <img
        src={source}
        width={recipe.width}
        height={recipe.height}
        alt={name}
        className="max-h-full max-w-full object-contain"
      />
    </div>
  );
}

function Verdict({ drawn }: { drawn: CutPreview }) {
  const { similarity, color } = drawn.difference;
  const same = looksTheSame(drawn.difference);
  return (
    <span className={same ? "text-lichen" : "text-clay"}>
      {same ? "looks the same" : "looks a little different"}
      <span className="text-soft">
        {" "}
        · SSIM {similarity.toFixed(3)}, colour {color.toFixed(1)}
      </span>
    </span>
  );
}

/** Before and after: as drawn with every colour, and as sent, with their weights. */
export function CutResult({ cut }: { cut: CutTools }) {
  const { drawn, busy, problem } = cut.preview;
  return (
    <section aria-label="Result" aria-busy={busy} className="border-t border-pine pt-2">
      {problem && (
        <p role="alert" className="mb-1 text-rowan">
          {problem}
        </p>
      )}
      {drawn ? (
        <div className={`grid grid-cols-[1fr_2fr_200px] gap-4 ${busy ? "[&_img]:opacity-60" : ""}`}>
          <figure className="min-w-0">
            <Canvas source={drawn.drawn} cut={cut} name="As drawn, with every colour" />
            <figcaption className="pt-1 text-sm">
              As drawn <span className="text-soft">· {formatBytes(drawn.drawnBytes)}</span>
            </figcaption>
          </figure>
          <figure className="min-w-0">
            <div className="flex">
              <Canvas source={drawn.picture} cut={cut} name="As sent, on white" />
              <Canvas source={drawn.picture} cut={cut} name="As sent, on black" dark />
            </div>
            <figcaption className="pt-1 text-sm">
              As sent <span className="text-soft">· {formatBytes(drawn.bytes)} · </span>
              <Verdict drawn={drawn} />
            </figcaption>
          </figure>
          <div className="text-sm">
            <p className="font-serif text-2xl">{formatBytes(drawn.bytes)}</p>
            <WeightBar bytes={drawn.bytes} use={drawn.use} className="mb-2" />
            <p className="text-soft">{formatName(drawn)}</p>
            <p className="text-soft">{formatSize(drawn.width, drawn.height)} in the file</p>
            <p className="text-soft">from {formatBytes(cut.original.bytes)}</p>
          </div>
        </div>
      ) : (
        <p className="flex h-[160px] items-center justify-center text-soft">Drawing…</p>
      )}
    </section>
  );
}
