"use client";

/**
 * Whom a signature is drawn for. Every choice is shown at once; the server is told one at a time, so that the last
 * choice is the one that stays however fast they were made.
 */
import { useRouter } from "next/navigation";
import { startTransition, useCallback, useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { ask } from "../parts/asking/ask";

export type PersonId = string | null;

interface Wanted {
  readonly id: PersonId;
  /** Whether the server has it, so that what the page says next is newer. */
  readonly told: boolean;
}

export interface DrawnFor {
  readonly personId: PersonId;
  readonly choose: (id: PersonId) => void;
}

/** `saved` is what the page was made with; `onShown` is told of what is shown before the page is made anew for it. */
export function useDrawnFor(
  signatureId: string,
  saved: PersonId,
  onShown?: (id: PersonId) => void,
): DrawnFor {
  const router = useRouter();
  const [wanted, setWanted] = useState<Wanted | null>(null);
  const last = useRef<PersonId>(saved);
  const telling = useRef(false);
  if (wanted?.told && wanted.id === saved) setWanted(null);

  const tell = useCallback(async (): Promise<void> => {
    telling.current = true;
    try {
      let told: PersonId | undefined;
      while (told !== last.current) {
        told = last.current;
        await ask(endpoints.describeSignature, { params: { id: signatureId }, body: { personId: told } });
      }
      setWanted({ id: told, told: true });
      startTransition(() => router.refresh());
    } catch (error) {
      setWanted(null);
      onShown?.(saved);
      toast.error((error as Error).message);
    } finally {
      telling.current = false;
    }
  }, [router, signatureId, saved, onShown]);

  const choose = useCallback(
    (id: PersonId): void => {
      last.current = id;
      setWanted({ id, told: false });
      onShown?.(id);
      if (!telling.current) void tell();
    },
    [tell, onShown],
  );
  return { personId: wanted ? wanted.id : saved, choose };
}
