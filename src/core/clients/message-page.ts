/** The page that a kind's messages are laid out in without a browser: as wide as what is inside the margins of its pane; px. */
import { familiesIn, type Page } from "../layout";
import { faceDrawn, type FontTrial } from "./faces";
import { breaksWords } from "./message-area";
import { messageMargin } from "./message-margin";
import type { StandIn } from "./stand-in";

export const messagePage = (standIn: StandIn, trial: FontTrial = "installed"): Page => ({
  width: standIn.width - 2 * messageMargin,
  type: { families: familiesIn(standIn.type.family), size: standIn.type.size },
  faceOf: (family) => faceDrawn(standIn, family, trial),
  breakWords: breaksWords(standIn),
});
