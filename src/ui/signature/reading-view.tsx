"use client";

import { Image as PictureIcon, Link2, Type } from "lucide-react";
import type { Node } from "prosemirror-model";
import { useMemo } from "react";
import { notification, picturesBlocked, readAloud, type Utterance } from "@/core/clients";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";

const kinds: Readonly<Record<Utterance["kind"], { word: string; Icon: typeof Type }>> = {
  text: { word: "text", Icon: Type },
  link: { word: "link", Icon: Link2 },
  picture: { word: "picture", Icon: PictureIcon },
};

interface Props {
  readonly document: Node;
  readonly person: Person | null;
  readonly base: string;
}

/** The signature for those who do not see its pictures: blocked by a client, or read out. */
export function ReadingView({ document, person, base }: Props) {
  const html = useMemo(
    () => localPictures(compile(document, { destination: "webmail-paste", person, base }), base),
    [document, person, base],
  );
  const blocked = useMemo(() => picturesBlocked(html), [html]);
  const said = useMemo(() => readAloud(html), [html]);
  const plain = useMemo(
    () => compile(document, { destination: "plain-text", person, base }),
    [document, person, base],
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-8">
      <section aria-labelledby="blocked">
        <h2 id="blocked" className="mb-2 border-t border-pine pt-2 text-sm text-soft">
          While pictures are blocked, each is a box with its alt text
        </h2>
        <div className="border border-hairline bg-canvas">
          <SignatureFrame html={blocked} label="The signature with its pictures blocked" width={520} />
        </div>
        <h2 className="mb-2 mt-6 border-t border-pine pt-2 text-sm text-soft">As plain text</h2>
        <pre
          role="region"
          aria-label="As plain text"
          tabIndex={0}
          className="max-h-72 overflow-auto whitespace-pre-wrap border border-hairline bg-sheet p-3 font-mono text-xs leading-5"
        >
          {plain || "It says nothing without its pictures."}
        </pre>
        <h2 className="mb-2 mt-6 border-t border-pine pt-2 text-sm text-soft">
          What a notification shows, where the letter above it is empty
        </h2>
        <p className="max-w-md rounded-sm border border-hairline bg-sheet px-3 py-2" data-notification>
          {notification(plain) || "Nothing."}
        </p>
      </section>
      <section aria-labelledby="aloud">
        <h2 id="aloud" className="mb-2 border-t border-pine pt-2 text-sm text-soft">
          Read out, in this order
        </h2>
        <ol className="space-y-1">
          {said.map(({ kind, text, unnamed }, index) => {
            const { word, Icon } = kinds[kind];
            return (
              <li key={index} className="flex gap-2">
                <Icon size={14} aria-hidden className="mt-1 shrink-0 text-soft" />
                <span className="min-w-0 [overflow-wrap:anywhere]">
                  {kind !== "text" && <span className="text-soft">{word}, </span>}
                  {text}
                  {unnamed && <span className="text-clay"> (says nothing: it has no alt text)</span>}
                </span>
              </li>
            );
          })}
        </ol>
      </section>
    </div>
  );
}
