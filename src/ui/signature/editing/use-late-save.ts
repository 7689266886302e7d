"use client";

import { useEffect } from "react";
import type { OpenSignature } from "@/contract";
import { parseSignature } from "@/core/signature";
import { readDraft } from "./draft";
import { newestOf } from "./last-saved";
import type { EditedSignature } from "./use-signature";
import type { Saving } from "./use-saving";

/**
 * Goes on from a save of this window that was confirmed after the page had been drawn and before it was shown. Where a
 * draft waits as well, the draft goes on.
 */
export function useLateSave(
  opened: OpenSignature,
  { replace }: Pick<EditedSignature, "replace">,
  { goOnFrom }: Pick<Saving, "goOnFrom">,
): void {
  useEffect(() => {
    const newest = newestOf(opened);
    if (newest === opened || readDraft(opened.id)) return;
    const document = parseSignature(newest.document);
    replace(document);
    goOnFrom(document, newest.revision);
  }, [opened, replace, goOnFrom]);
}
