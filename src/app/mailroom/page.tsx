import Link from "next/link";
import { countUnread } from "@/server/mailroom/letters";
import { listPeople } from "@/server/people/people";
import { EmptyMailroom } from "@/ui/mailroom/empty-mailroom";
import { SiteHeader } from "@/ui/parts/site-header";

export const metadata = { title: "Mailroom" };

export default async function MailroomPage() {
  const [people, unread] = await Promise.all([listPeople(), countUnread()]);
  return (
    <>
      <SiteHeader current="Mailroom" />
      <main className="mx-auto max-w-[1240px] px-5 pb-10">
        <h1 className="pt-3 font-serif text-[38px] leading-[44px] tracking-tight">Mailroom</h1>
        <p className="max-w-2xl pb-5 pt-1 text-soft">
          A rehearsal: on each desk five working mail clients in which to install a signature, write to
          colleagues, answer them, and open what arrives. They are simulations, and nothing leaves this
          machine.
        </p>
        <div className="pb-5">
          <EmptyMailroom />
        </div>
        <h2 className="border-t border-pine pb-2 pt-3 font-serif text-xl">Whose desk?</h2>
        {people.length === 0 ? (
          <p className="text-soft">The directory is empty, so there is no desk to sit at.</p>
        ) : (
          <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
            {people.map(({ id, person }) => {
              const waiting = unread.get(person.mail.toLowerCase()) ?? 0;
              return (
                <li key={id} className="border-b border-hairline">
                  <Link
                    href={`/mailroom/${id}`}
                    prefetch={false}
                    className="flex items-baseline gap-2 rounded-sm px-1 py-2 hover:bg-kelp"
                  >
                    <span className="min-w-0">
                      <span className="block truncate font-medium">{person.name}</span>
                      <span className="block truncate text-soft">{person.title || person.department}</span>
                    </span>
                    {waiting > 0 && (
                      <span className="ml-auto whitespace-nowrap font-medium text-clay">{waiting} new</span>
                    )}
                  </Link>
                </li>
              );
            })}
          </ul>
        )}
      </main>
    </>
  );
}
