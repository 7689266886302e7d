/** The pages that messages are laid out in without a browser: as wide as what is inside the margins of a pane; px. */
import { familiesIn, type Page } from "../layout";
import { webSafeFont } from "../signature";
import { faceDrawn, type FontTrial } from "./faces";
import { breaksWords } from "./message-area";
import { designWidth, messageMargin } from "./message-room";
import type { Ground } from "./parts-of";
import type { StandIn } from "./stand-in";

export const messagePage = (standIn: StandIn, trial: FontTrial = "installed"): Page => ({
  width: standIn.width - 2 * messageMargin,
  type: { families: familiesIn(standIn.type.family), size: standIn.type.size },
  faceOf: (family) => faceDrawn(standIn, family, trial),
  breakWords: breaksWords(standIn),
});

/** What a design is laid out in: a browser's own type, and room for all of it. */
export const designPage: Page = {
  width: designWidth,
  type: { families: ["Times New Roman"], size: 16 },
  faceOf: (family) => webSafeFont(family)?.drawnWith ?? null,
};
export const designGround: Ground = { canvas: "#FFFFFF", text: "#000000", link: "#0000EE" };
