"use client";

/** Taking hold of a row or column by its number on a rule and moving it to another place. Client coordinates, px. */
import { useState, type PointerEvent } from "react";

/** A hand that moves less than this has clicked; px. */
const clickReach = 4;

interface Drag {
  readonly band: number;
  readonly from: number;
  /** The band whose far side it would go to; null while the hand has only clicked. */
  readonly beside: number | null;
}

export interface BandDrag {
  readonly dragged: number | null;
  readonly beside: number | null;
  readonly handlers: (band: number) => {
    readonly onPointerDown: (event: PointerEvent<HTMLElement>) => void;
    readonly onPointerMove: (event: PointerEvent<HTMLElement>) => void;
    readonly onPointerUp: (event: PointerEvent<HTMLElement>) => void;
    readonly onPointerCancel: () => void;
  };
}

/** `bandAt` names the band at a point; `onClick` and `onMove` are called when the hand lets go. */
export function useBandDrag(
  along: "x" | "y",
  bandAt: (position: number) => number,
  onClick: (band: number) => void,
  onMove: (band: number, beside: number) => void,
): BandDrag {
  const [drag, setDrag] = useState<Drag | null>(null);
  const place = (event: PointerEvent): number => (along === "x" ? event.clientX : event.clientY);
  return {
    dragged: drag === null || drag.beside === null ? null : drag.band,
    beside: drag?.beside ?? null,
    handlers: (band) => ({
      onPointerDown(event) {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ band, from: place(event), beside: null });
      },
      onPointerMove(event) {
        if (!drag || (drag.beside === null && Math.abs(place(event) - drag.from) < clickReach)) return;
        setDrag({ ...drag, beside: bandAt(place(event)) });
      },
      onPointerUp() {
        if (!drag) return;
        setDrag(null);
        if (drag.beside === null) onClick(band);
        else if (drag.beside !== band) onMove(band, drag.beside);
      },
      onPointerCancel: () => setDrag(null),
    }),
  };
}
