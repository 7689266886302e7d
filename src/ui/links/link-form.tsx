"use client";

/** Where something leads: a page, a letter, a call, a text message, a place, an event, a contact card or a file. */
import { Unlink, Upload } from "lucide-react";
import { useState, type ComponentProps } from "react";
import { endpoints } from "@/contract";
import { readLink, withoutFollowing } from "@/core/links";
import { ChoiceField } from "../parts/fields/choice-field";
import { labelClass } from "../parts/fields/label";
import { PersonPicker } from "../parts/people/person-picker";
import { TextField } from "../parts/fields/text-field";
import { ask, send } from "../parts/asking/ask";
import { Button } from "../parts/button";
import { FilePicker } from "../parts/files/file-picker";
import { useAttempt } from "../parts/asking/use-attempt";
import { type Kind, type LinkDefaults, type Typed, kindNames, kindOf, read, typedFrom } from "./link-kinds";

interface Props {
  readonly current: string | null;
  readonly defaults: LinkDefaults;
  /** Takes the address, and what was put right in what was typed. */
  readonly onLink: (href: string, changes: readonly string[]) => void;
  readonly onUnlink: () => void;
}

export function LinkForm({ current, defaults, onLink, onUnlink }: Props) {
  const [kind, setKind] = useState<Kind>(() => kindOf(current, defaults.map));
  const [typed, setTyped] = useState<Typed>(() => typedFrom(current, defaults));
  const [wrong, setWrong] = useState<string | null>(null);
  const { busy, problem, attempt } = useAttempt();
  const set = (patch: Partial<Typed>): void => {
    setTyped({ ...typed, ...patch });
    setWrong(null);
  };
  const field = (
    name: keyof Typed,
    label: string,
    more: Omit<ComponentProps<typeof TextField>, "label"> = {},
  ) => (
    <TextField
      label={label}
      value={typed[name]}
      aria-invalid={wrong !== null}
      onChange={(event) => set({ [name]: event.target.value })}
      className="mt-2"
      {...more}
    />
  );
  const served = (hosting: () => Promise<{ href: string }>): void =>
    void attempt(async () => onLink((await hosting()).href, []));

  const submit = (): void => {
    if (kind === "event") {
      const { title, start, end, place, description } = typed;
      return served(() => ask(endpoints.hostCalendar, { body: { title, start, end, place, description } }));
    }
    if (kind === "card") {
      const { personId } = typed;
      return served(() => ask(endpoints.hostCard, { body: { personId } }));
    }
    const reading = read(kind, typed, defaults.callingCode);
    if (!reading.ok) return setWrong(reading.message);
    onLink(reading.href, reading.changes);
  };
  const upload = ([file]: readonly File[]): void => {
    if (file) served(() => send(endpoints.hostFile, { file }));
  };
  const reading = kind === "address" && typed.address.trim() ? readLink(typed.address) : null;
  const said = wrong ?? problem;

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (kind !== "file") submit();
      }}
    >
      <ChoiceField
        label="Leads to"
        value={kind}
        choices={kindNames}
        onChange={(next) => {
          setKind(next);
          setWrong(null);
        }}
      />

      {kind === "address" && (
        <>
          {field("address", "Address", { autoFocus: true, placeholder: "harrowfen.example/visit" })}
          <p className="mt-1 text-xs text-soft">A page, a meeting, a mail address or a phone number.</p>
          {reading?.ok && reading.following.length > 0 && (
            <p className="mt-1 text-xs">
              {reading.following.join(", ")} {reading.following.length === 1 ? "follows" : "follow"} who opens
              it.{" "}
              <button
                type="button"
                className="text-pine underline"
                onClick={() => set({ address: withoutFollowing(reading.href) })}
              >
                Take it out
              </button>
            </p>
          )}
        </>
      )}
      {kind === "letter" && (
        <>
          {field("to", "To", { placeholder: "desk@harrowfen.example" })}
          {field("subject", "Subject", { maxLength: 200 })}
          <label className={`mt-2 ${labelClass()}`}>
            How the letter begins
            <textarea
              value={typed.body}
              rows={3}
              maxLength={1000}
              onChange={(event) => set({ body: event.target.value })}
              className="block w-full border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine"
            />
          </label>
        </>
      )}
      {(kind === "call" || kind === "message") &&
        field("number", "Number", { placeholder: "+44 1632 960100" })}
      {kind === "message" && field("message", "How the message begins", { maxLength: 160 })}
      {kind === "place" && (
        <>
          {field("place", "Address, or latitude and longitude")}
          {field("map", "Your map; {place} is where the place goes", {
            placeholder: "https://fenmap.example/?at={place}",
          })}
        </>
      )}
      {kind === "event" && (
        <>
          {field("title", "Title", { maxLength: 120 })}
          <div className="grid grid-cols-2 gap-3">
            {field("start", "Begins", { placeholder: "2027-06-12T10:00" })}
            {field("end", "Ends", { placeholder: "same day" })}
          </div>
          {field("place", "Place", { maxLength: 300 })}
          {field("description", "What is said of it", { maxLength: 300 })}
        </>
      )}
      {kind === "card" && (
        <PersonPicker
          label="Of"
          className="mt-2"
          value={typed.personId || null}
          name={defaults.personName}
          none="choose a person"
          onChange={(personId) => set({ personId: personId ?? "" })}
        />
      )}
      {kind === "file" && (
        <p className="mt-2 text-xs text-soft">
          It is hosted here at an address of its own: a PDF, a text, a calendar, contact or office file, a zip
          or an MP3 of at most 10 MB.
        </p>
      )}
      {said && (
        <p role="alert" className="mt-1 text-xs text-rowan">
          {said}
        </p>
      )}
      <div className="mt-3 flex gap-2">
        {kind === "file" ? (
          <FilePicker look="primary" disabled={busy} onPick={upload}>
            <Upload size={15} aria-hidden />
            {busy ? "Sending…" : "Choose the file"}
          </FilePicker>
        ) : (
          <Button type="submit" look="primary" disabled={busy}>
            Set link
          </Button>
        )}
        {current && (
          <Button look="quiet" onClick={onUnlink}>
            <Unlink size={15} aria-hidden />
            Take it away
          </Button>
        )}
      </div>
    </form>
  );
}
