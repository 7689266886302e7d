"use client";

/** Placing pictures in the document and cutting them to size, and what they weigh together. */
import { useCallback, useMemo, useState } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import { innerWidth, picturesOf, schema, setAttributes } from "@/core/signature";
import { request } from "../parts/request";
import { uploadPicture, type UploadedOriginal } from "../parts/upload-picture";
import { insertBlock } from "./editor/commands";
import { describeSelection } from "./editor/selection";
import type { Editor } from "./use-editor";

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
  /** Cuts an original to fit the selected cell and places it there. Rejects with a message that can be shown. */
  readonly place: (original: UploadedOriginal) => Promise<void>;
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

/** Where the picture with a source is: at the position, or wherever an edit has moved it meanwhile. */
function findPicture(document: Node, source: string, position: number): number | null {
  if (document.nodeAt(position)?.attrs.source === source) return position;
  return picturesOf(document).find(({ node }) => node.attrs.source === source)?.position ?? null;
}

export function usePictures({ state, current, apply }: Editor, cuts: readonly PlacedCut[]): Pictures {
  const [weights, setWeights] = useState(() => new Map(cuts.map(({ source, bytes }) => [source, bytes])));

  const makeCut = useCallback(async (asked: Record<string, unknown>): Promise<PlacedCut> => {
    const { cut } = await request<{ cut: PlacedCut }>("POST", "/api/cuts", asked);
    setWeights((known) => new Map(known).set(cut.source, cut.bytes));
    return cut;
  }, []);

  const place = useCallback(
    async ({ hash, name }: UploadedOriginal): Promise<void> => {
      const [cell] = describeSelection(current()).cells;
      const widest = cell ? innerWidth(cell.map, cell.place) : someRoom;
      const cut = await makeCut({ original: hash, widest });
      apply((now) =>
        insertBlock(now, schema.nodes.picture!.create({ ...attributesOf(cut), alt: altFromName(name) })),
      );
    },
    [apply, current, makeCut],
  );

  const placeFiles = useCallback(
    async (files: readonly File[]): Promise<void> => {
      for (const file of files)
        try {
          await place(await uploadPicture(file));
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
    const sources = new Set(picturesOf(state.doc).map(({ node }) => String(node.attrs.source)));
    return [...sources].reduce((sum, source) => sum + (weights.get(source) ?? 0), 0);
  }, [state.doc, weights]);

  return { weight, place, placeFiles, resize };
}
