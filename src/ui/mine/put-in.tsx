"use client";

import { Check } from "lucide-react";
import { toast } from "sonner";
import { endpoints, type TheirSignature } from "@/contract";
import type { InstallForm, KitKind } from "@/core/install-kinds";
import { ask } from "../parts/asking/ask";
import { useRefreshing } from "../parts/asking/use-refreshing";
import { Button } from "../parts/button";
import { installKinds } from "../install/kinds";

interface Props {
  readonly secret: string;
  readonly signature: TheirSignature;
  readonly kind: KitKind;
  readonly form: InstallForm;
  /** Whether it was put in there before, and whether that is current; null where it was not. */
  readonly before: "current" | "late" | null;
}

const said = {
  "not yet": "I have put it in",
  late: "I have put the new one in",
  current: "I have put it in again",
} as const;

/** Saying that the signature is in one's mail as it is now. */
export function PutIn({ secret, signature, kind, form, before }: Props) {
  const refreshing = useRefreshing();
  const record = async (): Promise<void> => {
    const body = { signature: signature.id, revision: signature.revision, kind, form };
    if (await refreshing(() => ask(endpoints.recordOwnInstall, { params: { secret }, body })))
      toast(`Noted: it is in ${installKinds[kind].name.toLowerCase()} as it is today.`);
  };
  return (
    <div className="mt-5 flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-hairline pt-4">
      <Button onClick={() => void record()}>
        <Check size={16} aria-hidden />
        {said[before ?? "not yet"]}
      </Button>
      <p className="text-sm text-soft">Then this page can tell you when it changes.</p>
    </div>
  );
}
