/** How the user's letters are set: the type around every signature. */
import { letterType, type LetterType } from "@/contract";
import { setting } from "./settings";

const kept = setting("letter type", letterType);

/** What most mail is written in, until somebody says otherwise. */
const usual: LetterType = { font: "Arial", size: 14, color: "#333333" };

export const findLetterType = async (): Promise<LetterType> => (await kept.find()) ?? usual;

export async function keepLetterType(next: LetterType): Promise<LetterType> {
  await kept.keep(next);
  return next;
}
