"use client";

/** Letters as a client shows them, or as any other kind would: by light or in the dark, with their pictures or without. */
import { useMemo, useState } from "react";
import { partAddress, type Desk, type OpenedLetter } from "@/contract";
import {
  messageOf,
  picturesBlocked,
  received,
  rewriteLinks,
  standInIds,
  standIns,
  type Mode,
  type StandInId,
} from "@/core/clients";
import { deskClients } from "@/core/desks";
import { areaOf } from "../../parts/drawing/area-of";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { CheckField } from "../../parts/fields/check-field";
import { ChoiceField } from "../../parts/fields/choice-field";
import { leadInside } from "./lead-inside";
import { When } from "./when";

type Pictures = "as-it-does" | "shown" | "blocked";

/** How letters are looked at. */
interface Seen {
  readonly kind: StandInId;
  readonly mode: Mode;
  readonly pictures: Pictures;
  /** Whether pictures were asked for, where the kind waits until they are. */
  readonly asked: boolean;
}

/** Whether pictures of other places are left out. */
const isBlocked = ({ kind, pictures, asked }: Seen): boolean =>
  pictures === "blocked" || (pictures === "as-it-does" && standIns[kind].pictures === "asked" && !asked);

const kinds = Object.fromEntries(standInIds.map((id) => [id, standIns[id].name])) as Record<
  StandInId,
  string
>;

/** The pictures that came with a letter, drawn from its parts. */
const withParts = (html: string, desk: Desk, letter: string): string =>
  html.replace(/ src="cid:([^"]+)"/gi, (_whole, id: string) => {
    const address = partAddress(desk.person.id, letter, id);
    return ` src="${address.replaceAll("&", "&amp;")}"`;
  });

/** The way to a page of the Mailroom by which it is known that a link was followed. */
const followedTo = (to: string | null, { person }: Desk, letter: string): string | null =>
  to === null ? null : `/mailroom/${person.id}/followed?${new URLSearchParams({ letter, to }).toString()}`;

interface SeenAsProps {
  readonly seen: Seen;
  readonly onChange: (seen: Seen) => void;
}

/** What letters are looked at as. */
function SeenAs({ seen, onChange }: SeenAsProps) {
  const standIn = standIns[seen.kind];
  return (
    <div className="seen-as">
      <span className="flex items-center gap-2">
        <span aria-hidden>Seen in</span>
        <ChoiceField
          label="Seen in"
          quiet
          value={seen.kind}
          choices={kinds}
          onChange={(kind) => onChange({ ...seen, kind, asked: false })}
          className="w-64"
        />
      </span>
      <CheckField
        label="in the dark"
        checked={seen.mode === "dark"}
        onChange={(dark) => onChange({ ...seen, mode: dark ? "dark" : "light" })}
      />
      <ChoiceField
        label="Pictures"
        quiet
        value={seen.pictures}
        choices={{
          "as-it-does":
            standIn.pictures === "asked" ? "pictures when asked for" : "pictures as it shows them",
          shown: "pictures shown",
          blocked: "pictures blocked",
        }}
        onChange={(pictures) => onChange({ ...seen, pictures })}
        className="w-52"
      />
      {seen.mode === "dark" && standIn.darkMode === "none" && (
        <p role="note" className="basis-full">
          This kind draws letters in the dark as it does by light.
        </p>
      )}
    </div>
  );
}

interface SeenLetterProps {
  readonly desk: Desk;
  readonly letter: OpenedLetter;
  readonly seen: Seen;
  readonly base: string;
  /** The room that there is; px. */
  readonly width: number;
}

/** One letter, looked at in some way. */
function SeenLetter({ desk, letter, seen, base, width }: SeenLetterProps) {
  const { kind, mode } = seen;
  const standIn = standIns[kind];
  const blocked = isBlocked(seen);
  const message = useMemo(() => (letter.html === null ? null : messageOf(letter.html)), [letter.html]);
  const shown = useMemo(() => {
    if (!message) return null;
    const html = received(message, kind, { mode }).html;
    const held = withParts(blocked ? picturesBlocked(html) : html, desk, letter.id);
    return localPictures(
      rewriteLinks(held, (href) =>
        followedTo(leadInside(href, desk.person.id, desk.client), desk, letter.id),
      ),
      base,
      standIn.loops,
    );
  }, [message, kind, mode, blocked, desk, letter.id, base, standIn.loops]);

  if (shown === null)
    return (
      <pre className="max-w-full whitespace-pre-wrap p-2 font-sans [overflow-wrap:anywhere]">
        {letter.text}
      </pre>
    );
  const wide = Math.min(width, standIn.family === "phone" ? standIn.width : width);
  return (
    <div className="overflow-x-auto" style={{ background: standIn.canvas[mode] }}>
      <SignatureFrame
        html={shown}
        label="The letter"
        width={wide}
        area={areaOf(standIn, mode, shown)}
        fit={standIn.shrinks}
        followable
      />
    </div>
  );
}

interface Props {
  readonly desk: Desk;
  /** One, or those of a talk in their order. */
  readonly letters: readonly OpenedLetter[];
  readonly base: string;
  /** The room that there is; px. */
  readonly width: number;
}

export function LetterView({ desk, letters, base, width }: Props) {
  const [seen, setSeen] = useState<Seen>({
    kind: deskClients[desk.client].standIn,
    mode: "light",
    pictures: "as-it-does",
    asked: false,
  });
  /** Whether there is a picture that would be fetched. */
  const fetches = letters.some(({ html }) => / src="https?:/i.test(html ?? ""));
  const drawn = { desk, seen, base, width };
  return (
    <div>
      {letters.some(({ html }) => html !== null) && <SeenAs seen={seen} onChange={setSeen} />}
      {isBlocked(seen) && seen.pictures === "as-it-does" && fetches && (
        <p className="mb-2">
          Pictures from elsewhere are not fetched.{" "}
          <button type="button" className="underline" onClick={() => setSeen({ ...seen, asked: true })}>
            Fetch them
          </button>
        </p>
      )}
      {letters.length === 1 && letters[0] ? (
        <SeenLetter letter={letters[0]} {...drawn} />
      ) : (
        <ol className="space-y-4">
          {letters.map((letter, index) => (
            <li key={letter.id}>
              <p className="pb-1 text-sm">
                {index + 1}. <b>{letter.from.name || letter.from.address}</b>,{" "}
                <When time={letter.receivedAt} />
              </p>
              <SeenLetter letter={letter} {...drawn} />
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
