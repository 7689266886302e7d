"use client";

/** What is done with somebody of the directory as a whole, and with one of their details: the same in the table and on their page. */
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import type { DirectoryPerson } from "@/contract";
import { fieldLabel, filledDetails, typedValue, type FieldId, type PersonChange } from "@/core/people";
import { sayRemoved } from "../parts/asking/use-refreshing";
import { calledOf } from "../parts/people/called";
import { changeDirectory, takeStepBack, type DirectoryChanged } from "./directory-steps";

interface PersonChanges {
  /** The change of one detail; null where it cannot be, which is said. */
  readonly changeOf: (of: DirectoryPerson, field: FieldId, value: string) => PersonChange | null;
  /** Resolves to whether it was kept; the page is made anew where it was not. */
  readonly edit: (of: DirectoryPerson, change: PersonChange) => Promise<boolean>;
  /** Resolves to the copy's id; null where it could not be made. */
  readonly duplicate: (of: DirectoryPerson) => Promise<string | null>;
  readonly takeOut: (of: DirectoryPerson) => Promise<boolean>;
}

export function usePersonChanges(): PersonChanges {
  const router = useRouter();
  const change = async (change: PersonChange, says: string): Promise<DirectoryChanged | null> => {
    try {
      return await changeDirectory([change], says);
    } catch (error) {
      toast.error((error as Error).message);
      router.refresh();
      return null;
    }
  };
  return {
    changeOf: ({ id, person }, field, value) => {
      if (field !== "name" || value !== "")
        return { id, from: { [field]: typedValue(person, field) }, to: { [field]: value } };
      toast.error("A person needs a name: what was there stays.");
      return null;
    },
    edit: async (of, edited) => {
      const fields = Object.keys(edited.to ?? {}) as FieldId[];
      return (
        (await change(edited, `${fields.map(fieldLabel).join(", ")} of ${calledOf(of.person.name)}.`)) !==
        null
      );
    },
    duplicate: async (of) => {
      const to = { ...filledDetails(of.person), name: `${of.person.name} (copy)`.trim(), mail: "" };
      const made = await change({ id: "", from: null, to }, `${calledOf(of.person.name)} duplicated.`);
      if (made) router.refresh();
      return made?.ids[0] ?? null;
    },
    takeOut: async (of) => {
      const gone = await change({ id: of.id, from: {}, to: null }, `${calledOf(of.person.name)} taken out.`);
      if (!gone) return false;
      router.refresh();
      sayRemoved(`${calledOf(of.person.name)} is out of the directory.`, () =>
        takeStepBack(gone, () => router.refresh()),
      );
      return true;
    },
  };
}
