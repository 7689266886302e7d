"use client";

/** What can be done to a recorded install; each says what went wrong, and shows what is so afterwards. */
import { toast } from "sonner";
import { endpoints, type Install } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { sayRemoved, useRefreshing } from "../../parts/asking/use-refreshing";
import { copyToClipboard } from "../../parts/clipboard";

export interface InstallActions {
  readonly renew: (install: Install, revision: number) => Promise<void>;
  /** Resolves to whether it was kept. */
  readonly tick: (install: Install, says: string, seen: boolean) => Promise<boolean>;
  readonly remove: (install: Install) => Promise<void>;
  readonly copyLink: (install: Install) => void;
}

export function useInstallActions(): InstallActions {
  const attempt = useRefreshing();
  return {
    renew: async ({ id }, revision) => {
      const renewed = await attempt(() =>
        ask(endpoints.renewInstall, { params: { id }, body: { revision } }),
      );
      if (renewed) toast("Recorded as up to date.");
    },
    tick: async ({ id }, says, seen) => {
      try {
        // It is kept even where the page is left at once.
        await ask(endpoints.tickInstall, { params: { id }, body: { says, seen }, keepalive: true });
        return true;
      } catch (error) {
        toast.error((error as Error).message);
        return false;
      }
    },
    remove: async ({ id }) => {
      const params = { id };
      if (await attempt(() => ask(endpoints.removeInstall, { params })))
        sayRemoved(
          "The record is removed.",
          () => void attempt(() => ask(endpoints.restoreInstall, { params })),
        );
    },
    copyLink: ({ id }) => {
      const address = `${location.origin}/installs/${id}`;
      if (copyToClipboard({ text: address }))
        toast("The link is copied. Its owner sees there whether it is current.");
      else toast.error(`The browser did not let it be copied: ${address}`);
    },
  };
}
