"use client";

import { ChevronDown } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { MenuPanel, menuItemClass } from "../../parts/menu-panel";
import { nothingLonger, type LongDetails, type LongestPerson } from "./use-longest-person";

type Found = readonly LongDetails[] | "measuring" | { readonly failed: string };

/** Draws the sheet with the longest details that there are: at once with the widest line, or with what is chosen. */
export function TryLongest({ tried, toggle, choose, find }: LongestPerson) {
  const [found, setFound] = useState<Found>("measuring");
  const open = (opened: boolean): void => {
    if (!opened) return;
    setFound("measuring");
    find().then(setFound, (error: Error) => setFound({ failed: error.message }));
  };
  return (
    <span className="flex shrink-0 items-center">
      <button
        type="button"
        aria-pressed={tried !== null}
        onClick={toggle}
        title="Draw it with the longest details of the directory"
        className={`max-w-28 truncate whitespace-nowrap rounded-sm lg:max-w-44 px-1.5 py-0.5 text-sm hover:bg-kelp ${tried === null ? "text-soft" : "bg-kelp font-medium text-pine"}`}
      >
        {tried === null ? "try the longest" : `tried with ${tried.whose}`}
      </button>
      <DropdownMenu.Root modal={false} onOpenChange={open}>
        <DropdownMenu.Trigger
          aria-label="Which of the longest details to try"
          className="rounded-sm p-0.5 text-soft hover:bg-kelp"
        >
          <ChevronDown size={14} aria-hidden />
        </DropdownMenu.Trigger>
        <MenuPanel className="min-w-72 text-sm">
          <Choices found={found} choose={choose} />
        </MenuPanel>
      </DropdownMenu.Root>
    </span>
  );
}

function Choices({ found, choose }: { readonly found: Found; readonly choose: LongestPerson["choose"] }) {
  if (found === "measuring") return <p className="px-3 py-1 text-soft">Measuring everybody’s details…</p>;
  if ("failed" in found) return <p className="px-3 py-1 text-rowan">{found.failed}</p>;
  if (found.length === 0) return <p className="px-3 py-1 text-soft">{nothingLonger}</p>;
  return found.map((each) => (
    <DropdownMenu.Item
      key={each.why}
      onSelect={() => choose(each)}
      className={`${menuItemClass} justify-between gap-6`}
    >
      {each.why}
      <bdi className="max-w-56 truncate text-soft">{each.whose}</bdi>
    </DropdownMenu.Item>
  ));
}
