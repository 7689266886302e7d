"use client";

import { Minus, Plus } from "lucide-react";
import { useEffect, useRef, useState, type PointerEvent } from "react";
import { addressOf, endpoints, type Original } from "@/contract";
import { nudgeFocus, type Focus } from "@/core/pictures";
import { IconButton } from "../../parts/icon-button";

interface Props {
  readonly original: Pick<Original, "hash" | "width" | "height">;
  readonly focus: Focus;
  /** Whose picture it is. */
  readonly name: string;
  /** Side of the frame; px. */
  readonly size: number;
  /** Resolves to whether it was kept. */
  readonly onChange: (focus: Focus) => Promise<boolean>;
}

/** Of the focus's side: what an arrow key moves it by, and with Shift. */
const step = { fine: 0.02, coarse: 0.1 } as const;
const zoomStep = 1.1;

/** Keys that follow within this time are one change; ms. */
const gatherFor = 600;

type Nudge = Parameters<typeof nudgeFocus>[1];

/** The picture moves under the frame, so what is seen moves the other way. */
const keys: Readonly<Record<string, (by: number) => Nudge>> = {
  ArrowLeft: (by) => ({ across: by }),
  ArrowRight: (by) => ({ across: -by }),
  ArrowUp: (by) => ({ down: by }),
  ArrowDown: (by) => ({ down: -by }),
  "+": () => ({ zoom: 1 / zoomStep }),
  "=": () => ({ zoom: 1 / zoomStep }),
  "-": () => ({ zoom: zoomStep }),
};

/** A photograph under a round frame: moved by dragging or by arrow keys, made closer or wider by plus and minus. */
export function FocusFrame({ original, focus, name, size, onChange }: Props) {
  // What was moved is shown until what it was moved from is another.
  const given = JSON.stringify(focus);
  const [moved, setMoved] = useState<{ readonly from: string; readonly focus: Focus } | null>(null);
  const dragged = useRef<{ readonly x: number; readonly y: number; readonly from: Focus } | null>(null);
  const waiting = useRef<{ timer: ReturnType<typeof setTimeout>; keep: () => void } | null>(null);
  if (moved && moved.from !== given) setMoved(null);
  const shown = moved?.from === given ? moved.focus : focus;
  const move = (next: Focus): void => setMoved({ from: given, focus: next });
  const scale = size / shown.side;

  // What was moved last is kept, wherever the page goes.
  useEffect(() => () => waiting.current?.keep(), []);

  const settle = (next: Focus): void => {
    if (waiting.current) clearTimeout(waiting.current.timer);
    const keep = (): void => {
      waiting.current = null;
      if (JSON.stringify(next) !== given)
        void onChange(next).then((kept) => {
          if (!kept) setMoved(null);
        });
    };
    move(next);
    waiting.current = { timer: setTimeout(keep, gatherFor), keep };
  };
  const nudge = (by: Nudge): void => settle(nudgeFocus(shown, by, original));

  const onMove = ({ clientX, clientY }: PointerEvent): void => {
    const held = dragged.current;
    if (!held) return;
    const [across, down] = [(held.x - clientX) / size, (held.y - clientY) / size];
    move(nudgeFocus(held.from, { across, down }, original));
  };
  const drop = (): void => {
    if (!dragged.current) return;
    dragged.current = null;
    settle(shown);
  };

  return (
    <div className="flex items-end gap-1">
      <div
        role="application"
        tabIndex={0}
        aria-label={`The part of the photograph of ${name} that shows: arrow keys move it, plus and minus make it closer or wider`}
        data-focus={`${shown.x} ${shown.y} ${shown.side}`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          dragged.current = { x: event.clientX, y: event.clientY, from: shown };
        }}
        onPointerMove={onMove}
        onPointerUp={drop}
        onPointerCancel={drop}
        onKeyDown={(event) => {
          const key = keys[event.key];
          if (!key || event.ctrlKey || event.metaKey || event.altKey) return;
          event.preventDefault();
          nudge(key(event.shiftKey ? step.coarse : step.fine));
        }}
        className="relative shrink-0 cursor-move touch-none overflow-hidden rounded-full border border-hairline bg-canvas"
        style={{ width: size, height: size }}
      >
        <img
          src={addressOf(endpoints.pictureView, { hash: original.hash })}
          alt=""
          draggable={false}
          className="absolute max-w-none select-none"
          style={{
            width: original.width * scale,
            height: original.height * scale,
            left: size / 2 - shown.x * scale,
            top: size / 2 - shown.y * scale,
          }}
        />
      </div>
      <div className="flex flex-col">
        <IconButton label={`Closer to ${name}`} onClick={() => nudge({ zoom: 1 / zoomStep })}>
          <Plus size={14} aria-hidden />
        </IconButton>
        <IconButton label={`Further from ${name}`} onClick={() => nudge({ zoom: zoomStep })}>
          <Minus size={14} aria-hidden />
        </IconButton>
      </div>
    </div>
  );
}
