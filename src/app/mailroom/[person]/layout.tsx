import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { findPerson } from "@/server/people/people";
import { Rail } from "@/ui/mailroom/rail";
import "../mailroom.css";

interface Props {
  readonly params: Promise<{ person: string }>;
  readonly children: ReactNode;
}

export default async function DeskLayout({ params, children }: Props) {
  const { person: id } = await params;
  const found = await findPerson(id);
  if (!found) notFound();
  return (
    <div className="malthouse flex min-h-screen">
      <Rail personId={id} name={found.person.name} mail={found.person.mail} />
      <main className="min-w-0 flex-1 p-6">
        <div className="mx-auto max-w-[900px] rounded-2xl bg-(--mm-page) p-7">{children}</div>
      </main>
    </div>
  );
}
