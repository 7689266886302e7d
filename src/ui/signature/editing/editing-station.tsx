"use client";

import type { ComponentProps, ReactNode } from "react";
import type { Stillness } from "@/contract";
import type { Finding } from "@/core/checks";
import { lazily, useAhead } from "../../parts/lazily";
import { Station } from "../station";
import { isAsOpened } from "./is-as-opened";
import type { OpenedStation } from "./opened-station";
import { TakeBack } from "./single-steps";
import type { EditedSignature } from "./use-signature";

const conflict = lazily(() => import("./conflict-dialog").then(({ ConflictDialog }) => ConflictDialog));
const rooms = [conflict];

interface Props extends Pick<ComponentProps<typeof Station>, "current" | "onDrawnFor"> {
  readonly opened: OpenedStation;
  readonly edited: EditedSignature;
  /** Those of what is shown. */
  readonly findings: readonly Finding[];
  /** In how many proofs what is shown is still, where the view measures. */
  readonly measured?: Stillness | null;
  readonly children: ReactNode;
}

/** A screen of a signature that is edited on it in single steps: the last is taken back, and two versions ask. */
export function EditingStation({ opened, edited, findings, measured = null, children, ...shown }: Props) {
  const { signature, person, base, kept } = opened;
  useAhead(rooms);
  return (
    <Station
      {...shown}
      personName={person?.name ?? null}
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
