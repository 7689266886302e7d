"use client";

import { useRef, useState, type CSSProperties } from "react";

interface Props {
  readonly label: string;
  /** The measure that it changes, px, and how it is read out. */
  readonly value: number;
  readonly valueText: string;
  readonly least: number;
  readonly most: number;
  readonly along: "x" | "y";
  /** -1 where the measure grows towards the start of the axis. */
  readonly direction?: 1 | -1;
  /** Shown beside the hand while it drags. */
  readonly readout: string;
  /** Called with the measure wanted; one gesture or key press has one number. */
  readonly onChange: (value: number, gesture: number) => void;
  readonly className: string;
  readonly style?: CSSProperties;
}

/** Undo keeps steps of one number together; the editor counts its own compositions from 1. */
let gestures = 1_000_000;

/** A handle on a rule: dragged, or nudged by 1 px with the arrow keys and by 5 with Shift. */
export function RuleHandle(props: Props) {
  const {
    label,
    value,
    valueText,
    least,
    most,
    along,
    direction = 1,
    readout,
    onChange,
    className,
    style,
  } = props;
  const [dragging, setDragging] = useState(false);
  const gesture = useRef({ id: 0, from: 0, value: 0 });
  const place = (event: React.PointerEvent): number => (along === "x" ? event.clientX : event.clientY);
  const clamped = (wanted: number): number => Math.min(most, Math.max(least, Math.round(wanted)));
  const keys: Readonly<Record<string, number>> =
    along === "x" ? { ArrowRight: direction, ArrowLeft: -direction } : { ArrowDown: 1, ArrowUp: -1 };

  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={along === "x" ? "horizontal" : "vertical"}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={value}
      aria-valuetext={valueText}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        gesture.current = { id: ++gestures, from: place(event), value };
        setDragging(true);
      }}
      onPointerMove={(event) => {
        if (!dragging) return;
        const by = (place(event) - gesture.current.from) * direction;
        onChange(clamped(gesture.current.value + by), gesture.current.id);
      }}
      onPointerUp={() => setDragging(false)}
      onPointerCancel={() => setDragging(false)}
      onKeyDown={(event) => {
        const by = keys[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onChange(clamped(value + (event.shiftKey ? by * 5 : by)), ++gestures);
      }}
      className={`absolute touch-none rounded-[2px] bg-pine ${along === "x" ? "cursor-ew-resize" : "cursor-ns-resize"} ${className}`}
      style={style}
    >
      {dragging && (
        <span className="absolute bottom-4 left-1/2 z-10 -translate-x-1/2 whitespace-nowrap rounded-sm bg-ink px-1.5 py-0.5 text-xs text-paper">
          {readout}
        </span>
      )}
    </div>
  );
}
