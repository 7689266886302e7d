"use client";

import { Crop } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { pixelsLacking, suggestAlt, type PictureFacts } from "@/core/checks";
import { isHosted } from "@/core/addresses";
import { displaySide } from "@/core/pictures";
import { drawnInRow, iconRow, type image, type PictureAttributes } from "@/core/signature";
import { formatSize } from "../../parts/format";
import { Button } from "../../parts/button";
import { MeasureField } from "../../parts/fields/measure-field";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { Section } from "../../parts/section";
import { CheckField } from "../../parts/fields/check-field";
import { SettledTextField } from "../../parts/fields/settled-text-field";

/** Exact display size, and what is said while pictures are blocked. */
export function PictureMeasures({
  node,
  position,
  attributes,
  set,
}: MeasuresOfPart<typeof image.attributes>) {
  const { editor, altContext, pictureFacts, resizePicture, choosePicture, cutPicture } = useBench();
  const [busy, setBusy] = useState(false);
  const { source, width, height, alt, decorative } = attributes;

  const resize = async (asked: { width: number } | { height: number }): Promise<void> => {
    setBusy(true);
    try {
      await resizePicture(position, asked);
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(false);
  };

  if (source === "")
    return (
      <Section title="Place for a picture">
        <SizeFields width={width} height={height} onChange={set} />
        <p className="my-2 text-xs text-soft">Nothing is sent until a picture is chosen here.</p>
        <Button look="primary" onClick={() => choosePicture({ kind: "replace", position })}>
          Choose a picture
        </Button>
      </Section>
    );

  // While a picture is moved or taken out, the tools still show it where it was.
  const there = editor.state.doc.nodeAt(position) === node;
  const around = there ? editor.state.doc.resolve(position).parent : null;
  const row = around && iconRow.is(around) ? around : null;
  const shown = row ? drawnInRow(node, row) : { width, height };
  const suggested = there && !decorative ? suggestAlt(editor.state.doc, position, altContext) : "";

  return (
    <>
      <div className="mb-3 flex flex-wrap gap-2">
        {isHosted(source) && !source.endsWith(".gif") && (
          <Button look="primary" onClick={() => cutPicture(source, position)}>
            <Crop size={15} aria-hidden />
            Cut it
          </Button>
        )}
        <Button onClick={() => choosePicture({ kind: "replace", position })}>Choose another</Button>
      </div>
      <Section title="Display size">
        {row ? (
          <p>
            {formatSize(shown.width, shown.height)}
            <span className="block text-xs text-soft">It is as high as its row says.</span>
          </p>
        ) : (
          <SizeFields
            width={width}
            height={height}
            disabled={busy}
            onChange={(asked) => void resize(asked)}
          />
        )}
        <p aria-live="polite" className="mt-1 text-xs text-soft">
          {busy ? "Cutting…" : wordsOnPixels({ source, ...shown }, pictureFacts[source])}
        </p>
      </Section>
      <Section title="Said while pictures are blocked">
        <SettledTextField
          key={`${position} ${source}`}
          label="Alt text"
          quiet
          value={alt}
          maxLength={300}
          disabled={decorative}
          placeholder={decorative ? "nothing" : "who or what it shows"}
          onSettle={(typed) => set({ alt: typed })}
        />
        {suggested && suggested !== alt && (
          <button
            type="button"
            onClick={() => set({ alt: suggested })}
            className="mt-1 block text-left text-xs text-pine underline"
          >
            Say “{suggested}”
          </button>
        )}
        <CheckField
          label="Only decoration: say nothing"
          checked={decorative}
          onChange={(on) => set({ decorative: on, ...(on ? { alt: "" } : {}) })}
          className="mt-2"
        />
      </Section>
    </>
  );
}

/** What is said of a picture's pixels, beside its size. */
function wordsOnPixels(
  { source, width, height }: Pick<PictureAttributes, "source" | "width" | "height">,
  facts: PictureFacts | undefined,
): string {
  const needed = facts && pixelsLacking({ width, height }, facts);
  if (needed)
    return `It would need ${needed.width} × ${needed.height} px to be sharp at this size, and has ${facts.pixels?.width} × ${facts.pixels?.height}.`;
  return isHosted(source)
    ? "It is cut anew at each size, with pixels enough for sharp displays."
    : "It is not hosted here: its file stays as it is, in its own proportions.";
}

interface SizeProps {
  readonly width: number;
  readonly height: number;
  readonly disabled?: boolean;
  readonly onChange: (asked: { width: number } | { height: number }) => void;
}

/** An exact display size, side by side; px. */
function SizeFields({ width, height, disabled = false, onChange }: SizeProps) {
  const shared = { range: displaySide, disabled };
  return (
    <div className="flex gap-4">
      <MeasureField
        label="Width"
        value={width}
        {...shared}
        onChange={(value) => onChange({ width: value })}
      />
      <MeasureField
        label="Height"
        value={height}
        {...shared}
        onChange={(value) => onChange({ height: value })}
      />
    </div>
  );
}
