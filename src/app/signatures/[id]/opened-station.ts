import type { OpenedSignature } from "@/server/signatures/open-signature";
import { keptStillness } from "@/server/signatures/stillness";
import type { OpenedStation } from "@/ui/signature/editing/opened-station";

/** What every screen that edits a signature in single steps is opened with. */
export async function openedStation(opened: OpenedSignature): Promise<OpenedStation> {
  const { id, name, personId, document, revision, organisation } = opened;
  const { person, base, pictures, colors, answers, networks, gaps, asides, findings } = opened;
  return {
    signature: { id, name, personId, document, revision },
    person,
    base,
    pictures,
    colors,
    answers,
    organisation: organisation?.name ?? "",
    networks,
    gaps,
    asides,
    findings,
    kept: await keptStillness(opened),
  };
}
