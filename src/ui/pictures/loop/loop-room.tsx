"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type Original } from "@/contract";
import { largestCrop, plainRecipe, type LoopRecipe, type Recipe, type Size } from "@/core/pictures";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import type { Palette } from "../../parts/fields/color-choices";
import { formatBytes, formatSize } from "../../parts/format";
import { StepButtons } from "../../parts/steps/step-buttons";
import { WordSwitch } from "../../parts/fields/word-switch";
import { CropStage } from "../cut/crop-stage";
import { putInPlace, type ChangedPicture } from "../kept-place";
import { FrameStrip } from "./frame-strip";
import { LoopSettings } from "./loop-settings";
import { LoopWeight } from "./loop-weight";
import { SourceFields } from "./source-fields";
import { useLoop, type LoopTools } from "./use-loop";

interface Props {
  readonly start: LoopRecipe;
  /** The original that can be cropped; null for text and for several pictures. */
  readonly original: Original | null;
  /** Size of the source's first picture. */
  readonly natural: Size;
  readonly brandColors: readonly string[];
  /** The signature whose loop is changed; null when it is made for no signature. */
  readonly signature: ChangedPicture | null;
}

/** The crop of a loop's photo or animation, as the crop of a cut. */
function cropOf(
  { loop, change }: LoopTools,
  original: Original,
): {
  recipe: Recipe;
  change: (patch: Partial<Recipe>, topic?: string) => void;
} {
  const { source } = loop;
  if (source.kind === "ring-cycle")
    return {
      recipe: source.picture,
      change: (patch, topic) =>
        change({ source: { ...source, picture: { ...source.picture, ...patch } } }, topic),
    };
  const crop = loop.crop ?? largestCrop(original, null);
  return {
    recipe: plainRecipe(crop, loop),
    change: ({ crop: next }, topic) => {
      if (!next) return;
      const height = Math.max(1, Math.round((loop.width * next.height) / next.width));
      change({ crop: next, height }, topic);
    },
  };
}

/** Canvas around a loop, with its caption; px. */
const roomAround = 120;

function Stage({ tools }: { tools: LoopTools }) {
  const { preview, first, loop } = tools;
  const { drawn, busy, problem } = preview;
  const size = { width: loop.width, height: loop.height, style: { maxWidth: "none" } };
  return (
    <div className="flex h-full min-h-0 flex-col">
      {problem && (
        <p role="alert" className="mb-1 text-rowan">
          {problem}
        </p>
      )}
      <div
        className={`grid min-h-0 grid-cols-3 gap-3 ${busy ? "[&_img]:opacity-60" : ""}`}
        style={{ height: Math.max(240, loop.height + roomAround) }}
        aria-busy={busy}
      >
        {(["bg-canvas", "bg-dark-canvas"] as const).map((canvas) => (
          <figure key={canvas} className="flex min-h-0 flex-col">
            <div
              className={`flex min-h-0 flex-1 items-center justify-center overflow-auto border border-hairline ${canvas}`}
            >
              {drawn && <img src={drawn.picture} alt="The loop" {...size} />}
            </div>
            <figcaption className="pt-1 text-sm text-soft">
              {canvas === "bg-canvas" ? "On white" : "On black"}
            </figcaption>
          </figure>
        ))}
        <figure className="flex min-h-0 flex-col">
          <div className="flex min-h-0 flex-1 items-center justify-center overflow-auto border border-pine bg-canvas">
            {first && <img src={first} alt="The first frame by itself" {...size} />}
          </div>
          <figcaption className="pt-1 text-sm">The first frame: all that some recipients see</figcaption>
        </figure>
      </div>
    </div>
  );
}

/** Making a loop: what it looks like, its frames in order, what it is made of and what it weighs. */
export function LoopRoom({ start, original, natural, brandColors, signature }: Props) {
  const router = useRouter();
  const tools = useLoop(start);
  const [view, setView] = useState<"loop" | "crop">("loop");
  const [keeping, setKeeping] = useState(false);
  const palette: Palette = { brand: brandColors, signature: [], pictures: [] };
  const back = signature ? `/signatures/${signature.id}/pictures` : "/pictures/loops";

  const keep = async (): Promise<void> => {
    setKeeping(true);
    try {
      const { cut } = await ask(endpoints.makeLoop, { body: { loop: tools.loop } });
      if (signature) await putInPlace(signature, cut);
      toast(`${cut.fileName} is kept: ${formatSize(cut.width, cut.height)}, ${formatBytes(cut.bytes)}.`);
      router.push(back);
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
      setKeeping(false);
    }
  };

  return (
    <main className="flex h-screen min-h-[640px] flex-col gap-3 px-5 pb-3 pt-3">
      <div className="flex items-center gap-3">
        <div className="flex min-w-0 flex-1 items-baseline gap-2">
          <Link href={back} className="whitespace-nowrap text-pine hover:underline">
            {signature ? `Pictures of ${signature.name}` : "Loops"}
          </Link>
          <span aria-hidden className="text-soft">
            ›
          </span>
          <h1 className="truncate font-serif text-2xl">Loop</h1>
        </div>
        <StepButtons undo={tools.undo} redo={tools.redo} canUndo={tools.canUndo} canRedo={tools.canRedo} />
        <Button look="primary" disabled={keeping} onClick={() => void keep()}>
          {keeping ? "Keeping…" : signature ? `Keep it in ${signature.name}` : "Keep this loop"}
        </Button>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_332px] gap-5">
        <div className="flex min-h-0 flex-col gap-2">
          {original && (
            <WordSwitch<"loop" | "crop">
              label="What is shown"
              value={view}
              choices={{ loop: "The loop", crop: "Its crop" }}
              onChange={setView}
            />
          )}
          <div className={`min-h-0 ${view === "crop" ? "flex-1" : ""}`}>
            {view === "crop" && original ? (
              <CropStage
                cut={{ original, ...cropOf(tools, original) }}
                aspect={tools.loop.source.kind === "ring-cycle" ? 1 : null}
              />
            ) : (
              <Stage tools={tools} />
            )}
          </div>
          <FrameStrip tools={tools} />
        </div>
        <div className="relative min-h-0 overflow-y-auto pr-1">
          <h2 className="sr-only">What is set</h2>
          <LoopWeight tools={tools} />
          <SourceFields tools={tools} palette={palette} />
          <LoopSettings tools={tools} palette={palette} natural={natural} />
        </div>
      </div>
    </main>
  );
}
