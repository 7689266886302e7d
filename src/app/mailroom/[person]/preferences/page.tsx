import { keptSignature } from "@/server/mailroom/mailroom";
import { Preferences } from "@/ui/mailroom/preferences";

export const metadata = { title: "Preferences · Malthouse Mail" };

interface Props {
  readonly params: Promise<{ person: string }>;
}

export default async function PreferencesPage({ params }: Props) {
  const { person } = await params;
  return (
    <>
      <h1 className="text-2xl font-bold">Preferences</h1>
      <Preferences personId={person} kept={await keptSignature(person)} />
    </>
  );
}
