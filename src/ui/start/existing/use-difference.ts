"use client";

/** How what would begin here looks beside what it was, measured in a frame that nobody sees. */
import { useEffect, useState, type RefObject } from "react";
import { importDifference, type ImportDifference } from "@/core/importing";
import { bodyOf, drawInto } from "../../parts/drawing/frame-document";
import { drawnWordsOf } from "../../importing/drawn-words";

/** The page around both: white paper, and the type that text has where nothing is said of it. */
export const importArea = "html{background:#ffffff}body{font:13px Arial,sans-serif;color:#333333}";

const width = 900;

async function loaded(frame: HTMLIFrameElement): Promise<HTMLElement | null> {
  const body = bodyOf(frame);
  if (body) return body;
  await new Promise((resolve) => frame.addEventListener("load", resolve, { once: true }));
  return bodyOf(frame);
}

interface Measured {
  readonly before: string;
  readonly after: string;
  readonly difference: ImportDifference;
}

/** Null while it is being measured. */
export function useDifference(
  frame: RefObject<HTMLIFrameElement | null>,
  before: string,
  after: string,
): ImportDifference | null {
  const [measured, setMeasured] = useState<Measured | null>(null);
  useEffect(() => {
    let stopped = false;
    const measure = async (): Promise<void> => {
      const element = frame.current;
      const body = element && (await loaded(element));
      if (!element || !body || stopped) return;
      element.style.setProperty("width", `${width}px`);
      drawInto(body, { html: before, area: importArea });
      const was = await drawnWordsOf(body);
      if (stopped) return;
      drawInto(body, { html: after, area: importArea });
      const is = await drawnWordsOf(body);
      if (!stopped) setMeasured({ before, after, difference: importDifference(was, is) });
    };
    void measure();
    return () => {
      stopped = true;
    };
  }, [frame, before, after]);
  return measured?.before === before && measured.after === after ? measured.difference : null;
}
