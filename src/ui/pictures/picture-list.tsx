import type { CatalogueEntry } from "@/contract";
import { EntryHeads, PictureEntry } from "./picture-entry";

interface Props {
  readonly entries: readonly CatalogueEntry[];
  readonly base: string;
  /** The signature that they are listed for: what is changed is put into it. */
  readonly signatureId: string;
}

/** The originals of a signature, each with the cuts made from it and their addresses. */
export function PictureList({ entries, base, signatureId }: Props) {
  return (
    <>
      {entries.some(({ cuts }) => cuts.length > 0) && <EntryHeads />}
      <ul>
        {entries.map((entry) => (
          <li key={entry.original.hash}>
            <PictureEntry entry={entry} base={base} signatureId={signatureId} />
          </li>
        ))}
      </ul>
    </>
  );
}
