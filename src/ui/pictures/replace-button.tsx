"use client";

import { Replace } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { buttonClass } from "../parts/button";
import { formatCount } from "../parts/format";
import { request } from "../parts/request";
import { acceptedPictures } from "../parts/upload-picture";
import type { Replacement } from "@/server/pictures/replace-original";

/** Another file in the place of an original; every cut follows, and it can be taken back. */
export function ReplaceButton({ hash, name }: { hash: string; name: string }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);

  const takeBack = async (): Promise<void> => {
    try {
      await request("DELETE", `/api/pictures/${hash}/replace`);
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const replace = async (file: File): Promise<void> => {
    setBusy(true);
    const form = new FormData();
    form.set("file", file);
    try {
      const response = await fetch(`/api/pictures/${hash}/replace`, { method: "POST", body: form });
      const answer = (await response.json()) as Replacement & { error?: { message: string } };
      if (answer.error) throw new Error(answer.error.message);
      router.refresh();
      toast(
        `${formatCount(answer.cuts, "cut")} made again, in ${formatCount(answer.signatures, "signature")}. Old addresses go on working.`,
        { duration: 9000, action: { label: "Take it back", onClick: () => void takeBack() } },
      );
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(false);
  };

  return (
    <label
      className={`${buttonClass("quiet")} cursor-pointer focus-within:outline-2 focus-within:outline-pine ${busy ? "opacity-40" : ""}`}
    >
      <Replace size={15} aria-hidden />
      {busy ? "Cutting again…" : "Replace"}
      <input
        type="file"
        aria-label={`Replace ${name}`}
        accept={acceptedPictures}
        disabled={busy}
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) void replace(file);
        }}
      />
    </label>
  );
}
