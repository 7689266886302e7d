"use client";

import { Minus, Plus } from "lucide-react";
import { useCallback, useEffect, useRef, useState } from "react";
import ReactCrop, { type PixelCrop } from "react-image-crop";
import "react-image-crop/dist/ReactCrop.css";
import { addressOf, endpoints } from "@/contract";
import { clampCrop, moveCrop, type Aspect, type Rectangle } from "@/core/pictures";
import { formatSize } from "../../parts/format";
import { IconButton } from "../../parts/icon-button";
import type { CutTools } from "./use-cut";

interface Props {
  readonly cut: Pick<CutTools, "original" | "recipe" | "change">;
  readonly aspect: Aspect;
}

/** Zoom steps, each so many times the one before. */
const zoomStep = 1.25;
const mostZoom = 8;

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const scaled = ({ x, y, width, height }: Rectangle, by: number): Rectangle => ({
  x: x * by,
  y: y * by,
  width: width * by,
  height: height * by,
});

/** The real picture with the crop over it: dragged, resized at its edges, moved by arrow keys, zoomed. */
export function CropStage({ cut, aspect }: Props) {
  const { original, recipe, change } = cut;
  const room = useRef<HTMLDivElement>(null);
  const [fit, setFit] = useState(0);
  const [zoom, setZoom] = useState(1);
  const [dragged, setDragged] = useState<Rectangle | null>(null);
  const crop = dragged ?? recipe.crop;
  const scale = fit * zoom;

  useEffect(() => {
    const element = room.current;
    if (!element) return;
    const measure = (): void =>
      setFit(
        Math.min(
          element.clientWidth / original.width,
          element.clientHeight / original.height,
          original.type === "svg" ? 8 : 1,
        ),
      );
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [original]);

  const zoomTo = useCallback((next: number) => setZoom(Math.max(1, Math.min(mostZoom, next))), []);

  // What is cut stays in the middle while zooming.
  useEffect(() => {
    const element = room.current;
    if (!element) return;
    const { x, y, width, height } = recipe.crop;
    element.scrollLeft = (x + width / 2) * scale - element.clientWidth / 2;
    element.scrollTop = (y + height / 2) * scale - element.clientHeight / 2;
    // Following the crop itself would move the picture under the pointer.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [scale]);

  useEffect(() => {
    const element = room.current;
    if (!element) return;
    // React listens passively, and could not keep the page from zooming.
    const onWheel = (event: WheelEvent): void => {
      if (!event.ctrlKey) return;
      event.preventDefault();
      setZoom((now) => Math.max(1, Math.min(mostZoom, now * (event.deltaY < 0 ? zoomStep : 1 / zoomStep))));
    };
    element.addEventListener("wheel", onWheel, { passive: false });
    return () => element.removeEventListener("wheel", onWheel);
  }, []);

  const toOriginal = (drawn: PixelCrop): Rectangle => clampCrop(scaled(drawn, 1 / scale), original);
  const round = recipe.frame.shape === "circle" || recipe.frame.shape.endsWith("ellipse");

  return (
    <div className="flex h-full min-h-0 flex-col">
      <div
        ref={room}
        className="min-h-0 flex-1 overflow-auto border border-hairline bg-sheet"
        onKeyDownCapture={(event) => {
          const arrow = arrows[event.key];
          const onArea = (event.target as HTMLElement).classList.contains("ReactCrop__crop-selection");
          if (!arrow || !onArea) return;
          event.preventDefault();
          event.stopPropagation();
          const by = event.shiftKey ? 5 : 1;
          change({ crop: moveCrop(recipe.crop, arrow[0] * by, arrow[1] * by, original) }, "move crop");
        }}
      >
        {scale > 0 && (
          <div
            className="flex min-h-full min-w-full items-center justify-center"
            style={{ width: "max-content" }}
          >
            <ReactCrop
              crop={{ unit: "px", ...scaled(crop, scale) }}
              {...(aspect === null ? {} : { aspect })}
              circularCrop={round}
              keepSelection
              ruleOfThirds={dragged !== null}
              minWidth={Math.max(4, scale)}
              ariaLabels={{
                cropArea: "Crop: arrow keys move it by 1 px, with Shift by 5",
                nwDragHandle: "Crop, top left corner",
                nDragHandle: "Crop, top edge",
                neDragHandle: "Crop, top right corner",
                eDragHandle: "Crop, right edge",
                seDragHandle: "Crop, bottom right corner",
                sDragHandle: "Crop, bottom edge",
                swDragHandle: "Crop, bottom left corner",
                wDragHandle: "Crop, left edge",
              }}
              onChange={(drawn) => {
                if (drawn.width >= 1 && drawn.height >= 1) setDragged(toOriginal(drawn));
              }}
              onComplete={(drawn) => {
                setDragged(null);
                if (drawn.width < 1 || drawn.height < 1) return;
                const next = toOriginal(drawn);
                if (JSON.stringify(next) !== JSON.stringify(recipe.crop)) change({ crop: next });
              }}
            >
              <img
                src={addressOf(endpoints.pictureView, { hash: original.hash })}
                alt={original.name}
                draggable={false}
                className={original.transparent ? "checkered" : ""}
                style={{
                  width: original.width * scale,
                  height: original.height * scale,
                  maxWidth: "none",
                  maxHeight: "none",
                }}
              />
            </ReactCrop>
          </div>
        )}
      </div>
      <div className="flex items-center gap-3 pt-1.5 text-sm">
        <IconButton label="Zoom out" disabled={zoom <= 1} onClick={() => zoomTo(zoom / zoomStep)}>
          <Minus size={15} aria-hidden />
        </IconButton>
        <input
          type="range"
          aria-label="Zoom"
          aria-valuetext={`${Math.round(scale * 100)} %`}
          min={1}
          max={mostZoom}
          step={0.05}
          value={zoom}
          onChange={(event) => zoomTo(Number(event.target.value))}
          className="w-40 accent-pine"
        />
        <IconButton label="Zoom in" disabled={zoom >= mostZoom} onClick={() => zoomTo(zoom * zoomStep)}>
          <Plus size={15} aria-hidden />
        </IconButton>
        <span className="w-12 text-soft">{Math.round(scale * 100)} %</span>
        <span aria-live="polite" className="ml-auto text-soft">
          {formatSize(crop.width, crop.height)} of {formatSize(original.width, original.height)}
        </span>
      </div>
    </div>
  );
}
