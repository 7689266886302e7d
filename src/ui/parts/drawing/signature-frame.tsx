"use client";

import { bodyOf, drawInto, frameDocument, whitePaper } from "./frame-document";
import { staged } from "./stage";
import { useEffect, useLayoutEffect, useRef, useState } from "react";

interface Props {
  /** What the frame draws: HTML for a body. Nothing in it can run. */
  readonly html: string;
  /** Says what is drawn, for those who do not see it. */
  readonly label: string;
  /** Width in which it is laid out, in px, before it is scaled. */
  readonly width: number;
  /** Height of the frame on the screen; left out, it takes what is drawn. */
  readonly height?: number;
  /** The most that it takes where no height is given. */
  readonly highest?: number;
  readonly scale?: number;
  /** Draws it smaller where it would not fit the height. */
  readonly fit?: boolean;
  /** Whether its links can be followed, in a new window; a proof is only looked at. */
  readonly followable?: boolean;
  /** Is told which element of what is drawn was pressed by the pointer; there is another way for the keyboard. */
  readonly onPoint?: (element: Element) => void;
  /** Rules for the page around what is drawn: its canvas, type and colours. */
  readonly area?: string;
}

/** How high what was drawn before came out, in px: when it is drawn again, nothing below it moves. */
const heights = new Map<string, number>();
const mostHeights = 100;

function rememberHeight(key: string, height: number): void {
  heights.delete(key);
  heights.set(key, height);
  for (const oldest of heights.keys()) if (heights.size > mostHeights) heights.delete(oldest);
}

/**
 * A signature drawn in a sandboxed frame in which nothing can run. The frame is made once; what it shows is
 * replaced from outside, so that it follows typing without loading anew.
 */
export function SignatureFrame({
  html,
  label,
  width,
  height,
  highest,
  scale: wanted = 1,
  fit = false,
  followable = false,
  onPoint,
  area = whitePaper,
}: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const holder = useRef<HTMLDivElement>(null);
  /** Less than was asked for where what is around it is narrower; px on the screen. */
  const [room, setRoom] = useState(width * wanted);
  const [first] = useState({ html, area });
  const [initial] = useState(() => frameDocument(first, followable ? "new-window" : "nowhere"));
  const latest = useRef(first);
  const [content, setContent] = useState(() => ({
    width,
    height: height ? height / wanted : (heights.get(`${width} ${html}`) ?? 120),
  }));
  const most = height ?? highest;
  const fitting = Math.min(room / content.width, most ? most / content.height : 1);
  const scale = fit ? Math.min(wanted, fitting) : wanted;

  useLayoutEffect(() => {
    latest.current = { html, area };
    const body = bodyOf(frame.current);
    if (body) staged("draw", () => drawInto(body, latest.current));
  }, [html, area]);

  useEffect(() => {
    if (!fit || !holder.current) return;
    const around = new ResizeObserver(([held]) => held && setRoom(held.contentRect.width));
    around.observe(holder.current);
    return () => around.disconnect();
  }, [fit]);

  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    let observer: ResizeObserver | null = null;
    const arrived = (): void => {
      const body = bodyOf(element);
      if (!body) return;
      // What changed before the frame's document was there could not be drawn into it.
      if (latest.current.html !== first.html || latest.current.area !== first.area)
        drawInto(body, latest.current);
      observer?.disconnect();
      observer = new ResizeObserver(() => {
        const drawn = {
          width: Math.max(1, body.scrollWidth),
          height: Math.max(1, Math.ceil(body.getBoundingClientRect().height)),
        };
        rememberHeight(`${width} ${latest.current.html}`, drawn.height);
        setContent(drawn);
      });
      observer.observe(body);
    };
    // It may have come before this was listening.
    arrived();
    element.addEventListener("load", arrived);
    return () => {
      element.removeEventListener("load", arrived);
      observer?.disconnect();
    };
  }, [first, width]);

  const point = ({ clientX, clientY }: React.MouseEvent): void => {
    const own = frame.current;
    const body = bodyOf(own);
    if (!own || !body) return;
    const { left, top } = own.getBoundingClientRect();
    const [x, y] = [(clientX - left) / scale, (clientY - top) / scale];
    // What is inert is not found by its place; of those around the place, the last is within the others.
    const pressed = [...body.querySelectorAll("*")].findLast((element) => {
      const box = element.getBoundingClientRect();
      return box.left <= x && x <= box.right && box.top <= y && y <= box.bottom;
    });
    if (pressed) onPoint?.(pressed);
  };
  const drawnHeight = height ?? content.height * scale;
  return (
    <div
      ref={holder}
      role={followable ? undefined : "img"}
      aria-label={followable ? undefined : label}
      onClick={onPoint && point}
      className={`overflow-hidden ${onPoint ? "cursor-pointer" : ""}`}
      style={{ height: drawnHeight, width: width * wanted, maxWidth: "100%" }}
    >
      <iframe
        ref={frame}
        title={label}
        sandbox={
          followable ? "allow-same-origin allow-popups allow-popups-to-escape-sandbox" : "allow-same-origin"
        }
        srcDoc={initial}
        tabIndex={followable ? 0 : -1}
        inert={!followable}
        className={`block border-0 ${followable ? "" : "pointer-events-none"}`}
        style={{
          width: Math.max(width, fit ? content.width : 0),
          height: Math.max(content.height, drawnHeight / scale),
          transform: `scale(${scale})`,
          transformOrigin: "0 0",
        }}
      />
    </div>
  );
}
