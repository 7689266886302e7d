import { listPeople } from "@/server/people/people";
import type { PersonChoice } from "@/ui/signature/signature-header";

/** Everybody a signature can be drawn for. */
export async function peopleChoices(): Promise<readonly PersonChoice[]> {
  return (await listPeople()).map(({ id, person }) => ({ id, name: person.name }));
}
