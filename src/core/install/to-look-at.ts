/** What somebody has to look at in the real client, since no stand-in is that client: made from the signature itself. */
import type { Node } from "prosemirror-model";
import type { Finding } from "../checks";
import type { InstallForm, InstallUse, KitKind } from "../install-kinds";
import type { Person } from "../people";
import { image, linksOf, picturesOf } from "../signature";

export type LookedAtIn =
  | "where it is installed"
  | "in a letter on a desktop"
  | "on a phone"
  | "in an answer"
  | "what was found here: does it show?";

export interface ToLookAt {
  /** What it is ticked by; also the sentence. */
  readonly says: string;
  readonly where: LookedAtIn;
}

export interface LookedAt {
  /** The form that is installed. */
  readonly document: Node;
  readonly person: Person | null;
  readonly kind: KitKind;
  readonly form: InstallForm;
  readonly use: InstallUse;
  readonly findings: readonly Finding[];
}

/** In the order in which one comes by them. */
export function toLookAt({ document, person, kind, form, use, findings }: LookedAt): readonly ToLookAt[] {
  const list: ToLookAt[] = [];
  const add = (where: LookedAtIn, says: string): void => {
    if (!list.some((each) => each.says === says)) list.push({ where, says });
  };
  const pictures = picturesOf(document, person).filter(({ node }) => image.of(node).source !== "");
  const moving = pictures.filter(({ node }) => image.of(node).source.endsWith(".gif"));
  const links = linksOf(document, person);

  if (kind !== "anything")
    add("where it is installed", "It is still there after the program was closed and opened again.");
  if (use !== "answers") add("where it is installed", "A new letter begins with it, once.");
  add("in a letter on a desktop", "What arrives looks as it does here, its lines broken at the same words.");
  if (pictures.length > 0) {
    const each = pictures.length === 1 ? "Its picture shows" : `All ${pictures.length} pictures show`;
    add("in a letter on a desktop", `${each}, sharp, and no letter lists them as attachments.`);
  }
  if (moving.length > 0) add("in a letter on a desktop", "What moves begins with a frame that says it all.");
  for (const { text, href } of links)
    add("in a letter on a desktop", `${text === "" ? "The picture" : `“${text}”`} leads to ${href}.`);
  add("on a phone", "It needs no scrolling sideways, and nothing in it is blue that is not meant to be.");
  add("on a phone", "In the dark every line can be read, and every picture stands out.");
  if (use !== "new") {
    add(
      "in an answer",
      form === "short"
        ? "An answer holds the short form, above the quoted letter."
        : "An answer holds it above the quoted letter, and once.",
    );
    add("in an answer", "The third answer of a thread is still readable.");
  }
  for (const { severity, message, aside } of findings)
    if (severity !== "break" && aside === undefined) add("what was found here: does it show?", message);
  return list;
}
