"use client";

import { ArrowLeft, ArrowRight, ExternalLink } from "lucide-react";
import { useState } from "react";
import { describeLink } from "@/core/links";
import type { PlacedLink } from "@/core/signature";
import { Button } from "../parts/button";
import { DialogFrame } from "../parts/dialog-frame";

interface Props {
  readonly links: readonly PlacedLink[];
  readonly opened: Readonly<Record<string, number>>;
  readonly onOpen: (link: PlacedLink) => void;
  readonly onClose: () => void;
}

/** Walks through the links one by one as a recipient would; opening one says that a person saw it. */
export function OpenEach({ links, opened, onOpen, onClose }: Props) {
  const [index, setIndex] = useState(0);
  const link = links[index];
  if (!link) return null;
  const { kind, shown, detail } = describeLink(link.href);
  const last = index === links.length - 1;
  return (
    <DialogFrame
      title="Open each"
      description="One after the other, as a recipient would. What you open is written down as seen by you."
      onClose={onClose}
      className="w-[560px]"
    >
      <p className="mt-5 text-sm text-soft">
        {index + 1} of {links.length}
      </p>
      <p className="font-serif text-xl">{link.text.trim() || "A picture without alt text"}</p>
      <p className="text-soft">leads to the {kind}</p>
      <p className="break-all font-mono text-[13px]">{shown}</p>
      {detail && <p className="text-soft">{detail}</p>}
      <div className="mt-5 flex items-center gap-2">
        <Button look="primary" onClick={() => onOpen(link)} autoFocus>
          <ExternalLink size={15} aria-hidden />
          Open it
        </Button>
        <span role="status" className="text-sm text-lichen">
          {opened[link.href] ? "Seen by you" : ""}
        </span>
        <span className="ml-auto" />
        <Button look="quiet" disabled={index === 0} onClick={() => setIndex(index - 1)}>
          <ArrowLeft size={15} aria-hidden />
          Back
        </Button>
        <Button onClick={() => (last ? onClose() : setIndex(index + 1))}>
          {last ? "Done" : "Next"}
          {!last && <ArrowRight size={15} aria-hidden />}
        </Button>
      </div>
    </DialogFrame>
  );
}
