"use client";

/** Wren: a letter on a narrow screen. */
import { useRouter } from "next/navigation";
import { pathsOf } from "../parts/letter-paths";
import type { WritingProps } from "../parts/rooms";
import { useWriting } from "../parts/use-writing";
import {
  FromField,
  LetterField,
  SignField,
  SubjectField,
  WhomField,
  WritingSays,
} from "../parts/writing-fields";

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
      <WhomField writing={writing} which="to" label="To" colleagues={colleagues} look="wren-field" />
      {desk.addresses.length > 1 && <FromField desk={desk} writing={writing} label="As" look="wren-field" />}
      <SubjectField writing={writing} label="Subject" placeholder="subject" look="wren-field" />
      <LetterField desk={desk} start={start} writing={writing} label="Letter" className="min-h-56" />
      <SignField desk={desk} writing={writing} label="Ending" none="no ending" look="wren-field" />
      <button type="submit" className="wren-act" disabled={writing.busy}>
        Send it off
      </button>
      <button type="button" className="w-full underline" onClick={() => void writing.drop()}>
        Not after all
      </button>
      <WritingSays writing={writing} still="It is still here." />
    </form>
  );
}
