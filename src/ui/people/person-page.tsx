"use client";

import { Copy, TriangleAlert, UserMinus } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { DirectoryPerson, Install, Original, TheirSignature } from "@/contract";
import {
  doubled,
  fieldLabel,
  fieldNames,
  isPictureField,
  longestField,
  readPictureDetail,
  typedValue,
  wordFieldNames,
  wordFields,
  type FieldId,
  type OwnField,
} from "@/core/people";
import { whereItIs } from "../install/installs/install-words";
import { OutOfDate, UpToDate } from "../install/installs/standing";
import { Button, buttonClass } from "../parts/button";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { SettledTextField } from "../parts/fields/settled-text-field";
import { formatCount } from "../parts/format";
import { calledOf } from "../parts/people/called";
import { StepButtons } from "../parts/steps/step-buttons";
import { givenWords } from "./giving/giving-words";
import { useDirectorySteps } from "./directory-steps";
import { wrongWith } from "./grid/person-value";
import { PictureField } from "./portraits/picture-field";
import { usePersonChanges } from "./use-person-changes";

interface ShelfName {
  readonly id: string;
  readonly name: string;
}

interface Props {
  readonly of: DirectoryPerson;
  readonly ownFields: readonly OwnField[];
  readonly departments: readonly string[];
  /** The photographs that are in their fields, by their hashes. */
  readonly originals: Readonly<Record<string, Original>>;
  /** Those that are theirs, written for them. */
  readonly signatures: readonly TheirSignature[];
  /** Those that are drawn for them on the Shelf, and not given to them. */
  readonly drawn: readonly ShelfName[];
  readonly installs: readonly Install[];
}

