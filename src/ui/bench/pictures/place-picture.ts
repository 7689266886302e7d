/** Where a picture goes on the sheet, and putting it there. */
import type { Node } from "prosemirror-model";
import {
  NodeSelection,
  Selection,
  TextSelection,
  type EditorState,
  type Transaction,
} from "prosemirror-state";
import type { Cut, Original } from "@/contract";
import { suggestAlt, type AltContext } from "@/core/checks";
import type { IconLook } from "@/core/icons";
import type { AddressReport } from "@/core/links";
import { firstDisplaySize, type Size } from "@/core/pictures";
import {
  build,
  iconRow,
  image,
  innerWidth,
  insertParts,
  picturesOf,
  setAttributes,
  settingsOf,
  strutOf,
  type PictureAttributes,
} from "@/core/signature";
import { insertBlock } from "../editor/commands";
import { describeSelection } from "../editor/selection";

/** Where a chosen picture goes. */
export type PictureTarget =
  | { readonly kind: "cursor" }
  | { readonly kind: "between"; readonly at: number }
  /** In a line of text, as high as its text: at a position, or at the cursor where that is null. */
  | { readonly kind: "in-line"; readonly at: number | null }
  | { readonly kind: "replace"; readonly position: number }
  | { readonly kind: "icon"; readonly position: number };

/** What is placed: an original, which is cut to fit; a cut or loop as it is; or a picture from elsewhere. */
export type Choice =
  | { readonly kind: "original"; readonly original: Pick<Original, "hash" | "name" | "width" | "height"> }
  | { readonly kind: "cut"; readonly cut: Cut }
  | { readonly kind: "foreign"; readonly report: AddressReport }
  /** A drawn icon, in the colour of the text that it stands beside. */
  | { readonly kind: "glyph"; readonly glyph: string };

/** What the document holds of a picture's file. */
export type Shown = Pick<PictureAttributes, "source" | "width" | "height">;

/** Room that is assumed when no cell is selected; px. */
const someRoom = 200;

export const shownOf = ({ source, width, height }: Cut): Shown => ({ source, width, height });

/** A picture from elsewhere at half its pixels, so that it is sharp, but no wider than there is room. */
export function shownFrom({ address, picture: size }: AddressReport, room: number): Shown {
  if (!size) throw new RangeError(`No picture was found at ${address}`);
  return { source: address, ...firstDisplaySize(size, room) };
}

/** How wide a picture may be where it goes; px. */
export function roomFor(state: EditorState, target: PictureTarget): number {
  const { doc } = state;
  if (target.kind === "replace") {
    const node = doc.nodeAt(target.position);
    return image.is(node) && node ? image.of(node).width : someRoom;
  }
  if (target.kind === "icon") {
    const node = doc.nodeAt(target.position);
    return iconRow.is(node) && node ? iconRow.of(node).size : someRoom;
  }
  const at = target.kind === "cursor" ? null : target.at;
  const there = at === null ? state : state.apply(state.tr.setSelection(Selection.near(doc.resolve(at))));
  const [cell] = describeSelection(there).cells;
  return cell ? innerWidth(cell.map, cell.place) : someRoom;
}

/** The size of the empty place that a picture is chosen for; null where it goes anywhere else. */
export function placeToFill({ doc }: EditorState, target: PictureTarget): Size | null {
  const node = target.kind === "replace" ? doc.nodeAt(target.position) : null;
  if (!node || !image.is(node)) return null;
  const { source, width, height } = image.of(node);
  return source === "" ? { width, height } : null;
}

/** How high a picture is that stands level with the text of a line; px, even so that it is sharp at any density. */
export function heightInLine({ doc, selection }: EditorState, at: number | null): number {
  const { parent } = doc.resolve(Math.min(at ?? selection.from, doc.content.size));
  const { size } = strutOf(parent.inlineContent ? parent.children : [], settingsOf(doc));
  return 2 * Math.ceil(size / 2);
}

