import { messageArea, seenFaceRules, type FontTrial, type Mode, type StandIn } from "@/core/clients";

/** Where the shipped faces are served. */
const fontAddress = "/fonts";

/** The rules of a kind's message area: its canvas, type and colours, and the faces that its recipients see of some HTML. */
export const areaOf = (standIn: StandIn, mode: Mode, html: string, fonts: FontTrial = "installed"): string =>
  messageArea(standIn, mode) + seenFaceRules(standIn, html, fonts, fontAddress);
