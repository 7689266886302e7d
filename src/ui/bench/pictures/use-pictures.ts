"use client";

/** Placing pictures in the document, and cutting them to size. */
import { useCallback, useMemo } from "react";
import { NodeSelection } from "prosemirror-state";
import { toast } from "sonner";
import { endpoints, type Cut, type CutRequest } from "@/contract";
import { isHosted } from "@/core/addresses";
import { suggestAlt, type AltContext } from "@/core/checks";
import { displaySize } from "@/core/pictures";
import { iconRow, image, isOwnPicture, mixed, setAttributes } from "@/core/signature";
import { textState } from "../editor/commands";
import { ask, send } from "../../parts/asking/ask";
import type { EditedSignature } from "../../signature/editing/use-signature";
import {
  findPicture,
  heightGiven,
  lookAround,
  keepsAlt,
  placePicture,
  placeToFill,
  roomFor,
  shownFrom,
  shownOf,
  type Choice,
  type PictureTarget,
  type Shown,
} from "./place-picture";
import type { KnownPictures } from "../../signature/use-picture-facts";

export interface Pictures {
  /** Places a picture where it was asked for. Rejects with a message that can be shown. */
  readonly place: (choice: Choice, target: PictureTarget) => Promise<void>;
  /** Uploads files and places them one after the other; what fails is said. */
  readonly placeFiles: (files: readonly File[]) => Promise<void>;
  /** Cuts the picture at a position again, at an exact width or height. */
  readonly resize: (position: number, asked: { width: number } | { height: number }) => Promise<void>;
  /** Puts a cut in the place of the picture with a source, at the position or wherever it is by now. */
  readonly swap: (source: string, position: number, cut: Cut) => void;
}

export function usePictures(
  { current, dispatch }: Pick<EditedSignature, "current" | "dispatch">,
  { facts, learnCut, learnForeign }: KnownPictures,
  context: AltContext,
): Pictures {
  const makeCut = useCallback(
    async (asked: CutRequest): Promise<Cut> => {
      const { cut } = await ask(endpoints.makeCut, { body: asked });
      learnCut(cut);
      return cut;
    },
    [learnCut],
  );

  const shownFor = useCallback(
    async (choice: Choice, target: PictureTarget): Promise<Shown> => {
      /** What stands in a line is as high as its text, and what takes the place of an icon as high as that. */
      const level = heightGiven(current(), target);
      switch (choice.kind) {
        case "foreign": {
          learnForeign(choice.report);
          const shown = shownFrom(choice.report, roomFor(current(), target));
          return level === null ? shown : { ...shown, ...displaySize(shown, { height: level }) };
        }
        case "cut": {
          learnCut(choice.cut);
          const { source, height } = choice.cut;
          if (level === null || level === height) return shownOf(choice.cut);
          return shownOf(await makeCut({ kind: "at-height", source, height: level }));
        }
        case "glyph": {
          const size = level ?? iconRow.attributes.size.default;
          const { color } = textState(current());
          const ofText = { style: "line", color: color === mixed ? null : color, plate: "#FFFFFF" } as const;
          const look = lookAround(current(), target) ?? ofText;
          const { icons } = await ask(endpoints.drawIcons, { body: { icons: [choice], look, size } });
          const cut = icons[0]?.cut;
          if (!cut) throw new RangeError(`The icon ${choice.glyph} could not be drawn`);
          learnCut(cut);
          return shownOf(cut);
        }
        case "original": {
          const original = choice.original.hash;
          const place =
            level === null ? placeToFill(current(), target) : displaySize(choice.original, { height: level });
          return shownOf(
            await makeCut(
              place
                ? { kind: "fill", original, ...place }
                : { kind: "whole", original, widest: Math.floor(roomFor(current(), target)) },
            ),
          );
        }
      }
    },
    [current, learnCut, learnForeign, makeCut],
  );

  const place = useCallback<Pictures["place"]>(
    async (choice, target) => {
      const shown = await shownFor(choice, target);
      const placed = placePicture(current(), shown, target);
      if (!placed) return;
      const { tr, at } = placed;
      // It says what its use suggests; of one from elsewhere, nobody knows what it shows.
      const keeps = target.kind === "in-line" || keepsAlt(current(), target, context);
      if (choice.kind !== "foreign" && !keeps) {
        const { selection } = tr;
        setAttributes(tr, at, image, { alt: suggestAlt(tr.doc, at, context) });
        if (selection instanceof NodeSelection) tr.setSelection(NodeSelection.create(tr.doc, selection.from));
      }
      dispatch(tr);
    },
    [current, dispatch, shownFor, context],
  );

  const placeFiles = useCallback<Pictures["placeFiles"]>(
    async (files) => {
      for (const file of files)
        try {
          const { originals, refused, notes } = await send(endpoints.addPictures, { file });
          for (const original of originals) await place({ kind: "original", original }, { kind: "cursor" });
          for (const { message } of refused) toast.error(message);
          for (const note of notes) toast(note);
        } catch (error) {
          toast.error((error as Error).message);
        }
    },
    [place],
  );

  const swap = useCallback<Pictures["swap"]>(
    (source, position, cut) => {
      learnCut(cut);
      const { doc, tr } = current();
      // What is cut of a picture that is each person's own is theirs, and the document holds what all are made like.
      const there = doc.nodeAt(position);
      const at = there && isOwnPicture(there) ? position : findPicture(doc, source, position);
      if (at !== null) dispatch(setAttributes(tr, at, image, shownOf(cut)));
    },
    [current, dispatch, learnCut],
  );

  const resize = useCallback<Pictures["resize"]>(
    async (position, asked) => {
      const node = current().doc.nodeAt(position);
      if (!node || !image.is(node)) return;
      const { source, width, height } = image.of(node);
      if (!isHosted(source)) {
        const own = facts[source]?.pixels ?? { width, height };
        const { tr } = current();
        return dispatch(setAttributes(tr, position, image, displaySize(own, asked)));
      }
      const cut = await makeCut(
        "width" in asked
          ? { kind: "at-width", source, width: asked.width }
          : { kind: "at-height", source, height: asked.height },
      );
      swap(source, position, cut);
    },
    [current, dispatch, facts, makeCut, swap],
  );

  return useMemo(() => ({ place, placeFiles, resize, swap }), [place, placeFiles, resize, swap]);
}
