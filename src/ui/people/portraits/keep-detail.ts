/** Keeping a picture of somebody in the directory: as a step that can be taken back. */
import type { Cut } from "@/contract";
import {
  fieldLabel,
  readPictureDetail,
  writePictureDetail,
  type FieldId,
  type PictureDetail,
} from "@/core/people";
import { changeDirectory, type DirectoryChanged } from "../directory-steps";

export interface PictureOf {
  readonly id: string;
  readonly name: string;
  readonly field: FieldId;
  /** What is in their field. */
  readonly value: string;
}

/** Null empties the field. Rejects with a RequestError; null where it is there already. */
export async function keepDetail(
  { id, name, field, value }: PictureOf,
  detail: PictureDetail | null,
): Promise<DirectoryChanged | null> {
  const next = detail ? writePictureDetail(detail) : "";
  if (next === value) return null;
  return changeDirectory(
    [{ id, from: { [field]: value }, to: { [field]: next } }],
    `${fieldLabel(field)} of ${name || "somebody without a name"}.`,
  );
}

/** The original of a cut, and the part of it that the cut shows; null for what was not cut from a photograph. */
function detailOfCut({ originalHash, recipe }: Cut): PictureDetail | null {
  if (originalHash === null || !recipe) return null;
  const { x, y, width, height } = recipe.crop;
  return {
    original: originalHash,
    focus: { x: x + width / 2, y: y + height / 2, side: Math.min(width, height) },
  };
}

/** What a cut shows becomes somebody's. Resolves to whether it could; rejects with a RequestError. */
export async function keepDetailOfCut(cut: Cut, of: PictureOf): Promise<boolean> {
  const detail = detailOfCut(cut);
  if (detail) await keepDetail(of, detail);
  return detail !== null;
}

/** Where a cut shows another part of the photograph that somebody has already, that part becomes theirs. Rejects with a RequestError. */
export async function keepPartOfCut(cut: Cut, of: PictureOf): Promise<DirectoryChanged | null> {
  const detail = detailOfCut(cut);
  if (!detail || readPictureDetail(of.value)?.original !== detail.original) return null;
  return keepDetail(of, detail);
}
