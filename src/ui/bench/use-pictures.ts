"use client";

/** Placing pictures in the document and cutting them to size, and what they weigh together. */
import { useCallback, useMemo, useState } from "react";
import type { Node } from "prosemirror-model";
import { NodeSelection, Selection, type EditorState, type Transaction } from "prosemirror-state";
import { toast } from "sonner";
import { innerWidth, insertParts, picturesOf, schema, setAttributes } from "@/core/signature";
import { request } from "../parts/request";
import { uploadPicture, type UploadedOriginal } from "../parts/upload-picture";
import { insertBlock } from "./editor/commands";
import { describeSelection } from "./editor/selection";
import type { EditorTools, PictureTarget } from "./use-editor";

/** A cut as it is placed: display size in CSS px. */
export interface PlacedCut {
  readonly source: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

export interface Pictures {
  /** Bytes of the document's hosted pictures, each counted once. */
  readonly weight: number;
  /** Cuts an original to fit where it goes and places it there. Rejects with a message that can be shown. */
  readonly place: (original: UploadedOriginal, target: PictureTarget) => Promise<void>;
  /** Uploads files and places them one after the other; what fails is said. */
  readonly placeFiles: (files: readonly File[]) => Promise<void>;
  /** Cuts the picture at a position again, at an exact width or height. */
  readonly resize: (position: number, asked: { width: number } | { height: number }) => Promise<void>;
}

/** Room that is assumed when no cell is selected; px. */
const someRoom = 200;

const altFromName = (name: string): string => name.replace(/\.[a-z0-9]+$/i, "").replace(/[-_]+/g, " ");

/** What a picture in the document says of its cut. */
const attributesOf = ({ source, width, height }: PlacedCut) => ({ source, width, height });

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

/** Puts a picture where it was chosen for; null when that place is gone meanwhile. */
function placePicture(
  state: EditorState,
  attributes: Readonly<Record<string, unknown>>,
  target: PictureTarget,
): Transaction | null {
  const { doc, tr } = state;
  const { picture, inlinePicture } = schema.nodes;
  if (target.kind === "cursor") return insertBlock(state, picture!.create(attributes));
  if (target.kind === "between") {
    if (target.at > doc.content.size || doc.resolve(target.at).parent.type.name !== "cell") return null;
    insertParts(tr, target.at, [picture!.create(attributes)]);
    return tr.setSelection(NodeSelection.create(tr.doc, target.at));
  }
  const node = doc.nodeAt(target.position);
  if (target.kind === "replace") {
    if (node?.type !== picture) return null;
    setAttributes(tr, target.position, attributes);
    return tr.setSelection(NodeSelection.create(tr.doc, target.position));
  }
  if (node?.type.name !== "iconRow") return null;
  const end = target.position + node.nodeSize - 1;
  return tr.insert(end, inlinePicture!.create(attributes));
}

/** Where the picture with a source is: at the position, or wherever an edit has moved it meanwhile. */
function findPicture(document: Node, source: string, position: number): number | null {
  if (document.nodeAt(position)?.attrs.source === source) return position;
  return picturesOf(document).find(({ node }) => node.attrs.source === source)?.position ?? null;
}

export function usePictures(
  document: Node,
  { current, apply }: EditorTools,
  cuts: readonly PlacedCut[],
): Pictures {
  const [weights, setWeights] = useState(() => new Map(cuts.map(({ source, bytes }) => [source, bytes])));

  const makeCut = useCallback(async (asked: Record<string, unknown>): Promise<PlacedCut> => {
    const { cut } = await request<{ cut: PlacedCut }>("POST", "/api/cuts", asked);
    setWeights((known) => new Map(known).set(cut.source, cut.bytes));
    return cut;
  }, []);

  const place = useCallback(
    async ({ hash, name }: UploadedOriginal, target: PictureTarget): Promise<void> => {
      const cut = await makeCut({ original: hash, widest: roomFor(current(), target) });
      const attributes = { ...attributesOf(cut), alt: altFromName(name) };
      apply((now) => placePicture(now, attributes, target));
    },
    [apply, current, makeCut],
  );

  const placeFiles = useCallback(
    async (files: readonly File[]): Promise<void> => {
      for (const file of files)
        try {
          await place(await uploadPicture(file), { kind: "cursor" });
        } catch (error) {
          toast.error((error as Error).message);
        }
    },
    [place],
  );

  const resize = useCallback<Pictures["resize"]>(
    async (position, asked) => {
      const source = current().doc.nodeAt(position)?.attrs.source as string | undefined;
      if (source === undefined) return;
      const cut = await makeCut({ source, ...asked });
      apply(
        ({ doc, tr }) => {
          const at = findPicture(doc, source, position);
          return at === null ? null : (setAttributes(tr, at, attributesOf(cut)) as typeof tr);
        },
        { focus: false },
      );
    },
    [apply, current, makeCut],
  );

  const weight = useMemo(() => {
    const sources = new Set(picturesOf(document).map(({ node }) => String(node.attrs.source)));
    return [...sources].reduce((sum, source) => sum + (weights.get(source) ?? 0), 0);
  }, [document, weights]);

  return { weight, place, placeFiles, resize };
}
