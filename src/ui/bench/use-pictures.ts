"use client";

/** Placing pictures in the document and cutting them to size, and what is known of their files. */
import { useCallback, useState } from "react";
import type { Node } from "prosemirror-model";
import { NodeSelection, Selection, type EditorState, type Transaction } from "prosemirror-state";
import { toast } from "sonner";
import {
  factsOfForeign,
  factsOfHosted,
  suggestAlt,
  type AltContext,
  type PictureFacts,
  type PictureFactsBySource,
} from "@/core/checks";
import type { AddressReport } from "@/core/links";
import { firstDisplaySize, type Size } from "@/core/pictures";
import { innerWidth, insertParts, picturesOf, schema, setAttributes } from "@/core/signature";
import type { IconLook } from "@/core/icons";
import type { DrawnIcon, IconChoice } from "@/server/icons/icons";
import type { Cut } from "@/server/pictures/cuts";
import type { Original } from "@/server/pictures/originals";
import { request } from "../parts/request";
import { uploadPicture } from "../parts/upload-picture";
import { insertBlock } from "./editor/commands";
import { describeSelection } from "./editor/selection";
import type { EditorTools, PictureTarget } from "./use-editor";

/** What is placed: an original, which is cut to fit; a cut or loop as it is; or a picture from elsewhere. */
export type Choice =
  | { readonly kind: "original"; readonly original: Pick<Original, "hash" | "name"> }
  | { readonly kind: "cut"; readonly cut: Cut }
  | { readonly kind: "foreign"; readonly report: AddressReport };

/** An icon for a row: what it is made from, what it says and where it leads. */
export interface ChosenIcon {
  readonly choice: IconChoice;
  readonly alt: string;
  readonly href: string | null;
}

export interface Pictures {
  /** What is known of pictures' files, by their sources. */
  readonly facts: PictureFactsBySource;
  /** Places a picture where it was asked for. Rejects with a message that can be shown. */
  readonly place: (choice: Choice, target: PictureTarget) => Promise<void>;
  /** Uploads files and places them one after the other; what fails is said. */
  readonly placeFiles: (files: readonly File[]) => Promise<void>;
  /** Cuts the picture at a position again, at an exact width or height. */
  readonly resize: (position: number, asked: { width: number } | { height: number }) => Promise<void>;
  /** Cuts every icon of the row at a position again, at the height that the row shows it at. */
  readonly resizeRow: (position: number) => Promise<void>;
  /** Draws icons in the look and at the height of the row at a position, and puts them at its end. */
  readonly addIcons: (position: number, icons: readonly ChosenIcon[], look: IconLook) => Promise<void>;
  /** Draws every icon of the row at a position anew in a look. */
  readonly restyleRow: (position: number, look: IconLook) => Promise<void>;
  /** Puts a cut in the place of the picture with a source, at the position or wherever it is by now. */
  readonly swap: (source: string, position: number, cut: Cut) => void;
}

/** Room that is assumed when no cell is selected; px. */
const someRoom = 200;

/** What a picture in the document says of its cut. */
const attributesOf = ({ source, width, height }: Cut) => ({ source, width, height });

/** A picture from elsewhere at half its pixels, so that it is sharp, but no wider than there is room. */
function foreignAttributes({ address, picture }: AddressReport, room: number) {
  return { source: address, ...firstDisplaySize(picture!, room) };
}

/** How wide a picture may be where it goes; px. */
function roomFor(state: EditorState, target: PictureTarget): number {
  const { doc } = state;
  if (target.kind === "replace") return Number(doc.nodeAt(target.position)?.attrs.width ?? someRoom);
  if (target.kind === "icon") return Number(doc.nodeAt(target.position)?.attrs.size ?? someRoom);
  const there =
    target.kind === "between"
      ? state.apply(state.tr.setSelection(Selection.near(doc.resolve(target.at))))
      : state;
  const [cell] = describeSelection(there).cells;
  return cell ? innerWidth(cell.map, cell.place) : someRoom;
}

