"use client";

import { useEffect, useState } from "react";
import { endpoints, type ComparedInstall } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { DialogFrame } from "../../parts/dialog-frame";
import { SideBySide } from "./side-by-side";

/** What is installed beside what the signature is now. */
export function CompareDialog({ id, onClose }: { readonly id: string; readonly onClose: () => void }) {
  const [install, setInstall] = useState<ComparedInstall | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    let left = false;
    ask(endpoints.compareInstall, { params: { id } }).then(
      (found) => !left && setInstall(found),
      (error: unknown) => !left && setTrouble((error as Error).message),
    );
    return () => {
      left = true;
    };
  }, [id]);
  return (
    <DialogFrame
      title="What is installed, and what should be"
      onClose={onClose}
      className="w-[1120px] overflow-y-auto"
    >
      <div className="mt-4">
        {install ? (
          <SideBySide install={install} />
        ) : (
          <p role="status" className={trouble ? "text-rowan" : "text-soft"}>
            {trouble ?? "Fetching…"}
          </p>
        )}
      </div>
    </DialogFrame>
  );
}
