"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import type { Cut, Original } from "@/contract";
import type { Recipe } from "@/core/pictures";
import { formatBytes, formatSize } from "../../parts/format";
import { putInPlace, type ChangedPicture } from "../kept-place";
import { CutRoom } from "./cut-room";
import type { SizeToMatch } from "./pictures-to-match";

interface Props {
  readonly original: Original;
  readonly start: Recipe;
  readonly background: string | null;
  readonly brandColors: readonly string[];
  readonly matches: readonly SizeToMatch[];
  /** The signature whose picture is being cut anew; null when it is cut for no signature. */
  readonly signature: ChangedPicture | null;
}

/** Cutting an original by itself, or a picture of a signature, over the whole window. */
export function CutPage({ original, signature, ...rest }: Props) {
  const router = useRouter();
  const back = signature ? `/signatures/${signature.id}/pictures` : "/pictures";
  const kept = async (cut: Cut): Promise<void> => {
    if (signature) await putInPlace(signature, cut);
    toast(`${cut.fileName} is kept: ${formatSize(cut.width, cut.height)}, ${formatBytes(cut.bytes)}.`);
    router.push(back);
    router.refresh();
  };
  return (
    <main className="h-screen min-h-[640px] px-5 pb-3 pt-3">
      <CutRoom
        {...rest}
        original={original}
        keepLabel={signature ? `Keep it in ${signature.name}` : "Keep this cut"}
        onKeep={kept}
        heading={
          <div className="flex items-baseline gap-2">
            <Link href={back} className="whitespace-nowrap text-pine hover:underline">
              {signature ? `Pictures of ${signature.name}` : "Pictures"}
            </Link>
            <span aria-hidden className="text-soft">
              ›
            </span>
            <h1 className="truncate font-serif text-2xl">Cut {original.name}</h1>
          </div>
        }
      />
    </main>
  );
}
