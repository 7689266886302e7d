import type { ReactNode } from "react";
import { listLetters } from "@/server/mailroom/letters";
import { rehearsalAt } from "@/server/mailroom/rehearsals";
import { openedDesk, orNotFound } from "../../opened-desk";
import { Arriving } from "@/ui/mailroom/parts/arriving";
import { RehearsalStrip } from "@/ui/mailroom/parts/rehearsal-strip";
import { DeskBar } from "@/ui/mailroom/parts/desk-bar";
import { DeskShell } from "@/ui/mailroom/desk-rooms";
import "../../mailroom.css";

interface Props {
  readonly params: Promise<{ person: string; client: string }>;
  readonly children: ReactNode;
}

export default async function DeskLayout({ params, children }: Props) {
  const { person, client } = await params;
  const [desk, { letters }, rehearsal] = await Promise.all([
    openedDesk(person, client),
    orNotFound(listLetters(person, { most: 1 })),
    orNotFound(rehearsalAt(person, client)),
  ]);
  return (
    <div className="flex min-h-screen flex-col">
      <DeskBar personId={person} name={desk.person.name} client={desk.client} />
      <RehearsalStrip
        key={desk.client}
        personId={person}
        personName={desk.person.name}
        client={desk.client}
        first={rehearsal}
      />
      <DeskShell desk={desk}>{children}</DeskShell>
      <Arriving personId={person} newest={letters[0]?.id ?? ""} />
    </div>
  );
}
