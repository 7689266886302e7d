"use client";

/** Icons of the user's own, as the server has them. */
import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import { endpoints, type OwnIcon } from "@/contract";
import { ask } from "../parts/asking/ask";

export interface OwnIconList {
  /** Null until they have come. */
  readonly icons: readonly OwnIcon[] | null;
  /** Uploaded pictures that may be icons. */
  readonly pictures: readonly OwnIcon[];
  readonly reload: () => Promise<void>;
}

export function useOwnIcons(): OwnIconList {
  const [answer, setAnswer] = useState<Omit<OwnIconList, "reload">>({ icons: null, pictures: [] });
  const reload = useCallback(
    () => ask(endpoints.listOwnIcons).then(setAnswer, (error: Error) => void toast.error(error.message)),
    [],
  );
  useEffect(() => {
    void reload();
  }, [reload]);
  return { ...answer, reload };
}
