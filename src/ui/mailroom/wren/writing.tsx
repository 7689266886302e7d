"use client";

/** Wren: a letter on a narrow screen. */
import { useRouter } from "next/navigation";
import { deskClients } from "@/core/desks";
import { ChoiceField } from "../../parts/fields/choice-field";
import { pathsOf } from "../parts/letter-paths";
import { PeopleField } from "../parts/people-field";
import { RichBox } from "../parts/rich-box";
import type { WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";

export function WrenWriting({ desk, start, colleagues }: WritingProps) {
  const writing = useWriting(desk, start);
  const router = useRouter();
  const send = async (): Promise<void> => {
    if (await writing.send()) router.push(pathsOf(desk).letters("sent"));
  };
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <h1 className="text-lg font-semibold">
        {start.about ? (start.about.how === "answer" ? "Reply" : "Onward") : "Write"}
      </h1>
      <PeopleField
        label="To"
        addresses={writing.to}
        colleagues={colleagues}
        onChange={(to) => writing.set({ to })}
        look="wren-field"
      />
      {desk.addresses.length > 1 && (
        <ChoiceField
          label="As"
          quiet
          look="wren-field"
          value={writing.from}
          choices={Object.fromEntries(desk.addresses.map((address) => [address, `as ${address}`]))}
          onChange={writing.writeFrom}
        />
      )}
      <input
        aria-label="Subject"
        placeholder="subject"
        className="wren-field"
        maxLength={200}
        value={writing.subject}
        onChange={(event) => writing.set({ subject: event.target.value })}
      />
      <RichBox
        label="Letter"
        box={writing.box}
        initial={start.html}
        pictures={start.pictures}
        standIn={deskClients.wren.standIn}
        onChange={writing.changed}
        className="min-h-56"
      />
      <ChoiceField
        label="Ending"
        quiet
        look="wren-field"
        value={writing.signature ?? ""}
        choices={{ "": "no ending", ...Object.fromEntries(desk.held.map(({ id, name }) => [id, name])) }}
        onChange={(id) => writing.sign(id === "" ? null : id)}
      />
      <button type="submit" className="wren-act" disabled={writing.busy}>
        Send it off
      </button>
      <p role="status" className="text-sm text-(--wr-soft)">
        {writing.kept}
      </p>
      {writing.problem && <p role="alert">{writing.problem} It is still here.</p>}
    </form>
  );
}
