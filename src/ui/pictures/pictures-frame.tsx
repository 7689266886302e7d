import Link from "next/link";
import type { ReactNode } from "react";
import { SiteHeader } from "../parts/site-header";

const shelves = [
  { href: "/pictures", name: "Originals and cuts" },
  { href: "/pictures/loops", name: "Loops" },
  { href: "/pictures/addresses", name: "Addresses" },
  { href: "/pictures/unused", name: "Unused" },
] as const;

interface Props {
  readonly current: (typeof shelves)[number]["name"];
  /** What is counted, beside the title. */
  readonly count: string;
  readonly children: ReactNode;
}

/** The frame of the four views of Pictures. */
export function PicturesFrame({ current, count, children }: Props) {
  return (
    <>
      <SiteHeader current="Pictures" />
      <main className="mx-auto max-w-[1240px] px-5 pb-10">
        <div className="flex flex-wrap items-end gap-x-4 pb-4 pt-3">
          <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">Pictures</h1>
          <p className="pb-1.5 text-soft">{count}</p>
          <nav aria-label="Pictures" className="ml-auto flex gap-4 pb-1.5">
            {shelves.map(({ href, name }) => (
              <Link
                key={href}
                href={href}
                aria-current={name === current ? "page" : undefined}
                className="whitespace-nowrap border-b-2 border-transparent pb-0.5 text-soft hover:border-hairline aria-[current=page]:border-pine aria-[current=page]:font-medium aria-[current=page]:text-ink"
              >
                {name}
              </Link>
            ))}
          </nav>
        </div>
        {children}
      </main>
    </>
  );
}
