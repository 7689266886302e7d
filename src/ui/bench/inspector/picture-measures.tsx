"use client";

import { Crop } from "lucide-react";
import { suggestAlt } from "@/core/checks";
import { isHosted } from "@/core/addresses";
import { drawnInRow, iconRow, type image } from "@/core/signature";
import { formatSize } from "../../parts/format";
import { Button } from "../../parts/button";
import { useBench } from "../bench-context";
import type { MeasuresOfPart } from "./measures-of-part";
import { SizeFields, useResizing, wordsOnPixels } from "./picture-size";
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
  const { editor, altContext, pictureFacts, choosePicture, cutPicture } = useBench();
  const { busy, resize } = useResizing(position);
  const { source, width, height, alt, decorative } = attributes;

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