/** The size of the empty place that a picture is chosen for; null where it goes anywhere else. */
function placeToFill({ doc }: EditorState, target: PictureTarget): Size | null {
  const node = target.kind === "replace" ? doc.nodeAt(target.position) : null;
  return node?.attrs.source === ""
    ? { width: Number(node.attrs.width), height: Number(node.attrs.height) }
    : null;
}

/** Puts a picture where it was chosen for, and says where it begins; null when that place is gone meanwhile. */
function placePicture(
  state: EditorState,
  attributes: Readonly<Record<string, unknown>>,
  target: PictureTarget,
): { tr: Transaction; at: number } | null {
  const { doc, tr } = state;
  const { picture, inlinePicture } = schema.nodes;
  if (target.kind === "cursor") {
    const put = insertBlock(state, picture!.create(attributes));
    return put && { tr: put, at: put.selection.from };
  }
  if (target.kind === "between") {
    const { at } = target;
    if (at > doc.content.size || doc.resolve(at).parent.type.name !== "cell") return null;
    insertParts(tr, at, [picture!.create(attributes)]);
    return { tr: tr.setSelection(NodeSelection.create(tr.doc, at)), at };
  }
  const { position } = target;
  const node = doc.nodeAt(position);
  if (target.kind === "replace") {
    if (node?.type !== picture) return null;
    setAttributes(tr, position, attributes);
    return { tr: tr.setSelection(NodeSelection.create(tr.doc, position)), at: position };
  }
  if (node?.type.name !== "iconRow") return null;
  const at = position + node.nodeSize - 1;
  return { tr: tr.insert(at, inlinePicture!.create(attributes)), at };
}

/** Where the picture with a source is: at the position, or wherever an edit has moved it meanwhile. */
function findPicture(document: Node, source: string, position: number): number | null {
  if (document.nodeAt(position)?.attrs.source === source) return position;
  return picturesOf(document).find(({ node }) => node.attrs.source === source)?.position ?? null;
}

