import type { RefObject } from "react";
import { frameDocument } from "../../parts/drawing/frame-document";

const blank = frameDocument({ html: "", area: "" });

/** What is measured is drawn here, where nobody sees it. */
export function MeasuringFrame({ frame }: { readonly frame: RefObject<HTMLIFrameElement | null> }) {
  return (
    <iframe
      ref={frame}
      title="Measuring"
      aria-hidden
      tabIndex={-1}
      inert
      sandbox="allow-same-origin"
      srcDoc={blank}
      className="pointer-events-none fixed -left-[3000px] top-0 h-[1200px] border-0 opacity-0"
    />
  );
}
