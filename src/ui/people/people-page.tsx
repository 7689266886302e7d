"use client";

import { FileUp, FileUser, Plus, Signature, UserRound } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type DirectoryPerson, type FoundPeople, type PeopleLook } from "@/contract";
import {
  changePerson,
  wordFieldNames,
  wordFields,
  type FieldId,
  type OwnField,
  type PhoneForm,
} from "@/core/people";
import { ask } from "../parts/asking/ask";
import { Button, buttonClass } from "../parts/button";
import { formatCount } from "../parts/format";
import { StepButtons } from "../parts/steps/step-buttons";
import { useKept } from "../parts/use-kept";
import { NothingFound } from "../parts/windowed/look-bar";
import { usePieces } from "../parts/windowed/use-pieces";
import { ColumnsPanel } from "./columns-panel";
import { changeDirectory, useDirectorySteps } from "./directory-steps";
import { ExportMenu } from "./export-menu";
import { PeopleLookBar } from "./people-look-bar";
import { useLookingForPeople } from "./use-looking-for-people";
import { PeopleGrid } from "./grid/people-grid";
import { NewPerson, type UsualDetails } from "./new-person";
import { PhonePanel } from "./phone-panel";
import { usePersonChanges } from "./use-person-changes";

interface Props {
  readonly found: FoundPeople;
  readonly look: PeopleLook;
  /** The first of those who were found. */
  readonly people: readonly DirectoryPerson[];
  readonly ownFields: readonly OwnField[];
  readonly phoneForm: PhoneForm;
  /** What most people have alike. */
  readonly usual: UsualDetails;
}

/** The columns that a table has until somebody chooses. */
const usualColumns: readonly FieldId[] = ["name", "title", "department", "phone", "mobile", "mail"];

const keyOf = ({ id }: DirectoryPerson): string => id;
const load = async (ids: readonly string[]): Promise<readonly DirectoryPerson[]> =>
  (await ask(endpoints.peopleRows, { body: { ids: [...ids] } })).people;

function readColumns(kept: string, fields: readonly FieldId[]): readonly FieldId[] {
  const chosen = kept === "" ? usualColumns : (JSON.parse(kept) as readonly FieldId[]);
  return fields.filter((field) => field === "name" || chosen.includes(field));
}

/** The directory: everybody whose details fill signatures. */
export function PeoplePage({ found, look, people, ownFields, phoneForm, usual }: Props) {
  const router = useRouter();
  const [adding, setAdding] = useState(false);
  const [columns, keepColumns] = useKept("columns of people", "");
  const fields: readonly FieldId[] = [...wordFieldNames, ...wordFields(ownFields)];
  const shown = readColumns(columns, fields);
  const steps = useDirectorySteps(() => router.refresh());
  const { find, want, put } = usePieces({ given: people, keyOf, load });
  const looking = useLookingForPeople("/people", look);

  const changes = usePersonChanges();

  /** What is typed is shown at once, and what was there before comes back where it cannot be kept. */
  const edit = async (of: DirectoryPerson, field: FieldId, value: string): Promise<void> => {
    const edited = changes.changeOf(of, field, value);
    const after = edited && changePerson(of.person, edited);
    if (!after) return;
    put({ id: of.id, person: after });
    if (!(await changes.edit(of, edited))) put(of);
  };

  const departmentCount = found.departments.filter(({ name }) => name !== "").length;

  return (
    <main className="mx-auto flex h-[calc(100vh-44px)] max-w-[1240px] flex-col px-5 pb-5">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-4 pt-3">
        <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">People</h1>
        <p className="pb-1.5 text-soft">
          {formatCount(found.all, "person", "people")}
          {departmentCount > 0 && ` · ${formatCount(departmentCount, "department")}`}
        </p>
        <div className="mb-1 ml-auto flex flex-wrap items-center gap-2">
          <StepButtons {...steps} />
          <Link href="/people/signatures" prefetch={false} className={buttonClass("quiet")}>
            <Signature size={16} aria-hidden />
            Who gets what
          </Link>
          <Link href="/people/pages" prefetch={false} className={buttonClass("quiet")}>
            <FileUser size={16} aria-hidden />
            Pages
          </Link>
          <Link href="/people/portraits" prefetch={false} className={buttonClass("quiet")}>
            <UserRound size={16} aria-hidden />
            Portraits
          </Link>
          <Link href="/people/bring-in" prefetch={false} className={buttonClass()}>
            <FileUp size={16} aria-hidden />
            Bring in a list
          </Link>
          <Button look="primary" onClick={() => setAdding(true)}>
            <Plus size={16} aria-hidden />
            Add a person
          </Button>
        </div>
      </div>
      {found.all === 0 ? (
        <div className="border-t border-pine py-16 text-center">
          <p className="font-serif text-2xl">Nobody is in the directory yet</p>
          <p className="mb-4 mt-2 text-soft">
            Bring in the list that you keep in a spreadsheet or an address book, or add people one by one.
          </p>
          <Link href="/people/bring-in" className={buttonClass("primary")}>
            Bring in a list
          </Link>
        </div>
      ) : (
        <>
          <PeopleLookBar {...{ looking, found }}>
            <div className="flex items-center gap-1">
              <ColumnsPanel
                ownFields={ownFields}
                shown={shown}
                onShow={(next) => keepColumns(JSON.stringify(next))}
                onFields={() => router.refresh()}
              />
              <PhonePanel form={phoneForm} onKept={() => router.refresh()} />
              <ExportMenu look={look} found={found.ids.length} all={found.all} />
            </div>
          </PeopleLookBar>
          {found.ids.length === 0 ? (
            <NothingFound says="Nobody is found." onShowAll={looking.showAll} />
          ) : (
            <PeopleGrid
              {...{ ids: found.ids, find, onShown: want, fields, shown }}
              order={looking.order}
              onOrder={looking.put}
              onEdit={(of, field, value) => void edit(of, field, value)}
              onDuplicate={(of) => void changes.duplicate(of)}
              onTakeOut={(of) => void changes.takeOut(of)}
              departments="departments"
            />
          )}
          <datalist id="departments">
            {found.departments.map(({ name }) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          <p className="pt-1.5 text-xs text-soft">
            Click a detail to change it, or move with the arrow keys and type. Enter keeps it and goes on
            below; Esc leaves it as it was.
          </p>
        </>
      )}
      {adding && (
        <NewPerson
          usual={usual}
          ownFields={ownFields}
          departments="departments"
          onClose={() => setAdding(false)}
          onAdd={async (details) => {
            await changeDirectory(
              [{ id: "", from: null, to: details }],
              `${details.name ?? "A person"} added.`,
            );
            setAdding(false);
            toast(`${details.name ?? "The person"} is in the directory.`);
            router.refresh();
          }}
        />
      )}
    </main>
  );
}
