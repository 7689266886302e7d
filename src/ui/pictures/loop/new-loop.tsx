"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { addressOf, endpoints, type Original } from "@/contract";
import {
  cropToAspect,
  largestCrop,
  originalsOfLoop,
  plainRecipe,
  type LoopRecipe,
  type LoopSource,
  type Recipe,
} from "@/core/pictures";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { formatCount } from "../../parts/format";
import { LoopRoom } from "./loop-room";
import { TextField } from "../../parts/fields/text-field";

type Kind = LoopSource["kind"];

const kinds: readonly { readonly kind: Kind; readonly name: string; readonly hint: string }[] = [
  { kind: "ring-cycle", name: "A ring that changes colour", hint: "Around a photo cut to a circle." },
  { kind: "text-reveal", name: "Words one by one", hint: "A line of text that appears word by word." },
  { kind: "pictures", name: "Several pictures", hint: "Shown one after the other." },
  { kind: "animation", name: "An animation", hint: "A GIF or animated WebP that was uploaded." },
];

interface Props {
  readonly originals: readonly Original[];
  /** Recipes of circles that were cut already, by their originals. */
  readonly circles: Readonly<Record<string, Recipe>>;
  readonly brandColors: readonly string[];
  /** The original that it was asked for, or null. */
  readonly chosen: string | null;
}

interface Begun {
  readonly loop: LoopRecipe;
  /** Those that can be cropped. */
  readonly originals: readonly Original[];
}

const firstCircle = 96;

/** A photo's circle as it was cut last, or around its middle. */
const circleOf = (original: Original, cut: Recipe | undefined, color: string): Recipe => {
  const base =
    cut ??
    plainRecipe(cropToAspect(largestCrop(original, null), 1, original), {
      width: firstCircle,
      height: firstCircle,
    });
  const ring = base.frame.shape === "circle" ? base.frame.ring : null;
  return { ...base, frame: { shape: "circle", ring: ring ?? { width: 3, gap: 1, color } } };
};

/** Choosing what a loop is made of; then the loop itself. */
export function NewLoop({ originals, circles, brandColors, chosen }: Props) {
  const router = useRouter();
  const asked = originals.find(({ hash }) => hash === chosen);
  const [kind, setKind] = useState<Kind>(asked && asked.frames > 1 ? "animation" : "ring-cycle");
  const [picked, setPicked] = useState<readonly string[]>(asked ? [asked.hash] : []);
  const [words, setWords] = useState("");
  const [begun, setBegun] = useState<Begun | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const colors = brandColors.length > 0 ? brandColors : ["#1F5B57", "#B5532B", "#66731F"];
  const offered = kind === "animation" ? originals.filter(({ frames }) => frames > 1) : originals;
  const usable = picked.filter((hash) => offered.some((original) => original.hash === hash));

  const pick = (hash: string): void =>
    setPicked(
      kind === "pictures"
        ? picked.includes(hash)
          ? picked.filter((each) => each !== hash)
          : [...picked, hash]
        : [hash],
    );

  const sourceOf = (): LoopSource => {
    const original = originals.find(({ hash }) => hash === usable[0])!;
    switch (kind) {
      case "animation":
        return { kind, original: original.hash, count: original.frames };
      case "pictures":
        return { kind, originals: usable };
      case "ring-cycle":
        return {
          kind,
          original: original.hash,
          picture: circleOf(original, circles[original.hash], colors[0]!),
          colors,
        };
      case "text-reveal":
        return {
          kind,
          text: {
            words: words.trim(),
            font: "Arial",
            size: 18,
            bold: true,
            color: colors[0]!,
            background: null,
          },
        };
    }
  };

  const begin = async (): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      const source = sourceOf();
      const { loop } = await ask(endpoints.startLoop, { body: { source } });
      const hashes = originalsOfLoop(source);
      setBegun({
        loop,
        originals: hashes.flatMap((hash) => originals.find((each) => each.hash === hash) ?? []),
      });
    } catch (error) {
      setProblem((error as Error).message);
    }
    setBusy(false);
  };

  if (begun)
    return (
      <LoopRoom
        start={begun.loop}
        originals={begun.originals}
        name=""
        natural={begun.originals[0] ?? { width: begun.loop.width, height: begun.loop.height }}
        brandColors={brandColors}
        signature={null}
      />
    );

  const ready = kind === "text-reveal" ? words.trim() !== "" : usable.length > (kind === "pictures" ? 1 : 0);
  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10 pt-3">
      <div className="flex items-center gap-3 pb-4">
        <h1 className="flex-1 font-serif text-[32px] leading-10">A new loop</h1>
        <Button look="quiet" onClick={() => router.back()}>
          Back
        </Button>
        <Button look="primary" disabled={!ready || busy} onClick={() => void begin()}>
          {busy ? "Starting…" : "Go on"}
        </Button>
      </div>
      <div role="radiogroup" aria-label="What it is made of" className="grid grid-cols-4 gap-3">
        {kinds.map((each) => (
          <button
            key={each.kind}
            type="button"
            role="radio"
            aria-checked={kind === each.kind}
            onClick={() => setKind(each.kind)}
            className="rounded-sm border border-hairline p-3 text-left hover:border-pine aria-checked:border-pine aria-checked:bg-kelp"
          >
            <span className="block font-serif text-lg">{each.name}</span>
            <span className="block text-soft">{each.hint}</span>
          </button>
        ))}
      </div>
      {problem && (
        <p role="alert" className="mt-3 text-rowan">
          {problem}
        </p>
      )}
      {kind === "text-reveal" ? (
        <TextField
          label="Words, at most 120 characters"
          autoFocus
          value={words}
          maxLength={120}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && ready && void begin()}
          placeholder="what it is to say"
          className="mt-6 max-w-xl"
        />
      ) : (
        <>
          <p className="mb-2 mt-5 text-soft" aria-live="polite">
            {kind === "pictures"
              ? `Choose two or more, in the order in which they are shown. ${formatCount(usable.length, "picture")} chosen.`
              : kind === "animation"
                ? "Choose an animation."
                : "Choose a photo. A circle that was cut from it already is taken as it is."}
          </p>
          {offered.length === 0 && (
            <p className="border-t border-pine py-8 text-center text-soft">
              No animation has been uploaded yet: upload a GIF or an animated WebP under Pictures.
            </p>
          )}
          <ul className="grid grid-cols-6 gap-3">
            {offered.map((original) => {
              const order = usable.indexOf(original.hash) + 1;
              return (
                <li key={original.hash}>
                  <button
                    type="button"
                    aria-pressed={order > 0}
                    onClick={() => pick(original.hash)}
                    className="relative w-full rounded-sm border border-hairline p-2 text-left hover:border-pine aria-pressed:border-pine aria-pressed:bg-kelp"
                  >
                    <img
                      src={addressOf(endpoints.pictureThumbnail, { hash: original.hash })}
                      alt=""
                      loading="lazy"
                      className="checkered h-24 w-full object-scale-down"
                    />
                    {kind === "pictures" && order > 0 && (
                      <span className="absolute left-3 top-3 rounded-full bg-pine px-2 text-sm text-on-pine">
                        {order}
                      </span>
                    )}
                    <span className="mt-1 block truncate text-sm">{original.name}</span>
                  </button>
                </li>
              );
            })}
          </ul>
        </>
      )}
    </main>
  );
}
