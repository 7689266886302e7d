"use client";

import { useMemo } from "react";
import { sizeMap, type SizedPlace } from "@/core/source";
import type { SourceHandle } from "./built-source";
import { goTo } from "./code-marks";
import type { SourceState } from "./source-sync";

interface Placed {
  readonly place: SizedPlace;
  /** From the outermost, which is 0. */
  readonly depth: number;
  /** Shares of the whole. */
  readonly left: number;
  readonly width: number;
}

const rowHeight = 22;
const deepest = 5;

/** Every part as a bar as wide as it costs, below what it is in. */
function layOut(whole: SizedPlace): readonly Placed[] {
  const placed: Placed[] = [];
  const waiting: Placed[] = [{ place: whole, depth: 0, left: 0, width: 1 }];
  for (let here = waiting.pop(); here; here = waiting.pop()) {
    placed.push(here);
    if (here.depth + 1 >= deepest) continue;
    let { left } = here;
    for (const part of here.place.parts) {
      const width = part.characters / Math.max(1, whole.characters);
      waiting.push({ place: part, depth: here.depth + 1, left, width });
      left += width;
    }
  }
  return placed.sort((one, other) => one.depth - other.depth || one.left - other.left);
}

/** Its name where what it is in stands above it. */
const shortName = (name: string): string => name.replace(/^the /, "").replace(/ of row \d+$/, "");

const share = (width: number): string => `${Math.round(width * 100)} %`;

/** What costs most: each part of the signature as wide as it is long; pressing one goes to it. */
export function SizeMap({ state, handle }: { state: SourceState; handle: SourceHandle | null }) {
  const { text, reading, opened } = state;
  const bars = useMemo(
    () =>
      layOut(
        sizeMap({
          html: text,
          document: reading.document,
          places: reading.places,
          person: opened.person,
        }),
      ).slice(1),
    [text, reading, opened],
  );
  const rows = Math.max(0, ...bars.map(({ depth }) => depth));
  const go = (position: number): void => {
    const place = reading.places.find((each) => each.position === position);
    if (!place || !handle) return;
    goTo(handle.view, place.from + 1);
    handle.view.focus();
  };
  return (
    <div role="group" aria-label="What costs most" className="border-b border-hairline px-3 py-2">
      <div className="relative" style={{ height: rows * rowHeight }}>
        {bars.map(({ place, depth, left, width }) => (
          <button
            key={`${place.position} ${depth}`}
            type="button"
            onClick={() => go(place.position)}
            aria-label={`${place.name}: ${place.characters.toLocaleString("en")} characters, ${share(width)}`}
            title={`${place.name}: ${place.characters.toLocaleString("en")} characters, ${share(width)}`}
            className="absolute overflow-hidden border border-paper bg-kelp px-1 text-left text-xs text-ink hover:bg-pine hover:text-on-pine focus-visible:z-10"
            style={{
              left: `${left * 100}%`,
              width: `${width * 100}%`,
              top: (depth - 1) * rowHeight,
              height: rowHeight,
            }}
          >
            {width > 0.07 && <span className="block truncate">{shortName(place.name)}</span>}
          </button>
        ))}
      </div>
    </div>
  );
}