/** Somebody's details, the signatures that are theirs, and where those are installed. */
export function PersonPage({ of, ownFields, departments, originals, signatures, drawn, installs }: Props) {
  const { person } = of;
  const router = useRouter();
  const [kept, setKept] = useState(0);
  const steps = useDirectorySteps(() => router.refresh());
  const changes = usePersonChanges();
  const called = calledOf(person.name);
  const edit = async (field: FieldId, value: string): Promise<void> => {
    const edited = changes.changeOf(of, field, value);
    // What stays as it was is shown anew.
    if (!edited) return setKept((before) => before + 1);
    await changes.edit(of, edited);
    router.refresh();
  };
  const takeOut = async (): Promise<void> => {
    if (await changes.takeOut(of)) router.push("/people");
  };
  const duplicate = async (): Promise<void> => {
    const made = await changes.duplicate(of);
    if (made) router.push(`/people/${made}`);
  };
  const fields: readonly FieldId[] = [...wordFieldNames, ...wordFields(ownFields)];
  const pictureFields = [...fieldNames, ...ownFields].filter(isPictureField);
  const twice = new Set(doubled(signatures).map(({ id }) => id));
  const late = installs.filter(({ changes }) => changes !== null);
  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-4 pt-3">
        <h1 className="min-w-0 font-serif text-[34px] leading-10 tracking-tight [overflow-wrap:anywhere]">
          <bdi>{called}</bdi>
        </h1>
        <p className="pb-1 text-soft">
          {[person.title, person.department].filter((said) => said.trim() !== "").join(" · ")}
        </p>
        <div className="mb-0.5 ml-auto flex flex-wrap items-center gap-2">
          <StepButtons {...steps} />
          <Button look="quiet" onClick={() => void duplicate()}>
            <Copy size={15} aria-hidden />
            Duplicate
          </Button>
          <Button look="quiet" onClick={() => void takeOut()}>
            <UserMinus size={15} aria-hidden />
            Take out
          </Button>
          <Link href="/people" prefetch={false} className={buttonClass()}>
            All people
          </Link>
        </div>
      </div>
      <div className="grid gap-x-12 gap-y-8 border-t border-pine pt-4 md:grid-cols-[minmax(0,400px)_minmax(0,1fr)]">
        <section aria-labelledby="details">
          <h2 id="details" className="mb-3 font-serif text-xl">
            Details
          </h2>
          <div className="mb-5 space-y-4">
            {pictureFields.map((field) => (
              <PictureField
                key={field}
                {...{ of, field }}
                original={originals[readPictureDetail(typedValue(person, field))?.original ?? ""] ?? null}
              />
            ))}
          </div>
          <div className="space-y-3">
            {fields.map((field) => {
              const value = typedValue(person, field);
              const problem = wrongWith(field, value);
              return (
                <div key={field === "name" ? `name ${kept}` : field}>
                  <SettledTextField
                    label={fieldLabel(field)}
                    value={value}
                    maxLength={longestField}
                    dir="auto"
                    list={field === "department" ? "departments" : undefined}
                    onSettle={(next) => void edit(field, next)}
                  />
                  {problem && (
                    <p className="mt-0.5 flex items-center gap-1 text-xs text-clay">
                      <TriangleAlert size={12} aria-hidden />
                      {problem}
                    </p>
                  )}
                </div>
              );
            })}
          </div>
          <datalist id="departments">
            {departments.map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          <p className="mt-4 text-xs text-soft">Each detail is kept when you leave its field.</p>
        </section>
        <div className="min-w-0 space-y-8">
          <section aria-labelledby="signatures">
            <h2 id="signatures" className="mb-3 font-serif text-xl">
              {signatures.length === 0 ? "No signature yet" : formatCount(signatures.length, "signature")}
            </h2>
            <p className="mb-3 text-soft">
              {signatures.length === 0 && "None is given to them. "}
              <Link href="/people/signatures" prefetch={false} className="text-pine underline">
                Who gets what
              </Link>{" "}
              ·{" "}
              <Link
                href={`/people/pages?look=${encodeURIComponent(person.name)}`}
                prefetch={false}
                className="text-pine underline"
              >
                Their page
              </Link>
              {drawn.length > 0 && (
                <>
                  {" "}
                  · drawn for them on the Shelf:{" "}
                  {drawn.map(({ id, name }, index) => (
                    <span key={id}>
                      {index > 0 && ", "}
                      <Link href={`/signatures/${id}`} prefetch={false} className="text-pine underline">
                        {name}
                      </Link>
                    </span>
                  ))}
                </>
              )}
            </p>
            <ul className="space-y-5">
              {signatures.map(({ id: signature, name, purpose, language, because, full: { html }, base }) => (
                <li key={signature}>
                  <Link
                    href={`/signatures/${signature}`}
                    prefetch={false}
                    className="rounded-sm font-medium hover:text-pine"
                  >
                    {name}
                  </Link>
                  <span className="ml-2 text-sm text-soft">
                    {givenWords({ purpose, language, because })}
                    {twice.has(signature) && (
                      <span className="ml-2 text-clay">another of theirs is for the same</span>
                    )}
                  </span>
                  <div className="mt-1 border border-hairline bg-canvas p-2">
                    <SignatureFrame
                      html={localPictures(html, base)}
                      label={`${name}, as it looks`}
                      width={600}
                      highest={220}
                      fit
                    />
                  </div>
                </li>
              ))}
            </ul>
          </section>
          <section aria-labelledby="installs">
            <h2 id="installs" className="mb-2 font-serif text-xl">
              {installs.length === 0
                ? "Installed nowhere that is recorded"
                : `${formatCount(installs.length, "install")}${late.length > 0 ? `, ${late.length} out of date` : ", all current"}`}
            </h2>
            <ul>
              {installs.map((install) => (
                <li key={install.id} className="border-t border-hairline py-1.5">
                  <Link
                    href={`/installs/${install.id}`}
                    prefetch={false}
                    className="rounded-sm font-medium hover:text-pine"
                  >
                    {whereItIs(install)}
                  </Link>
                  {install.changes === null ? <UpToDate /> : <OutOfDate />}
                  {install.changes?.slice(0, 3).map((change) => (
                    <p key={change} className="text-sm [overflow-wrap:anywhere]">
                      {change}
                    </p>
                  ))}
                </li>
              ))}
            </ul>
          </section>
        </div>
      </div>
    </main>
  );
}
