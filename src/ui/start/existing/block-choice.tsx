import { useMemo } from "react";
import {
  asItWas,
  blockAttribute,
  chosenAttribute,
  withBlocksMarked,
  type FoundBy,
  type SignatureBlock,
} from "@/core/importing";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { RadioChoice } from "../../parts/fields/radio-choice";
import { importArea } from "./use-difference";

const reasons: Readonly<Record<FoundBy, string>> = {
  delimiter: "after the line that parts it from the text",
  wrapper: "named a signature by the program that wrote it",
  repeated: "comes again further down the thread",
  "last-block": "a block with pictures or links",
  whole: "the whole message",
};

interface Props {
  readonly blocks: readonly SignatureBlock[];
  readonly chosen: number;
  readonly message: string;
  /** The HTML with its pictures as they show here. */
  readonly local: (html: string) => string;
  readonly onChoose: (index: number) => void;
}

/** The chosen one is outlined, and so, more quietly, is what else may be it, but for all of the message. */
const outlines = (blocks: readonly SignatureBlock[]): string => {
  const whole = blocks.findIndex(({ foundBy }) => foundBy === "whole");
  return (
    `[${blockAttribute}]:not([${blockAttribute}="${whole}"]){outline:1px dashed #8A9A94;outline-offset:3px}` +
    `[${blockAttribute}][${chosenAttribute}]{outline:2px solid #1F5B57;outline-offset:3px}`
  );
};

/** Which part of a message is the signature: the likeliest is chosen, and marked in the message. */
export function BlockChoice({ blocks, chosen, message, local, onChoose }: Props) {
  const shown = useMemo(() => asItWas(withBlocksMarked(message, blocks, chosen)), [message, blocks, chosen]);
  return (
    <section
      aria-labelledby="blocks"
      className="grid gap-3 border-t border-hairline pt-2 md:grid-cols-[minmax(0,1fr)_280px]"
    >
      <div className="border border-hairline bg-sheet p-1.5">
        <SignatureFrame
          html={local(shown)}
          label="The message"
          width={640}
          highest={220}
          area={`${importArea}${outlines(blocks)}`}
          fit
          onPoint={(element) => {
            const pointed = element.closest(`[${blockAttribute}]`)?.getAttribute(blockAttribute);
            if (pointed) onChoose(Number(pointed));
          }}
        />
      </div>
      <fieldset className="min-w-0">
        <legend id="blocks" className="pb-1 font-serif text-lg">
          The signature in this message
        </legend>
        <p className="pb-1 text-xs text-soft">Point at another part of the message, or choose it here.</p>
        {blocks.map(({ foundBy, text }, index) => (
          <RadioChoice
            key={`${foundBy}-${text}`}
            name="block"
            checked={index === chosen}
            onChange={() => onChoose(index)}
            text={text || "pictures only"}
            more={reasons[foundBy]}
          />
        ))}
      </fieldset>
    </section>
  );
}
