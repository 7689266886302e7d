"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { addressOf, endpoints, type Removal, type Unused } from "@/contract";
import { isHosted } from "@/core/addresses";
import { ask } from "../parts/asking/ask";
import { Button } from "../parts/button";
import { formatBytes, formatCount, formatSize } from "../parts/format";
import { CheckField } from "../parts/fields/check-field";

/** Pictures that nothing uses, chosen one by one or all, removed, and taken back. */
export function UnusedList({ unused }: { unused: Unused }) {
  const router = useRouter();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const items = [
    ...unused.cuts.map(({ source, fileName, width, height, bytes }) => ({
      id: source,
      picture: source,
      name: fileName,
      facts: `cut, ${formatSize(width, height)}, ${formatBytes(bytes)}`,
      bytes,
    })),
    ...unused.originals.map(({ hash, name, width, height, bytes }) => ({
      id: hash,
      picture: addressOf(endpoints.pictureThumbnail, { hash }),
      name,
      facts: `original and its cuts, ${formatSize(width, height)}, ${formatBytes(bytes)}`,
      bytes,
    })),
  ];
  const present = items.filter(({ id }) => chosen.has(id));
  const freed = present.reduce((sum, { bytes }) => sum + bytes, 0);

  const toggle = (id: string): void => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };

  const takeBack = async (removed: Removal): Promise<void> => {
    try {
      await ask(endpoints.restorePictures, { body: removed });
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const remove = async (): Promise<void> => {
    const ids = present.map(({ id }) => id);
    try {
      const { removed } = await ask(endpoints.removePictures, {
        body: {
          cuts: ids.filter(isHosted),
          originals: ids.filter((id) => !isHosted(id)),
        },
      });
      setChosen(new Set());
      router.refresh();
      toast(`${formatCount(ids.length, "picture")} removed. They can be taken back.`, {
        duration: 12_000,
        action: { label: "Take them back", onClick: () => void takeBack(removed) },
      });
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  if (items.length === 0)
    return (
      <p className="border-t border-pine py-10 text-center text-soft">
        Every picture is used by a signature, a version or a sent message.
      </p>
    );
  const all = present.length === items.length;
  return (
    <>
      <div className="flex items-center gap-4 border-t border-pine py-3">
        <CheckField
          label="All of them"
          checked={all}
          onChange={() => setChosen(new Set(all ? [] : items.map(({ id }) => id)))}
        />
        <Button look="primary" disabled={present.length === 0} onClick={() => void remove()}>
          {present.length === 0
            ? "Remove"
            : `Remove ${formatCount(present.length, "picture")}, ${formatBytes(freed)}`}
        </Button>
        <span className="text-soft">
          Mails that were sent from elsewhere and show one of these would miss it.
        </span>
      </div>
      <ul className="grid grid-cols-5 gap-x-4 gap-y-3">
        {items.map(({ id, picture, name, facts }) => (
          <li key={id}>
            <label
              className={`block h-full cursor-pointer rounded-sm border p-2 ${chosen.has(id) ? "border-pine bg-kelp" : "border-hairline"}`}
            >
              <img src={picture} alt="" loading="lazy" className="checkered h-24 w-full object-scale-down" />
              <span className="mt-1 flex items-center gap-2">
                <input
                  type="checkbox"
                  checked={chosen.has(id)}
                  onChange={() => toggle(id)}
                  className="shrink-0 accent-pine"
                />
                <span className="min-w-0">
                  <span className="block truncate text-sm">{name}</span>
                  <span className="block text-xs text-soft">{facts}</span>
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
