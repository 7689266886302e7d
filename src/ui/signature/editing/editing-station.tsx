"use client";

import type { ComponentProps, ReactNode } from "react";
import type { OpenSignature, Stillness } from "@/contract";
import type { Finding } from "@/core/checks";
import type { Person } from "@/core/people";
import { lazily, useAhead } from "../../parts/lazily";
import { Station } from "../station";
import { isAsOpened } from "./is-as-opened";
import { TakeBack } from "./single-steps";
import type { EditedSignature } from "./use-signature";

const conflict = lazily(() => import("./conflict-dialog").then(({ ConflictDialog }) => ConflictDialog));
const rooms = [conflict];

interface Props extends Pick<ComponentProps<typeof Station>, "people" | "current" | "onDrawnFor"> {
  readonly signature: OpenSignature;
  readonly edited: EditedSignature;
  readonly findings: readonly Finding[];
  readonly person: Person | null;
  readonly base: string;
  /** In how many proofs it was still when it was last measured, if it was measured as it was opened. */
  readonly kept: Stillness | null;
  /** The same of what is shown now, where the view measures. */
  readonly measured?: Stillness | null;
  readonly children: ReactNode;
}

/** A screen of a signature that is edited on it in single steps: the last is taken back, and two versions ask. */
export function EditingStation({ signature, edited, findings, person, base, children, ...rest }: Props) {
  const { kept, measured = null, ...shown } = rest;
  useAhead(rooms);
  return (
    <Station
      {...shown}
      signature={{ ...signature, findings }}
      saving={edited.saving}
      stillness={measured ?? (isAsOpened(edited, signature) ? kept : null)}
      besideSaved={<TakeBack edited={edited} />}
    >
      {children}
      {edited.saving.kind === "stale" && (
        <conflict.Component signature={edited} person={person} base={base} />
      )}
    </Station>
  );
}