export function usePictures(
  { current, apply }: EditorTools,
  known: PictureFactsBySource,
  context: AltContext,
): Pictures {
  const [facts, setFacts] = useState(known);

  const learn = useCallback((source: string, learnt: PictureFacts) => {
    setFacts((before) => ({ ...before, [source]: learnt }));
  }, []);

  const makeCut = useCallback(
    async (asked: Record<string, unknown>): Promise<Cut> => {
      const { cut } = await request<{ cut: Cut }>("POST", "/api/cuts", asked);
      learn(cut.source, factsOfHosted(cut));
      return cut;
    },
    [learn],
  );

  const attributesFor = useCallback(
    async (choice: Choice, target: PictureTarget): Promise<Readonly<Record<string, unknown>>> => {
      if (choice.kind === "foreign") {
        learn(choice.report.address, factsOfForeign(choice.report));
        return foreignAttributes(choice.report, roomFor(current(), target));
      }
      if (choice.kind === "cut") {
        learn(choice.cut.source, factsOfHosted(choice.cut));
        return attributesOf(choice.cut);
      }
      const place = placeToFill(current(), target);
      const cut = await makeCut({
        original: choice.original.hash,
        ...(place ?? { widest: roomFor(current(), target) }),
      });
      return attributesOf(cut);
    },
    [current, learn, makeCut],
  );

  const place = useCallback(
    async (choice: Choice, target: PictureTarget): Promise<void> => {
      const attributes = await attributesFor(choice, target);
      apply((now) => {
        const placed = placePicture(now, attributes, target);
        if (!placed) return null;
        // It says what its use suggests; of one from elsewhere, nobody knows what it shows.
        if (choice.kind !== "foreign") {
          const { selection } = placed.tr;
          setAttributes(placed.tr, placed.at, { alt: suggestAlt(placed.tr.doc, placed.at, context) });
          if (selection instanceof NodeSelection)
            placed.tr.setSelection(NodeSelection.create(placed.tr.doc, selection.from));
        }
        return placed.tr;
      });
    },
    [apply, attributesFor, context],
  );

  const placeFiles = useCallback(
    async (files: readonly File[]): Promise<void> => {
      for (const file of files)
        try {
          const { originals, refused } = await uploadPicture(file);
          for (const original of originals) await place({ kind: "original", original }, { kind: "cursor" });
          for (const { message } of refused) toast.error(message);
        } catch (error) {
          toast.error((error as Error).message);
        }
    },
    [place],
  );

  const swap = useCallback(
    (source: string, position: number, cut: Cut): void => {
      learn(cut.source, factsOfHosted(cut));
      apply(
        ({ doc, tr }) => {
          const at = findPicture(doc, source, position);
          return at === null ? null : (setAttributes(tr, at, attributesOf(cut)) as typeof tr);
        },
        { focus: false },
      );
    },
    [apply, learn],
  );

  const resize = useCallback<Pictures["resize"]>(
    async (position, asked) => {
      const source = current().doc.nodeAt(position)?.attrs.source as string | undefined;
      if (source !== undefined) swap(source, position, await makeCut({ source, ...asked }));
    },
    [current, makeCut, swap],
  );

  const resizeRow = useCallback<Pictures["resizeRow"]>(
    async (position) => {
      const row = current().doc.nodeAt(position);
      if (row?.type.name !== "iconRow") return;
      const sources = new Set(row.content.content.map(({ attrs }) => String(attrs.source)));
      const made = new Map<string, Cut>();
      for (const source of sources)
        if (source.startsWith("/h/")) made.set(source, await makeCut({ source, height: row.attrs.size }));
      apply(
        ({ doc, tr }) => {
          const now = doc.nodeAt(position);
          if (now?.type !== row.type) return null;
          now.forEach((icon, offset) => {
            const cut = made.get(String(icon.attrs.source));
            if (cut) setAttributes(tr, position + 1 + offset, attributesOf(cut));
          });
          return tr;
        },
        { focus: false },
      );
    },
    [apply, current, makeCut],
  );

  const drawIcons = useCallback(
    async (icons: readonly IconChoice[], look: IconLook, size: number): Promise<readonly DrawnIcon[]> => {
      const answer = await request<{ icons: readonly DrawnIcon[] }>("POST", "/api/icons/cuts", {
        icons,
        look,
        size,
      });
      for (const { cut } of answer.icons) if (cut) learn(cut.source, factsOfHosted(cut));
      return answer.icons;
    },
    [learn],
  );

  const addIcons = useCallback<Pictures["addIcons"]>(
    async (position, icons, look) => {
      const row = current().doc.nodeAt(position);
      if (row?.type.name !== "iconRow") return;
      const drawn = await drawIcons(
        icons.map(({ choice }) => choice),
        look,
        Number(row.attrs.size),
      );
      apply(
        ({ doc, tr }) => {
          const now = doc.nodeAt(position);
          if (now?.type !== row.type) return null;
          setAttributes(tr, position, { look });
          const nodes = drawn.flatMap(({ cut }, index) => {
            const { alt, href } = icons[index]!;
            const marks = href ? [schema.marks.link!.create({ href })] : [];
            return cut
              ? [schema.nodes.inlinePicture!.create({ ...attributesOf(cut), alt }, null, marks)]
              : [];
          });
          return tr.insert(position + now.nodeSize - 1, nodes);
        },
        { focus: false },
      );
    },
    [apply, current, drawIcons],
  );

  const restyleRow = useCallback<Pictures["restyleRow"]>(
    async (position, look) => {
      const row = current().doc.nodeAt(position);
      if (row?.type.name !== "iconRow") return;
      const sources = [...new Set(row.content.content.map(({ attrs }) => String(attrs.source)))];
      const drawn = await drawIcons(
        sources.map((source) => ({ kind: "placed", source })),
        look,
        Number(row.attrs.size),
      );
      const made = new Map(sources.map((source, index) => [source, drawn[index]!.cut]));
      apply(
        ({ doc, tr }) => {
          const now = doc.nodeAt(position);
          if (now?.type !== row.type) return null;
          setAttributes(tr, position, { look });
          now.forEach((icon, offset) => {
            const cut = made.get(String(icon.attrs.source));
            if (cut) setAttributes(tr, position + 1 + offset, attributesOf(cut));
          });
          return tr;
        },
        { focus: false },
      );
    },
    [apply, current, drawIcons],
  );

  return { facts, place, placeFiles, resize, resizeRow, addIcons, restyleRow, swap };
}
