/** Changes of one kind told once, with how often and where. */
import type { Change, ChangeCode } from "./changes";

export interface ChangeGroup {
  readonly code: ChangeCode;
  /** One sentence for people: what happened and why. */
  readonly sentence: string;
  readonly places: readonly string[];
}

const sentences: Readonly<Record<ChangeCode, (change: Change, count: number) => string>> = {
  "attribute-changed": ({ what, reason }) => `The attribute ${what} is changed: ${reason}.`,
  "attribute-dropped": ({ what, reason }) => `The attribute ${what} is dropped: ${reason}.`,
  "border-thinned": ({ reason }) => `A border is thinner: ${reason}.`,
  "colors-mirrored": ({ reason }) => `Colours change: ${reason}.`,
  "comment-dropped": (_change, count) => `${count === 1 ? "A comment is" : `${count} comments are`} dropped.`,
  "declaration-changed": ({ what, reason }) => `The style ${what} is changed: ${reason}.`,
  "declaration-dropped": ({ what, reason }) => `The style ${what} is dropped: ${reason}.`,
  "element-dropped": ({ what, reason }) => `${what} is dropped: ${reason}.`,
  "link-opens-new-window": (_change, count) =>
    count === 1 ? "The link opens in a new window." : `All ${count} links open in a new window.`,
  "link-recoloured": ({ reason }) => `A link takes this kind's own colour: ${reason}.`,
  "margin-filled": ({ reason }) => `Room around a part is filled: ${reason}.`,
  "paragraph-margin": ({ reason }) => `A paragraph moves: ${reason}.`,
  "picture-converted": ({ reason }) => `A picture is served in another format: ${reason}.`,
  "picture-dropped": ({ reason }) => `A picture is gone: ${reason}.`,
  "picture-percent": ({ what, reason }) => `A picture's ${what} is not what it was: ${reason}.`,
  "picture-unsized": ({ what, reason }) => `A picture has no ${what} attribute: ${reason}.`,
  "picture-wrapped": ({ reason }) => `A picture stands elsewhere: ${reason}.`,
  "row-padding-equalised": ({ reason }) => `A row's padding changes: ${reason}.`,
  "style-dropped": ({ reason }) => `A whole style is gone: ${reason}.`,
  "table-fixed": ({ what, reason }) => `A table has ${what}: ${reason}.`,
  "table-shown": ({ reason }) => `A hidden table is shown: ${reason}.`,
  "text-linked": ({ what, reason }) => `“${what}” becomes a link: ${reason}.`,
  "word-broken": ({ reason }) => `A long word is broken: ${reason}.`,
};

/** What each kind of change does to what is seen; the rest change nothing that a reader could see. */
const unseen: ReadonlySet<string> = new Set([
  "link-opens-new-window",
  "comment-dropped",
  "picture-converted",
]);
/** Sizes stand in attributes as well. */
const unseenDeclarations: ReadonlySet<string> = new Set(["box-sizing", "height", "width"]);
/** A picture that stands alone is level with its line, however it is displayed. */
const ofPicture = /picture( \d+)?$/;
/** A declaration's property, of what was dropped or changed. */
const propertyOf = (what: string): string => what.split(":")[0] ?? what;
/** What is heard, or is for programs, and not seen. */
const unseenAttributes = /^(aria-.*|class|id|lang|rel|role|target)$/;

export const isSeen = ({ code, what, at }: Change): boolean =>
  !unseen.has(code) &&
  !(
    (code === "declaration-dropped" || code === "declaration-changed") &&
    (unseenDeclarations.has(propertyOf(what)) ||
      what.startsWith("mso-") ||
      (what === "display" && ofPicture.test(at)))
  ) &&
  !((code === "attribute-dropped" || code === "attribute-changed") && unseenAttributes.test(what));

export function groupChanges(changes: readonly Change[]): readonly ChangeGroup[] {
  const groups = new Map<string, Change[]>();
  for (const change of changes) {
    const what = change.code === "link-opens-new-window" ? "" : change.what;
    const key = `${change.code}\n${what}\n${change.reason}`;
    groups.set(key, [...(groups.get(key) ?? []), change]);
  }
  return [...groups.values()].flatMap((same) => {
    const [first] = same;
    if (!first) return [];
    return {
      code: first.code,
      sentence: sentences[first.code](first, same.length),
      places: [...new Set(same.map((change) => change.at))],
    };
  });
}
