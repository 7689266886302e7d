import { openedDesk } from "../../../opened-desk";
import { listSignatureNames } from "@/server/signatures/signatures";
import { DeskSettings } from "@/ui/mailroom/desk-rooms";

export const metadata = { title: "Settings · Mailroom" };

interface Props {
  readonly params: Promise<{ person: string; client: string }>;
}

export default async function SettingsPage({ params }: Props) {
  const { person, client } = await params;
  const [desk, signatures] = await Promise.all([openedDesk(person, client), listSignatureNames()]);
  return <DeskSettings desk={desk} signatures={signatures} />;
}
