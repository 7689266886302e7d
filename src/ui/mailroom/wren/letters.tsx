"use client";

/** Wren: letters as cards of three lines, or one of them. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import { LetterParts, LetterTalk, LetterWire } from "../parts/letter-facts";
import { pathsOf } from "../parts/letter-paths";
import { LetterView } from "../parts/letter-view";
import type { LettersProps } from "../parts/rooms";
import { useThrowing } from "../parts/use-throwing";
import { When } from "../parts/when";

export function WrenLetters({ desk, letters, box, search, drafts, open, base }: LettersProps) {
  const paths = pathsOf(desk);
  const router = useRouter();
  const { throwAway, takeBack } = useThrowing(desk);
  if (open)
    return (
      <article>
        <nav aria-label="This letter" className="flex flex-wrap gap-x-4">
          <Link href={paths.letters(open.thrown ? "thrown" : open.box)}>Cards</Link>
          <Link href={paths.answer(open.id)}>Reply</Link>
          {open.to.length + open.cc.length > 1 && <Link href={paths.answer(open.id, true)}>To all</Link>}
          <Link href={paths.handOn(open.id)}>Onward</Link>
          <button
            type="button"
            className="underline"
            onClick={() => void (open.thrown ? takeBack : throwAway)(open.id)}
          >
            {open.thrown ? "Back" : "Away"}
          </button>
        </nav>
        <h1 className="mt-2 text-lg font-semibold [overflow-wrap:anywhere]">
          {open.subject || "(no subject)"}
        </h1>
        <p className="text-sm text-(--wr-soft) [overflow-wrap:anywhere]">
          {open.from.name || open.from.address}, <When time={open.receivedAt} whole />
        </p>
        <LetterTalk desk={desk} letter={open} />
        {open.problem && <p role="note">{open.problem}</p>}
        <div className="-mx-4 mt-2">
          <LetterView desk={desk} letter={open} base={base} width={388} />
        </div>
        <LetterParts desk={desk} letter={open} />
        <LetterWire desk={desk} letter={open} />
      </article>
    );
  return (
    <>
      <h1 className="sr-only">Cards</h1>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const wanted = new FormData(event.currentTarget).get("search");
          router.push(paths.letters(box, typeof wanted === "string" ? wanted : ""));
        }}
      >
        <input
          key={search}
          name="search"
          defaultValue={search}
          aria-label="Words in a letter"
          placeholder="words in a letter"
          className="wren-field"
        />
      </form>
      <nav aria-label="Which cards" className="my-2 flex gap-4 text-sm">
        {(
          [
            ["in", "to me"],
            ["sent", "from me"],
            ["thrown", "away"],
          ] as const
        ).map(([each, name]) => (
          <Link
            key={each}
            href={paths.letters(each)}
            aria-current={each === box ? "page" : undefined}
            className="aria-[current=page]:font-semibold aria-[current=page]:no-underline"
          >
            {name}
          </Link>
        ))}
      </nav>
      {letters.letters.length === 0 && drafts.length === 0 && (
        <p className="mt-4 text-(--wr-soft)">{search ? `Nothing with “${search}”.` : "Nothing here yet."}</p>
      )}
      {box === "in" &&
        drafts.map(({ id, subject }) => (
          <Link key={id} href={paths.draft(id)} className="wren-card">
            <span className="block">Begun</span>
            <span className="block truncate">{subject || "(no subject)"}</span>
          </Link>
        ))}
      {letters.letters.map(({ id, from, recipients, subject, beginning, receivedAt, read }) => (
        <Link
          key={id}
          href={paths.letter(id)}
          prefetch={false}
          className={`wren-card ${read ? "" : "font-semibold"}`}
        >
          <span className="flex justify-between gap-3">
            <span className="truncate">
              {box === "sent" ? recipients : from.name || from.address || "(nobody)"}
            </span>
            <span className="shrink-0 font-normal text-(--wr-soft)">
              <When time={receivedAt} />
            </span>
          </span>
          <span className="block truncate">{subject || "(no subject)"}</span>
          <span className="block truncate font-normal text-(--wr-soft)">{beginning || "(no words)"}</span>
        </Link>
      ))}
      {letters.more > 0 && (
        <p className="mt-2 text-sm text-(--wr-soft)">
          and {letters.more.toLocaleString("en")} older: look for words in them
        </p>
      )}
    </>
  );
}
