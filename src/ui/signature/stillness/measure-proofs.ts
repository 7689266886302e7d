/** Measures every proof of a signature in a frame that nobody sees, one after the other, while the page stays usable. */
import {
  designOf,
  designWidth,
  messageOf,
  modes,
  proofKinds,
  receivedInModes,
  standIns,
  type ProofKey,
} from "@/core/clients";
import { driftBetween, isStill, unrest, type KnownColors, type PartDrift } from "@/core/layout";
import type { Size } from "@/core/pictures";
import { areaOf } from "../../parts/drawing/area-of";
import { bodyOf, drawInto, frameMargin, whitePaper } from "../../parts/drawing/frame-document";
import { localPictures } from "../../parts/drawing/local-pictures";
import { ordinaryConditions, type Conditions } from "./conditions";
import { keyText } from "./proof-keys";
import { readParts, type DrawnSignature } from "./read-parts";
import { settled } from "./settled";

export interface MeasuredProof extends ProofKey {
  readonly drift: readonly PartDrift[];
  readonly still: boolean;
  /** The greater, the worse. */
  readonly unrest: number;
  /** How wide it is beyond its pane; px. */
  readonly overflow: number;
  /** What it is drawn at as a whole to fit its pane: 1, or less in kinds that shrink. */
  readonly scale: number;
  /** The smallest type as it is shown; px. */
  readonly smallestType: number;
}

export type Measured = ReadonlyMap<string, MeasuredProof>;

export interface MeasuredAll {
  readonly measured: Measured;
  /** How large the design is, with the room around it; px. */
  readonly design: Size;
}

/** Lets whoever uses the page go first. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** What is drawn on a display of a scale, in the px of the design. */
const unscaled = (drawn: DrawnSignature, scale: number): DrawnSignature =>
  scale === 1
    ? drawn
    : {
        ...drawn,
        width: drawn.width / scale,
        parts: drawn.parts.map((part) => ({
          ...part,
          left: part.left / scale,
          top: part.top / scale,
          width: part.width / scale,
          height: part.height / scale,
        })),
      };

function compared(
  key: ProofKey,
  design: DrawnSignature,
  shown: DrawnSignature,
  colors: KnownColors,
): MeasuredProof {
  const { width, shrinks } = standIns[key.client];
  const drift = driftBetween(design.parts, shown.parts, colors);
  const overflow = Math.max(0, Math.ceil(shown.width - width));
  const scale = shrinks && overflow > 0 ? width / shown.width : 1;
  return {
    ...key,
    drift,
    still: isStill(drift),
    unrest: unrest(drift),
    overflow: shrinks ? 0 : overflow,
    scale,
    smallestType: shown.smallestType * scale,
  };
}

export interface Measuring {
  readonly html: string;
  readonly base: string;
  readonly colors: KnownColors;
  readonly conditions?: Conditions;
}

/**
 * All proofs of some HTML, measured in a frame whose document has loaded; it is made as wide as each kind's pane while that
 * is drawn. Null once `stopped` says so: one frame holds one measuring at a time.
 */
export async function measureProofs(
  frame: HTMLIFrameElement,
  { html, base, colors, conditions = ordinaryConditions }: Measuring,
  stopped: () => boolean,
): Promise<MeasuredAll | null> {
  const draw = async (drawn: string, area: string, width: number): Promise<DrawnSignature | null> => {
    const body = bodyOf(frame);
    if (!body || stopped()) return null;
    frame.style.width = `${width}px`;
    drawInto(body, { html: localPictures(drawn, base), area });
    await settled(body);
    return stopped() ? null : readParts(body);
  };

  const message = messageOf(html, true);
  const design = await draw(designOf(message.read), whitePaper, designWidth + 2 * frameMargin);
  if (!design) return null;
  const measured = new Map<string, MeasuredProof>();
  for (const { client, account } of proofKinds) {
    const standIn = standIns[client];
    const shown = receivedInModes(message, client, { account, scale: conditions.scale });
    for (const mode of modes) {
      const { html: received } = shown[mode];
      const drawn = await draw(received, areaOf(standIn, mode, received, conditions.fonts), standIn.width);
      if (!drawn) return null;
      const key = { client, mode, account };
      measured.set(
        keyText(key),
        compared(
          key,
          design,
          standIn.behaviours.includes("document-engine") ? unscaled(drawn, conditions.scale) : drawn,
          colors,
        ),
      );
      await breathe();
    }
  }
  const room = 2 * frameMargin;
  return {
    measured,
    design: { width: design.whole.width + room, height: design.whole.height + room },
  };
}
