"use client";

/** What every client's list has, in its own words and look: its boxes, looking for words, and the letter that is open. */
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { ReactNode } from "react";
import { letterBoxes, type LetterBox, type LetterHead } from "@/contract";
import { pathsOf } from "./letter-paths";
import type { LettersProps } from "./rooms";

type Place = Pick<LettersProps, "desk" | "box">;

interface BoxesProps extends Place {
  /** What the client calls them all, and each. */
  readonly label: string;
  readonly names: Readonly<Record<LetterBox, string>>;
  readonly className: string;
  /** Of each link; the one that is here is known by `aria-current`. */
  readonly look: string;
}

export const LetterBoxes = ({ desk, box, label, names, className, look }: BoxesProps) => (
  <nav aria-label={label} className={className}>
    {letterBoxes.map((each) => (
      <Link
        key={each}
        href={pathsOf(desk).letters(each)}
        aria-current={each === box ? "page" : undefined}
        className={look}
      >
        {names[each]}
      </Link>
    ))}
  </nav>
);

interface SearchProps extends Place, Pick<LettersProps, "search"> {
  /** Said of the field; shown before it, or in it while it is empty. */
  readonly label: string;
  readonly shown: "before" | "within";
  readonly className?: string;
  readonly look: string;
}

/** A field for words; what is typed is looked for on Enter. */
export function SearchLetters({ desk, box, search, label, shown, className, look }: SearchProps) {
  const router = useRouter();
  const field = (
    <input
      key={search}
      name="search"
      defaultValue={search}
      className={look}
      {...(shown === "within" ? { "aria-label": label, placeholder: label.toLowerCase() } : {})}
    />
  );
  return (
    <form
      className={className}
      onSubmit={(event) => {
        event.preventDefault();
        const wanted = new FormData(event.currentTarget).get("search");
        router.push(pathsOf(desk).letters(box, typeof wanted === "string" ? wanted : ""));
      }}
    >
      {shown === "within" ? (
        field
      ) : (
        <label className="flex items-baseline gap-2 whitespace-nowrap">
          {label} {field}
        </label>
      )}
    </form>
  );
}

/** The letters of a list, with the one that is open in its place among them, however old it is. */
export const withOpen = ({ letters, open }: Pick<LettersProps, "letters" | "open">): readonly LetterHead[] =>
  open && !letters.letters.some(({ id }) => id === open.id)
    ? [...letters.letters, open].sort((one, other) => other.receivedAt - one.receivedAt)
    : letters.letters;

/** Whom a row of a list names: who wrote, or to whom it was sent. */
export const whoIn = (box: LetterBox, { from, recipients }: LetterHead): string =>
  box === "sent" ? recipients : from.name || from.address || "(nobody)";

export const matterOf = ({ subject }: Pick<LetterHead, "subject">): string => subject || "(no subject)";

/** What is said below a list that does not show all; nothing where it does. */
export const MoreLetters = ({
  letters,
  children,
}: Pick<LettersProps, "letters"> & { children: ReactNode }) =>
  letters.more === 0 ? null : (
    <p className="py-3 text-(--desk-soft)">
      {letters.more.toLocaleString("en")} {children}
    </p>
  );
