"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type Original } from "@/contract";
import { isPicturesLoop, largestCrop, plainRecipe, type LoopRecipe, type Size } from "@/core/pictures";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import type { Palette } from "../../parts/fields/color-choices";
import { formatBytes, formatSize } from "../../parts/format";
import { StepButtons } from "../../parts/steps/step-buttons";
import { WordSwitch } from "../../parts/fields/word-switch";
import { CropStage } from "../cut/crop-stage";
import { putInPlace, type ChangedPicture } from "../kept-place";
import { TextField } from "../../parts/fields/text-field";
import { FrameStrip } from "./frame-strip";
import { LoopSettings } from "./loop-settings";
import { LoopWeight } from "./loop-weight";
import { cutOfPicture, PictureLookFields, PicturePicker, type CutOfPicture, type For } from "./picture-looks";
import { SourceFields } from "./source-fields";
import { useLoop, type LoopTools } from "./use-loop";

interface Props {
  readonly start: LoopRecipe;
  /** The originals that can be cropped, in the order of the loop's pictures; none for text. */
  readonly originals: readonly Original[];
  /** Size of the source's first picture. */
  readonly natural: Size;
  readonly brandColors: readonly string[];
  /** What it is called; empty for what it is made of. */
  readonly name: string;
  /** The signature whose loop is changed; null when it is made for no signature. */
  readonly signature: ChangedPicture | null;
}

/** What of a loop can be cropped, as a cut: its photo or animation, or one of its pictures. */
function cutOf(tools: LoopTools, originals: readonly Original[], at: number, whom: For): CutOfPicture | null {
  const { loop, change } = tools;
  const { source } = loop;
  if (isPicturesLoop(loop)) return cutOfPicture(tools, loop, originals, at, whom);
  const [original] = originals;
  if (!original) return null;
  if (source.kind === "ring-cycle")
    return {
      original,
      recipe: source.picture,
      change: (patch, topic) =>
        change({ source: { ...source, picture: { ...source.picture, ...patch } } }, topic),
    };
  const crop = loop.crop ?? largestCrop(original, null);
  return {
    original,
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
export function LoopRoom({ start, originals, natural, brandColors, name: named, signature }: Props) {
  const router = useRouter();
  const tools = useLoop(start);
  const [view, setView] = useState<"loop" | "crop">("loop");
  const [at, setAt] = useState(0);
  const [whom, setWhom] = useState<For>("all");
  const [name, setName] = useState(named);
  const [keeping, setKeeping] = useState(false);
  const { loop } = tools;
  const cut = cutOf(tools, originals, at, whom);
  /** Several pictures share the loop's box, a ring is round, and an animation has any shape. */
  const aspect = {
    pictures: loop.width / loop.height,
    "ring-cycle": 1,
    animation: null,
    "text-reveal": null,
  };
  const palette: Palette = { brand: brandColors, signature: [], pictures: [] };
  const back = signature ? `/signatures/${signature.id}/pictures` : "/pictures/loops";

  const keep = async (): Promise<void> => {
    setKeeping(true);
    try {
      const { cut } = await ask(endpoints.makeLoop, { body: { loop, name } });
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
          {cut && (
            <WordSwitch<"loop" | "crop">
              label="What is shown"
              value={view}
              choices={{ loop: "The loop", crop: originals.length > 1 ? "Its crops" : "Its crop" }}
              onChange={setView}
            />
          )}
          {view === "crop" && originals.length > 1 && (
            <PicturePicker originals={originals} at={at} onChange={setAt} />
          )}
          <div className={`min-h-0 ${view === "crop" ? "flex-1" : ""}`}>
            {view === "crop" && cut ? (
              <CropStage key={at} cut={cut} aspect={aspect[loop.source.kind]} />
            ) : (
              <Stage tools={tools} />
            )}
          </div>
          <FrameStrip tools={tools} />
        </div>
        <div className="relative min-h-0 overflow-y-auto pr-1">
          <h2 className="sr-only">What is set</h2>
          <LoopWeight tools={tools} />
          <TextField
            label="Name of its file"
            value={name}
            maxLength={60}
            placeholder={originals[0]?.name.replace(/\.[a-z]+$/i, "") ?? "its words"}
            onChange={(event) => setName(event.target.value)}
            className="mb-4"
          />
          {cut && isPicturesLoop(loop) && (
            <PictureLookFields cut={cut} at={at} whom={whom} onWhom={setWhom} palette={palette} />
          )}
          <SourceFields tools={tools} palette={palette} />
          <LoopSettings tools={tools} palette={palette} natural={natural} />
        </div>
      </div>
    </main>
  );
}
