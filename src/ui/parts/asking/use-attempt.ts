"use client";

/** Something that the server is asked to do: whether it goes on, and why it failed. */
import { useCallback, useState } from "react";

export interface Attempt {
  readonly busy: boolean;
  readonly problem: string | null;
  /** Does it; a message that can be shown is kept as the problem. Answers whether it went well. */
  readonly attempt: (action: () => Promise<unknown>) => Promise<boolean>;
}

export function useAttempt(): Attempt {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const attempt = useCallback(async (action: () => Promise<unknown>): Promise<boolean> => {
    setBusy(true);
    setProblem(null);
    try {
      await action();
      return true;
    } catch (error) {
      setProblem((error as Error).message);
      return false;
    } finally {
      setBusy(false);
    }
  }, []);
  return { busy, problem, attempt };
}
