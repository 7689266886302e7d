"use client";

/** The picture that somebody has in a field: changed, chosen from the library, uploaded, taken away; each as a step that can be taken back. */
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints, type DirectoryPerson } from "@/contract";
import {
  fieldLabel,
  readPictureDetail,
  typedValue,
  writePictureDetail,
  type FieldId,
  type PictureDetail,
} from "@/core/people";
import { ask, send } from "../../parts/asking/ask";
import { sayRemoved } from "../../parts/asking/use-refreshing";
import { takeStepBack, type DirectoryChanged } from "../directory-steps";
import { keepDetail } from "./keep-detail";

export interface PictureOfPerson {
  /** Null where there is none. */
  readonly detail: PictureDetail | null;
  /** What they are called. */
  readonly name: string;
  readonly busy: boolean;
  /** Resolves to whether it was kept. */
  readonly keep: (next: PictureDetail) => Promise<boolean>;
  /** An original of the library, by its content hash: the part of it that is suggested. */
  readonly choose: (hash: string) => Promise<boolean>;
  readonly upload: (files: readonly File[]) => void;
  readonly remove: () => Promise<void>;
}

/** `onChanged` is called after each change, and after one that could not be made. */
export function usePictureOf(of: DirectoryPerson, field: FieldId, onChanged: () => void): PictureOfPerson {
  const [busy, setBusy] = useState(false);
  const value = typedValue(of.person, field);
  const name = of.person.name || "somebody without a name";
  // A change is made from the one before it, whether or not the page has been made anew since.
  const last = useRef(value);
  useEffect(() => {
    last.current = value;
  }, [value]);

  const put = async (next: PictureDetail | null): Promise<DirectoryChanged | null> => {
    const done = await keepDetail({ id: of.id, name, field, value: last.current }, next);
    last.current = next ? writePictureDetail(next) : "";
    return done;
  };
  const attempt = async (
    action: () => Promise<DirectoryChanged | null>,
  ): Promise<DirectoryChanged | null> => {
    setBusy(true);
    try {
      return await action();
    } catch (error) {
      toast.error((error as Error).message);
      return null;
    } finally {
      setBusy(false);
      onChanged();
    }
  };
  const suggested = async (hash: string): Promise<DirectoryChanged | null> => {
    const { focus } = await ask(endpoints.suggestFocus, { params: { hash } });
    return put({ original: hash, focus });
  };
  return {
    detail: readPictureDetail(value),
    ...{ name, busy },
    keep: async (next) => (await attempt(() => put(next))) !== null,
    choose: async (hash) => (await attempt(() => suggested(hash))) !== null,
    upload: ([file]) => {
      if (!file) return;
      void attempt(async () => {
        const { originals, refused } = await send(endpoints.addPictures, { file });
        const [first] = originals;
        if (!first) throw new Error(refused[0]?.message ?? `“${file.name}” holds no picture.`);
        return suggested(first.hash);
      });
    },
    remove: async () => {
      const gone = await attempt(() => put(null));
      if (gone)
        sayRemoved(`${name} has no ${fieldLabel(field).toLowerCase()} any more.`, () =>
          takeStepBack(gone, onChanged),
        );
    },
  };
}
