import { formatDistanceToNow } from "date-fns";
import Link from "next/link";
import { listMessages } from "@/server/mailroom/mailroom";

export const metadata = { title: "Letters · Malthouse Mail" };

interface Props {
  readonly params: Promise<{ person: string }>;
}

export default async function LettersPage({ params }: Props) {
  const { person } = await params;
  const letters = await listMessages(person);
  return (
    <>
      <h1 className="text-2xl font-bold">Letters</h1>
      {letters.length === 0 ? (
        <p className="mt-4 text-(--mm-soft)">
          No letter has come yet. Sit at a colleague&apos;s desk in the Mailroom and write one to this
          address.
        </p>
      ) : (
        <ul className="mt-3">
          {letters.map(({ id, fromName, fromAddress, subject, receivedAt, read }) => (
            <li key={id} className="border-t border-(--mm-edge) first:border-0">
              <Link
                href={`/mailroom/${person}/letters/${id}`}
                className={`flex items-baseline gap-4 rounded-lg px-2 py-2.5 hover:bg-(--mm-back) ${read ? "" : "font-semibold"}`}
              >
                <span className="w-48 truncate">{fromName || fromAddress}</span>
                <span className="min-w-0 flex-1 truncate">{subject || "(no subject)"}</span>
                <span className="text-xs text-(--mm-soft)">
                  {formatDistanceToNow(receivedAt, { addSuffix: true })}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
