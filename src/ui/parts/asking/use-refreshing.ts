"use client";

/** Changes of what a page shows: what goes wrong is said in passing, and the page shows what is so afterwards. */
import { useRouter } from "next/navigation";
import { toast } from "sonner";

/** Resolves to whether it went well. */
export type Refreshing = (action: () => Promise<unknown>) => Promise<boolean>;

export function useRefreshing(): Refreshing {
  const router = useRouter();
  return async (action) => {
    try {
      await action();
      router.refresh();
      return true;
    } catch (error) {
      toast.error((error as Error).message);
      return false;
    }
  };
}

/** Says that something is gone, and lets it be taken back for a while. */
export const sayRemoved = (says: string, takeBack: () => void): void =>
  void toast(says, { duration: 10_000, action: { label: "Take it back", onClick: takeBack } });
