import type { ReactNode } from "react";
import { listLetters } from "@/server/mailroom/letters";
import { openedDesk } from "../../opened-desk";
import { Arriving } from "@/ui/mailroom/parts/arriving";
import { DeskBar } from "@/ui/mailroom/parts/desk-bar";
import { DeskShell } from "@/ui/mailroom/desk-rooms";
import "../../mailroom.css";

interface Props {
  readonly params: Promise<{ person: string; client: string }>;
  readonly children: ReactNode;
}

export default async function DeskLayout({ params, children }: Props) {
  const { person, client } = await params;
  const [desk, { letters }] = await Promise.all([
    openedDesk(person, client),
    listLetters(person, { most: 1 }),
  ]);
  return (
    <div className="flex min-h-screen flex-col">
      <DeskBar personId={person} name={desk.person.name} client={desk.client} />
      <DeskShell desk={desk}>{children}</DeskShell>
      <Arriving personId={person} newest={letters[0]?.id ?? ""} />
    </div>
  );
}
