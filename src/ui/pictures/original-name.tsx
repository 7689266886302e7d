"use client";

import { Pencil } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { ask } from "../parts/asking/ask";
import { IconButton } from "../parts/icon-button";

/** An original's name, which its cuts' addresses are made from; changed in place. */
export function OriginalName({ hash, name }: { hash: string; name: string }) {
  const router = useRouter();
  const [editing, setEditing] = useState(false);

  const rename = async (next: string): Promise<void> => {
    setEditing(false);
    if (next === name || next === "") return;
    try {
      await ask(endpoints.renamePicture, { params: { hash }, body: { name: next } });
      router.refresh();
      toast(`Cuts from now on are named after “${next}”. Those that are there keep their addresses.`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  if (editing)
    return (
      <input
        autoFocus
        aria-label="Name of the original"
        defaultValue={name}
        maxLength={120}
        onFocus={(event) => event.target.select()}
        onBlur={(event) => void rename(event.target.value.trim())}
        onKeyDown={(event) => {
          if (event.key === "Enter") event.currentTarget.blur();
          if (event.key === "Escape") setEditing(false);
        }}
        className="w-72 border-b border-pine bg-transparent font-serif text-lg"
      />
    );
  return (
    <span className="flex min-w-0 items-center gap-1">
      <span className="truncate font-serif text-lg">{name}</span>
      <IconButton label={`Rename ${name}`} onClick={() => setEditing(true)}>
        <Pencil size={13} aria-hidden />
      </IconButton>
    </span>
  );
}
