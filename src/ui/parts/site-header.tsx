import Link from "next/link";

const views = [
  { href: "/", name: "Shelf" },
  { href: "/pictures", name: "Pictures" },
  { href: "/people", name: "People" },
  { href: "/installs", name: "Installs" },
  { href: "/mailroom", name: "Mailroom" },
] as const;

export const Wordmark = () => (
  <Link href="/" className="whitespace-nowrap font-serif text-xl italic tracking-tight text-pine">
    Still Line
  </Link>
);

/** The header of the views that are not about one signature. */
export function SiteHeader({ current }: { current: (typeof views)[number]["name"] }) {
  return (
    <header className="flex h-11 items-center justify-between px-5">
      <Wordmark />
      <nav aria-label="Views" className="flex gap-4">
        {views.map(({ href, name }) => (
          <Link
            key={href}
            href={href}
            aria-current={name === current ? "page" : undefined}
            className="border-b-2 border-transparent pb-0.5 hover:border-hairline aria-[current=page]:border-pine aria-[current=page]:font-medium"
          >
            {name}
          </Link>
        ))}
      </nav>
    </header>
  );
}
