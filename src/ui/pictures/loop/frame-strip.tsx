"use client";

import { Trash2 } from "lucide-react";
import {
  beginAt,
  moveFrame,
  removeFrame,
  setFrameTime,
  type LoopFrame,
  frameTimeValue,
} from "@/core/pictures";
import { IconButton } from "../../parts/icon-button";
import { MeasureField } from "../../parts/fields/measure-field";
import { SortableItem, SortableList } from "../../parts/sortable-list";
import { FrameDrawing } from "./frame-drawing";
import type { LoopTools } from "./use-loop";

interface FrameProps {
  readonly index: number;
  readonly frame: LoopFrame;
  readonly tools: LoopTools;
}

function Frame({ index, frame, tools }: FrameProps) {
  const { loop, change } = tools;
  const { frames, source } = loop;
  return (
    <SortableItem
      index={index}
      grip={`Move frame ${index + 1}`}
      className="w-[104px] shrink-0 border border-hairline bg-sheet"
      movedClass="border-pine"
    >
      {(grip) => (
        <>
          <div className="flex items-center border-b border-hairline text-xs text-soft">
            {grip}
            {index === 0 ? <b className="text-pine">1, first</b> : index + 1}
            <IconButton
              label={`Remove frame ${index + 1}`}
              className="ml-auto h-6"
              disabled={frames.length === 1}
              onClick={() => change({ frames: removeFrame(frames, index) })}
            >
              <Trash2 size={13} aria-hidden />
            </IconButton>
          </div>
          <FrameDrawing source={source} picture={frame.picture} />
          <div className="flex items-end justify-between gap-1 px-1.5 pb-1.5">
            <MeasureField
              label={`Time of frame ${index + 1}`}
              quiet
              value={frame.time}
              range={frameTimeValue}
              className="w-14"
              onChange={(time) => change({ frames: setFrameTime(frames, index, time) })}
            />
            {index > 0 && (
              <button
                type="button"
                aria-label={`Begin with frame ${index + 1}`}
                className="text-xs text-pine underline"
                onClick={() => change({ frames: beginAt(frames, index) })}
              >
                first
              </button>
            )}
          </div>
        </>
      )}
    </SortableItem>
  );
}

/** The frames in order: moved by drag or by key, removed, timed, and one of them made the first. */
export function FrameStrip({ tools }: { tools: LoopTools }) {
  const { frames } = tools.loop;
  return (
    <SortableList
      across
      thing="Frame"
      count={frames.length}
      onMove={(from, to) => tools.change({ frames: moveFrame(frames, from, to) })}
    >
      <ol aria-label="Frames" className="flex gap-2 overflow-x-auto pb-2">
        {frames.map((frame, index) => (
          <Frame key={index} index={index} frame={frame} tools={tools} />
        ))}
      </ol>
    </SortableList>
  );
}
