"use client";

/** A letter as a client shows it, or as any other kind would: by light or in the dark, with its pictures or without. */
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

interface Props {
  readonly desk: Desk;
  readonly letter: OpenedLetter;
  readonly base: string;
  /** The room that there is; px. */
  readonly width: number;
}

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

export function LetterView({ desk, letter, base, width }: Props) {
  const own = deskClients[desk.client].standIn;
  const [kind, setKind] = useState<StandInId>(own);
  const [dark, setDark] = useState(false);
  const [asked, setAsked] = useState(false);
  const standIn = standIns[kind];
  const mode: Mode = dark ? "dark" : "light";
  const [pictures, setPictures] = useState<"as-it-does" | "shown" | "blocked">("as-it-does");
  const blocked =
    pictures === "blocked" || (pictures === "as-it-does" && standIn.pictures === "asked" && !asked);

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
  /** Whether there is a picture that would be fetched. */
  const fetches = / src="https?:/i.test(letter.html ?? "");
  const wide = Math.min(width, standIn.family === "phone" ? standIn.width : width);
  return (
    <div>
      <div className="seen-as">
        <span className="flex items-center gap-2">
          <span aria-hidden>Seen in</span>
          <ChoiceField
            label="Seen in"
            quiet
            value={kind}
            choices={kinds}
            onChange={(next) => {
              setKind(next);
              setAsked(false);
            }}
            className="w-64"
          />
        </span>
        <CheckField label="in the dark" checked={dark} onChange={setDark} />
        <ChoiceField
          label="Pictures"
          quiet
          value={pictures}
          choices={{
            "as-it-does":
              standIn.pictures === "asked" ? "pictures when asked for" : "pictures as it shows them",
            shown: "pictures shown",
            blocked: "pictures blocked",
          }}
          onChange={setPictures}
          className="w-52"
        />
      </div>
      {blocked && pictures === "as-it-does" && fetches && (
        <p className="mb-2">
          Pictures from elsewhere are not fetched.{" "}
          <button type="button" className="underline" onClick={() => setAsked(true)}>
            Fetch them
          </button>
        </p>
      )}
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
    </div>
  );
}
