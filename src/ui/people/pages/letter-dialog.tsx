"use client";

import { Send } from "lucide-react";
import Link from "next/link";
import { useId, useRef, useState } from "react";
import {
  endpoints,
  pageLetter,
  type FoundPeople,
  type LettersWritten,
  type LetterWay,
  type OutgoingServer,
  type PageLetter,
} from "@/contract";
import { isPrivateHost } from "@/core/addresses";
import { letterPlaces, type OwnField } from "@/core/people";
import { follow } from "../../parts/asking/ask";
import { useFollowing } from "../../parts/asking/use-following";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { ChoiceField } from "../../parts/fields/choice-field";
import { labelClass } from "../../parts/fields/label";
import { TextField } from "../../parts/fields/text-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import { FormProblem } from "../../parts/form-problem";
import { formatCount } from "../../parts/format";
import { FailedForList } from "../../parts/people/failed-for";
import { chosenDepartment, departmentChoices, everyDepartment } from "../../parts/people/department-choices";
import { doneOfAll, ProgressLine } from "../../parts/progress-line";

interface Props {
  readonly letter: PageLetter;
  readonly server: OutgoingServer | null;
  readonly ownFields: readonly OwnField[];
  readonly departments: FoundPeople["departments"];
  readonly withSignature: number;
  readonly onClose: () => void;
}

const isPrivate = (base: string): boolean => URL.canParse(base) && isPrivateHost(base);

/** The letter that carries the address of everybody's page: written once, sent to each. */
export function LetterDialog({ letter, server, ownFields, departments, withSignature, onClose }: Props) {
  const id = useId();
  const area = useRef<HTMLTextAreaElement | null>(null);
  const [way, setWay] = useState<LetterWay>("mailroom");
  const [whom, setWhom] = useState(everyDepartment);
  const { told, stopped, problem, start, stop } =
    useFollowing<Extract<LettersWritten, { kind: "written" }>>();
  const initial = { ...letter, base: letter.base || location.origin };
  const form = useContractForm(pageLetter, initial, (typed) =>
    start(withSignature, (signal, onTold) =>
      follow(
        endpoints.writePageLetters,
        { body: { letter: typed, way, department: chosenDepartment(whom) }, signal },
        onTold,
      ),
    ),
  );
  const text = form.field("text");
  const put = (place: string): void => {
    const { current } = area;
    const [from, to] = current ? [current.selectionStart, current.selectionEnd] : [Infinity, Infinity];
    const { text: before } = form.typed;
    form.set("text", `${before.slice(0, from)}${place}${before.slice(to)}`);
    requestAnimationFrame(() => {
      current?.focus();
      current?.setSelectionRange(from + place.length, from + place.length);
    });
  };
  return (
    <DialogFrame
      title="Write to everybody with a signature"
      description="One letter, filled in for each. Nobody is written to twice."
      onClose={onClose}
      className="w-[760px] overflow-y-auto"
    >
      <form noValidate className="mt-4 space-y-3" onSubmit={(event) => void form.submit(event)}>
        <TextField label="Subject" {...form.field("subject")} />
        <div>
          <label htmlFor={id} className={labelClass(false)}>
            Letter
          </label>
          <textarea
            {...text}
            id={id}
            ref={(element) => {
              text.ref(element);
              area.current = element;
            }}
            rows={9}
            aria-invalid={text.problem !== null}
            className="block w-full resize-y border border-hairline bg-sheet p-2 text-sm"
          />
          {text.problem !== null && (
            <span role="alert" className="mt-0.5 block text-xs text-rowan">
              {text.problem}
            </span>
          )}
          <div role="group" aria-label="Put into the letter" className="mt-1 flex flex-wrap gap-x-2">
            {letterPlaces(ownFields).map((place) => (
              <button
                key={place}
                type="button"
                className="rounded-sm font-mono text-xs text-pine hover:underline"
                onClick={() => put(place)}
              >
                {place}
              </button>
            ))}
          </div>
        </div>
        <div className="grid gap-x-8 gap-y-3 sm:grid-cols-2">
          <TextField label="Address that people reach these pages at" mono {...form.field("base")} />
          <ChoiceField<string>
            label="To whom"
            value={whom}
            choices={departmentChoices(departments, "everybody with a signature")}
            onChange={setWhom}
          />
        </div>
        <WordSwitch
          label="How it goes"
          value={way}
          choices={{ mailroom: "rehearse it in the Mailroom", server: "send it for real" }}
          onChange={setWay}
        />
        <p className="text-sm text-soft">
          {way === "mailroom" ? (
            <>
              It comes to everybody’s desk in the{" "}
              <Link href="/mailroom" className="text-pine underline">
                Mailroom
              </Link>{" "}
              and goes no further.
            </>
          ) : server ? (
            `It goes through ${server.host}, from ${server.from}.`
          ) : (
            "No mail server is set up: that is done at the Install station of any signature, kind Phone."
          )}
        </p>
        {way === "server" && isPrivate(form.typed.base) && (
          <p className="text-sm text-clay">
            Nobody else reaches this address: it leads to this machine, or into its own network.
          </p>
        )}
        <FormProblem>{problem}</FormProblem>
        {told?.kind === "progress" ? (
          <ProgressLine
            label="Letters that are written"
            done={told.done}
            all={told.all}
            says={doneOfAll(told.done, told.all)}
            onStop={stop}
          />
        ) : (
          <Button type="submit" look="primary" disabled={way === "server" && !server}>
            <Send size={16} aria-hidden />
            {way === "mailroom" ? "Rehearse it" : "Send it"}
          </Button>
        )}
        {stopped && (
          <p role="status">
            Stopped. Who was written to until then is on the list, and not written to again.
          </p>
        )}
        {told?.kind === "written" && (
          <div>
            <p role="status">
              {formatCount(told.written, "letter")} {way === "mailroom" ? "to the Mailroom" : "sent"}
              {told.before > 0 && `, ${formatCount(told.before, "person", "people")} had it before`}
              {told.failed.length > 0 && `, ${told.failed.length.toLocaleString("en")} could not be written`}.
            </p>
            <FailedForList failed={told.failed} />
          </div>
        )}
      </form>
    </DialogFrame>
  );
}
