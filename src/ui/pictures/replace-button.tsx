"use client";

import { Replace } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { ask, send } from "../parts/asking/ask";
import { FilePicker } from "../parts/files/file-picker";
import { formatCount } from "../parts/format";
import { acceptedPictures } from "../parts/files/accepted-files";

/** Another file in the place of an original; every cut follows, and it can be taken back. */
export function ReplaceButton({ hash, name }: { hash: string; name: string }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);

  const takeBack = async (): Promise<void> => {
    try {
      await ask(endpoints.takeBackPicture, { params: { hash } });
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const replace = async (file: File): Promise<void> => {
    setBusy(true);
    try {
      const answer = await send(endpoints.replacePicture, { params: { hash }, file });
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
    <FilePicker
      look="quiet"
      label={`Replace ${name}`}
      accept={acceptedPictures}
      disabled={busy}
      onPick={([file]) => file && void replace(file)}
    >
      <Replace size={15} aria-hidden />
      {busy ? "Cutting again…" : "Replace"}
    </FilePicker>
  );
}