/** The height that a place asks for: that of a line's text, or of the icon or small picture that is replaced. */
export function heightGiven(state: EditorState, target: PictureTarget): number | null {
  if (target.kind === "in-line") return heightInLine(state, target.at);
  const node = target.kind === "replace" ? state.doc.nodeAt(target.position) : null;
  return node?.isInline && image.is(node) ? image.of(node).height : null;
}

/** The look of the row whose icon is replaced; null where it has none, or where the picture goes elsewhere. */
export function lookAround({ doc }: EditorState, target: PictureTarget): IconLook | null {
  const around = target.kind === "replace" ? doc.resolve(target.position).parent : null;
  return around && iconRow.is(around) ? iconRow.of(around).look : null;
}

/**
 * Whether a picture that is replaced goes on saying what it says: an icon says where it leads, and of another the user
 * has said so.
 */
export function keepsAlt({ doc }: EditorState, target: PictureTarget, context: AltContext): boolean {
  const node = target.kind === "replace" ? doc.nodeAt(target.position) : null;
  if (target.kind !== "replace" || !node || !image.is(node)) return false;
  const { source, alt, decorative } = image.of(node);
  if (source === "" || (alt === "" && !decorative)) return false;
  return node.isInline || decorative || alt !== suggestAlt(doc, target.position, context);
}

/** Puts a small picture into a line, a space before the words that follow it. What it stands beside says it already. */
function placeInLine(state: EditorState, shown: Shown, at: number | null): Placed | null {
  const { doc } = state;
  const icon = build.icon({ ...shown, decorative: true });
  if (at !== null && (at > doc.content.size || doc.resolve(at).parent.type.name !== "line")) return null;
  const { $from } = state.selection;
  const tr =
    at !== null
      ? state.tr.insert(at, icon)
      : $from.parent.type.name === "line"
        ? state.tr.replaceSelectionWith(icon, false)
        : insertBlock(state, build.line(icon));
  const place = tr && findPicture(tr.doc, shown.source, at ?? $from.pos);
  if (!tr || place === null) return null;
  const after = tr.doc.resolve(place + 1).nodeAfter;
  const touches =
    after && (after.isText ? !/^[\s\u00a0]/.test(after.text ?? "") : after.type.name === "personField");
  if (touches) tr.insertText(" ", place + 1);
  return { tr: tr.setSelection(TextSelection.create(tr.doc, place + (touches ? 2 : 1))), at: place };
}

interface Placed {
  readonly tr: Transaction;
  /** Where the picture begins. */
  readonly at: number;
}

/** Puts a picture where it was chosen for; null when that place is gone meanwhile. */
export function placePicture(state: EditorState, shown: Shown, target: PictureTarget): Placed | null {
  const { doc, tr } = state;
  if (target.kind === "cursor") {
    const put = insertBlock(state, build.picture(shown));
    return put && { tr: put, at: put.selection.from };
  }
  if (target.kind === "between") {
    const { at } = target;
    if (at > doc.content.size || doc.resolve(at).parent.type.name !== "cell") return null;
    insertParts(tr, at, [build.picture(shown)]);
    return { tr: tr.setSelection(NodeSelection.create(tr.doc, at)), at };
  }
  if (target.kind === "in-line") return placeInLine(state, shown, target.at);
  const { position } = target;
  const node = doc.nodeAt(position);
  if (target.kind === "replace") {
    if (!node || !image.is(node)) return null;
    setAttributes(tr, position, image, shown);
    return { tr: tr.setSelection(NodeSelection.create(tr.doc, position)), at: position };
  }
  if (!node || !iconRow.is(node)) return null;
  const at = position + node.nodeSize - 1;
  return { tr: tr.insert(at, build.icon(shown)), at };
}

/** Where the picture with a source is: at the position, or wherever an edit has moved it meanwhile. */
export function findPicture(document: Node, source: string, position: number): number | null {
  const there = document.nodeAt(position);
  if (there && image.is(there) && image.of(there).source === source) return position;
  return picturesOf(document).find(({ node }) => image.of(node).source === source)?.position ?? null;
}
