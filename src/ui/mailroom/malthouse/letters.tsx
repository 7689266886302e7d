"use client";

/** Malthouse Mail: the list of letters, or one of them open. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { LetterBox } from "@/contract";
import { LetterParts, LetterTalk, LetterWire } from "../parts/letter-facts";
import { pathsOf } from "../parts/letter-paths";
import { LetterView } from "../parts/letter-view";
import type { LettersProps } from "../parts/rooms";
import { useThrowing } from "../parts/use-throwing";
import { When } from "../parts/when";

const boxes: readonly (readonly [LetterBox, string])[] = [
  ["in", "Come"],
  ["sent", "Sent"],
  ["thrown", "Thrown away"],
];

const empty: Readonly<Record<LetterBox, string>> = {
  in: "No letter has come yet. Sit at a colleague’s desk in the Mailroom and write one to this address.",
  sent: "Nothing was sent from here yet.",
  thrown: "Nothing was thrown away.",
};

function List({ desk, letters, box, search, drafts }: LettersProps) {
  const paths = pathsOf(desk);
  const router = useRouter();
  return (
    <>
      <div className="flex items-baseline gap-5">
        <h1 className="text-2xl font-bold">Letters</h1>
        <nav aria-label="Boxes" className="flex gap-4">
          {boxes.map(([each, name]) => (
            <Link
              key={each}
              href={paths.letters(each)}
              aria-current={each === box ? "page" : undefined}
              className="text-(--mm-soft) underline aria-[current=page]:font-semibold aria-[current=page]:text-(--mm-ink) aria-[current=page]:no-underline"
            >
              {name}
            </Link>
          ))}
        </nav>
        <form
          className="ml-auto"
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
            aria-label="Look for letters"
            placeholder="Look for words"
            className="mm-field w-52"
          />
        </form>
      </div>
      {box === "in" && drafts.length > 0 && (
        <ul aria-label="Letters that were begun" className="mt-3">
          {drafts.map(({ id, subject, updatedAt }) => (
            <li key={id} className="border-t border-(--mm-edge)">
              <Link
                href={paths.draft(id)}
                className="flex items-baseline gap-4 rounded-lg px-2 py-2 hover:bg-(--mm-back)"
              >
                <span className="w-48 text-(--mm-act)">begun, not sent</span>
                <span className="min-w-0 flex-1 truncate">{subject || "(no subject)"}</span>
                <span className="text-xs text-(--mm-soft)">
                  <When time={updatedAt} />
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {letters.letters.length === 0 ? (
        <p className="mt-4 text-(--mm-soft)">{search ? `No letter has “${search}” in it.` : empty[box]}</p>
      ) : (
        <ul aria-label="Letters" className="mt-3">
          {letters.letters.map(({ id, from, recipients, subject, beginning, receivedAt, read }) => (
            <li key={id} className="border-t border-(--mm-edge)">
              <Link
                href={paths.letter(id)}
                prefetch={false}
                className={`flex items-baseline gap-4 rounded-lg px-2 py-2.5 hover:bg-(--mm-back) ${read ? "" : "font-semibold"}`}
              >
                <span className="w-48 shrink-0 truncate">
                  {box === "sent" ? recipients : from.name || from.address || "(nobody)"}
                </span>
                <span className="min-w-0 flex-1 truncate">
                  {subject || "(no subject)"}{" "}
                  <span className="font-normal text-(--mm-soft)">{beginning}</span>
                </span>
                <span className="text-xs text-(--mm-soft)">
                  <When time={receivedAt} />
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {letters.more > 0 && (
        <p className="mt-3 text-(--mm-soft)">
          {letters.more.toLocaleString("en")} older ones are not shown: look for words that are in them.
        </p>
      )}
    </>
  );
}

export function MalthouseLetters(props: LettersProps) {
  const { desk, open, base } = props;
  const { throwAway, takeBack } = useThrowing(desk);
  if (!open) return <List {...props} />;
  const paths = pathsOf(desk);
  const act = "text-(--mm-act) underline";
  return (
    <article>
      <nav aria-label="This letter" className="flex flex-wrap gap-5 text-sm">
        <Link href={paths.letters(open.thrown ? "thrown" : open.box)} className={act}>
          All letters
        </Link>
        <Link href={paths.answer(open.id)} className={act}>
          Answer
        </Link>
        {open.to.length + open.cc.length > 1 && (
          <Link href={paths.answer(open.id, true)} className={act}>
            Answer all of them
          </Link>
        )}
        <Link href={paths.handOn(open.id)} className={act}>
          Hand it on
        </Link>
        <button
          type="button"
          className={`ml-auto ${act}`}
          onClick={() => void (open.thrown ? takeBack : throwAway)(open.id)}
        >
          {open.thrown ? "Take it back" : "Throw it away"}
        </button>
      </nav>
      <h1 className="mt-3 text-2xl font-bold [overflow-wrap:anywhere]">{open.subject || "(no subject)"}</h1>
      <p className="mt-1 text-(--mm-soft) [overflow-wrap:anywhere]">
        From {open.from.name} &lt;{open.from.address}&gt; to {open.recipients},{" "}
        <When time={open.receivedAt} whole />
      </p>
      <LetterTalk desk={desk} letter={open} />
      {open.problem && (
        <p role="note" className="mt-3 text-(--mm-wrong)">
          {open.problem}
        </p>
      )}
      <div className="mt-4 border-t border-(--mm-edge) pt-3">
        <LetterView desk={desk} letter={open} base={base} width={780} />
      </div>
      <LetterParts desk={desk} letter={open} />
      <LetterWire desk={desk} letter={open} />
    </article>
  );
}
