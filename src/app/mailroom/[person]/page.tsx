import { redirect } from "next/navigation";
import { deskPath } from "@/contract";
import { usualClient } from "@/server/mailroom/desk";

interface Props {
  readonly params: Promise<{ person: string }>;
}

/** A desk opens at the client that was used there last. */
export default async function DeskPage({ params }: Props) {
  const { person } = await params;
  redirect(deskPath(person, await usualClient(person)));
}
