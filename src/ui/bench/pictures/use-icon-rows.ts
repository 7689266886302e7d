"use client";

/** Drawing the icons of rows: new ones, all of a row in another look, and all at the row's height. */
import { useCallback, useMemo } from "react";
import type { Node } from "prosemirror-model";
import type { Transaction } from "prosemirror-state";
import { toast } from "sonner";
import { endpoints, type Cut, type DrawnIcon, type IconChoice } from "@/contract";
import { isHosted } from "@/core/addresses";
import type { IconLook } from "@/core/icons";
import { build, iconRow, image, setAttributes, style } from "@/core/signature";
import { ask } from "../../parts/asking/ask";
import { formatCount } from "../../parts/format";
import type { EditedSignature } from "../../signature/editing/use-signature";
import { shownOf } from "./place-picture";
import type { KnownPictures } from "../../signature/use-picture-facts";

/** An icon for a row: what it is made from, what it says and where it leads. */
export interface ChosenIcon {
  readonly choice: IconChoice;
  readonly alt: string;
  readonly href: string | null;
}

export interface IconRows {
  /** Cuts every icon of the row at a position again, at the height that the row shows it at. */
  readonly resizeRow: (position: number) => Promise<void>;
  /** Draws icons in the look and at the height of the row at a position, and puts them at its end. */
  readonly addIcons: (position: number, icons: readonly ChosenIcon[], look: IconLook) => Promise<void>;
  /** Draws every icon of the row at a position anew in a look. */
  readonly restyleRow: (position: number, look: IconLook) => Promise<void>;
}

const sourcesIn = (row: Node): readonly string[] => [
  ...new Set(row.content.content.filter(image.is).map((icon) => image.of(icon).source)),
];

/** Shows other files in the place of a row's icons, by their sources. */
function showCuts(tr: Transaction, row: Node, position: number, cuts: ReadonlyMap<string, Cut | null>): void {
  row.forEach((icon, offset) => {
    const cut = image.is(icon) ? cuts.get(image.of(icon).source) : null;
    if (cut) setAttributes(tr, position + 1 + offset, image, shownOf(cut));
  });
}

export function useIconRows(
  { current, dispatch }: Pick<EditedSignature, "current" | "dispatch">,
  { learnCut }: KnownPictures,
): IconRows {
  const rowAt = useCallback(
    (position: number): Node | null => {
      const node = current().doc.nodeAt(position);
      return node && iconRow.is(node) ? node : null;
    },
    [current],
  );

  const drawIcons = useCallback(
    async (icons: readonly IconChoice[], look: IconLook, row: Node): Promise<readonly DrawnIcon[]> => {
      const { size } = iconRow.of(row);
      const answer = await ask(endpoints.drawIcons, { body: { icons, look, size } });
      for (const { cut } of answer.icons) if (cut) learnCut(cut);
      return answer.icons;
    },
    [learnCut],
  );

  const resizeRow = useCallback<IconRows["resizeRow"]>(
    async (position) => {
      const row = rowAt(position);
      if (!row) return;
      const height = iconRow.of(row).size;
      const made = new Map<string, Cut>();
      for (const source of sourcesIn(row).filter(isHosted)) {
        const { cut } = await ask(endpoints.makeCut, { body: { kind: "at-height", source, height } });
        learnCut(cut);
        made.set(source, cut);
      }
      const now = rowAt(position);
      if (!now) return;
      const { tr } = current();
      showCuts(tr, now, position, made);
      dispatch(tr);
    },
    [current, dispatch, learnCut, rowAt],
  );

  const addIcons = useCallback<IconRows["addIcons"]>(
    async (position, icons, look) => {
      const row = rowAt(position);
      if (!row) return;
      const drawn = await drawIcons(
        icons.map(({ choice }) => choice),
        look,
        row,
      );
      const now = rowAt(position);
      if (!now) return;
      const added = icons.flatMap(({ alt, href }, index) => {
        const cut = drawn[index]?.cut;
        return cut ? [build.icon({ ...shownOf(cut), alt }, ...(href ? [style.link(href)] : []))] : [];
      });
      const { tr } = current();
      setAttributes(tr, position, iconRow, { look });
      dispatch(tr.insert(position + now.nodeSize - 1, added));
    },
    [current, dispatch, drawIcons, rowAt],
  );

  const restyleRow = useCallback<IconRows["restyleRow"]>(
    async (position, look) => {
      const row = rowAt(position);
      if (!row) return;
      const sources = sourcesIn(row);
      const drawn = await drawIcons(
        sources.map((source) => ({ kind: "placed", source })),
        look,
        row,
      );
      const now = rowAt(position);
      if (!now) return;
      if (drawn.every(({ cut }) => cut === null))
        return void toast("These icons are at addresses elsewhere, so they stay as they are.");
      const { tr } = current();
      setAttributes(tr, position, iconRow, { look });
      showCuts(
        tr,
        now,
        position,
        new Map(sources.map((source, index) => [source, drawn[index]?.cut ?? null])),
      );
      dispatch(tr);
      const left = drawn.filter(({ cut }) => cut === null).length;
      if (left > 0)
        toast(
          `${formatCount(left, "icon")} from elsewhere ${left === 1 ? "stays as it is" : "stay as they are"}.`,
        );
    },
    [current, dispatch, drawIcons, rowAt],
  );

  return useMemo(() => ({ resizeRow, addIcons, restyleRow }), [resizeRow, addIcons, restyleRow]);
}
