"use client";

/** Leaving findings as they are, with a reason: shown at once, and kept with the signature. */
import { useCallback, useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { withAside, type Asides, type Finding } from "@/core/checks";
import { ask } from "../parts/asking/ask";

export interface SettingAside {
  readonly asides: Asides;
  /** A reason of null takes it back. */
  readonly setAside: (finding: Finding, reason: string | null) => void;
}

export function useAsides(id: string, opened: Asides): SettingAside {
  const [asides, setAsides] = useState(opened);
  const setAside = useCallback<SettingAside["setAside"]>(
    ({ code, message, aside }, reason) => {
      const put = (why: string | null): void => setAsides((now) => withAside(now, { code, message }, why));
      put(reason);
      ask(endpoints.setAside, { params: { id }, body: { code, message, reason } }).catch((error: Error) => {
        put(aside ?? null);
        toast.error(error.message);
      });
    },
    [id],
  );
  return { asides, setAside };
}
