"use client";

/** Cutting a picture that is each person's own: the part of it that is cut out becomes theirs, while all else of the cut is everybody's. */
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import type { Cut } from "@/contract";
import { fieldLabel, typedValue, type Person } from "@/core/people";
import { picture } from "@/core/signature";
import { takeStepBack } from "../../people/directory-steps";
import { keepPartOfCut } from "../../people/portraits/keep-detail";
import type { EditedSignature } from "../../signature/editing/use-signature";

/** `id` is whom the signature is drawn for; null while another is tried. */
export function useKeepPart(
  { current }: Pick<EditedSignature, "current">,
  id: string | null,
  person: Person | null,
): (position: number, cut: Cut) => Promise<void> {
  const router = useRouter();
  return async (position, cut) => {
    const place = current().doc.nodeAt(position);
    const field = place && picture.is(place) ? picture.of(place).field : null;
    if (!field || !person || id === null) return;
    try {
      const value = typedValue(person, field);
      const kept = await keepPartOfCut(cut, { id, name: person.name, field, value });
      if (!kept) return;
      router.refresh();
      toast(`${fieldLabel(field)} of ${person.name} shows another part in every signature.`, {
        action: { label: "Take it back", onClick: () => takeStepBack(kept, () => router.refresh()) },
      });
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
}
