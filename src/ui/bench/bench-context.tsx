"use client";

import { createContext, useContext } from "react";
import type { Settings } from "@/core/signature";
import type { BenchSelection } from "./editor/selection";
import type { Editor } from "./use-editor";

/** What every tool of the Bench works on. */
export interface BenchValue {
  readonly editor: Editor;
  readonly settings: Settings;
  readonly selection: BenchSelection;
  /** The colours of the brand, and those that the signature uses. */
  readonly palette: readonly string[];
  /** Cuts a hosted picture again at another display size and puts it in place. */
  readonly resizePicture: (position: number, asked: { width: number } | { height: number }) => Promise<void>;
  readonly choosePicture: () => void;
}

export const BenchContext = createContext<BenchValue | null>(null);

export function useBench(): BenchValue {
  const value = useContext(BenchContext);
  if (!value) throw new Error("The Bench's tools stand inside the Bench");
  return value;
}
