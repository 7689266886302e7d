/** In how many of all proofs a signature is still for somebody, laid out without a browser. */
import type { Node } from "prosemirror-model";
import {
  designGround,
  designOf,
  designPage,
  inColorsOf,
  messageOf,
  messagePage,
  modes,
  partsOf,
  proofKinds,
  receivedInModes,
  standIns,
  type Ground,
  type Mode,
  type ProofKey,
  type StandIn,
} from "../clients";
import { parseMessage, type Element } from "../html";
import { driftBetween, isStill, unrest, type KnownColors, type PartDrift } from "../layout";
import type { Person } from "../people";
import { writtenFor } from "./written-for";

export interface UnstillProof extends ProofKey {
  readonly drift: readonly PartDrift[];
}

export interface StillFor {
  readonly still: number;
  readonly all: number;
  /** The least still; null where all are still. */
  readonly worst: UnstillProof | null;
}

const groundOf = ({ canvas, text, linkColor }: StandIn, mode: Mode): Ground => ({
  canvas: canvas[mode],
  text: text[mode],
  link: linkColor[mode],
});

/** `base` is the public address of the pictures, by whose paths their colours are known. */
export function stillFor(document: Node, person: Person, base: string, colors: KnownColors = {}): StillFor {
  const message = messageOf(writtenFor(document, person, base), true);
  // Colours of pictures are known by their paths here.
  const bodyOf = (html: string): Element => parseMessage(html.replaceAll(`"${base}/h/`, '"/h/')).body;
  const design = partsOf(bodyOf(designOf(message.read)), designPage, designGround);
  const counted = new Map<string, boolean>();
  let worst: (UnstillProof & { readonly unrest: number }) | null = null;
  for (const { client, account } of proofKinds) {
    const standIn = standIns[client];
    const shown = receivedInModes(message, client, { account });
    const light = partsOf(bodyOf(shown.light.html), messagePage(standIn), groundOf(standIn, "light"));
    for (const mode of modes) {
      const parts =
        mode === "light" ? light : inColorsOf(light, bodyOf(shown[mode].html), groundOf(standIn, mode));
      const drift = driftBetween(design, parts, colors);
      const still = isStill(drift);
      const key = `${client} ${mode}`;
      // Of accounts that differ the worse counts.
      counted.set(key, (counted.get(key) ?? true) && still);
      const own = unrest(drift);
      if (!still && own > (worst?.unrest ?? -1)) worst = { client, mode, account, drift, unrest: own };
    }
  }
  return {
    still: [...counted.values()].filter(Boolean).length,
    all: counted.size,
    worst: worst && { client: worst.client, mode: worst.mode, account: worst.account, drift: worst.drift },
  };
}
