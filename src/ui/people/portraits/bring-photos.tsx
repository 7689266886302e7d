"use client";

import { useRef, useState } from "react";
import { toast } from "sonner";
import { addressOf, endpoints, type DirectoryPerson } from "@/contract";
import { writePictureDetail, type PersonChange } from "@/core/people";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { FormProblem } from "../../parts/form-problem";
import { formatCount, formatSize } from "../../parts/format";
import { PersonPicker } from "../../parts/people/person-picker";
import { doneOfAll, ProgressLine } from "../../parts/progress-line";
import { changeDirectory } from "../directory-steps";
import type { Photograph } from "./photographs";
import { usePhotos, type PhotoMatch } from "./use-photos";

interface Props {
  readonly photos: readonly Photograph[];
  readonly onClose: () => void;
  readonly onKept: () => void;
}

const changeFor = async (
  { original }: PhotoMatch,
  { id, person }: DirectoryPerson,
): Promise<PersonChange> => {
  const { focus } = await ask(endpoints.suggestFocus, { params: { hash: original.hash } });
  const portrait = writePictureDetail({ original: original.hash, focus });
  return { id, from: { portrait: person.portrait }, to: { portrait } };
};

/** Photographs matched to people, looked through and corrected before anything is written. */
export function BringPhotos({ photos, onClose, onKept }: Props) {
  const { done, matches, refused, people, stop, give } = usePhotos(photos);
  const [placed, setPlaced] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const stopped = useRef(false);
  const matched = (matches ?? []).filter(({ personId }) => personId !== null);

  const keep = async (): Promise<void> => {
    setProblem(null);
    stopped.current = false;
    setPlaced(0);
    try {
      const changes: PersonChange[] = [];
      for (const match of matched) {
        const of = people.get(match.personId ?? "");
        if (stopped.current) return setPlaced(null);
        const change = of && (await changeFor(match, of));
        if (change && change.from?.portrait !== change.to?.portrait) changes.push(change);
        setPlaced((before) => (before ?? 0) + 1);
      }
      if (changes.length > 0)
        await changeDirectory(changes, `${formatCount(changes.length, "portrait")} brought in.`);
      toast(
        changes.length > 0
          ? `${formatCount(changes.length, "person has", "people have")} a new portrait.`
          : "Everybody has these portraits already.",
      );
      onKept();
    } catch (error) {
      setProblem((error as Error).message);
      setPlaced(null);
    }
  };

  return (
    <DialogFrame
      title="Photographs"
      description="Each is matched to somebody by their name or mail address. Nothing is written before you keep it."
      onClose={onClose}
      className="flex w-[820px] flex-col"
    >
      {matches === null ? (
        <div className="py-8">
          <ProgressLine
            label="Photographs that have come"
            done={done}
            all={photos.length}
            says={`${doneOfAll(done, photos.length)} files`}
            onStop={stop}
          />
        </div>
      ) : (
        <>
          <p className="mt-3 text-sm" aria-live="polite">
            {matches.length === 0
              ? "No photograph came."
              : `${formatCount(matched.length, "photograph is", "photographs are")} somebody’s, ${(matches.length - matched.length).toLocaleString("en")} nobody’s yet.`}
          </p>
          <ul className="mt-2 max-h-[52vh] overflow-y-auto border-t border-hairline">
            {matches.map(({ original, name, personId }) => (
              <li key={original.hash} className="flex items-center gap-4 border-b border-hairline py-1.5">
                <img
                  src={addressOf(endpoints.pictureThumbnail, { hash: original.hash })}
                  alt=""
                  className="h-12 w-16 shrink-0 object-contain"
                />
                <div className="min-w-0 flex-1 text-sm">
                  <p className="truncate">{name}</p>
                  <p className="text-xs text-soft">
                    {formatSize(original.width, original.height)}
                    {personId !== null && people.get(personId)?.person.portrait
                      ? " · takes the place of another"
                      : ""}
                  </p>
                </div>
                <PersonPicker
                  label={`Whose ${name} is`}
                  quiet
                  className="w-64"
                  value={personId}
                  name={people.get(personId ?? "")?.person.name ?? null}
                  none="nobody’s"
                  offersNobody
                  onChange={(id) => give(original.hash, id)}
                />
              </li>
            ))}
          </ul>
          {refused.length > 0 && (
            <ul role="alert" className="mt-3 max-h-28 space-y-1 overflow-y-auto text-sm text-clay">
              {refused.map(({ name, message }, index) => (
                // Files of one name may be in several folders.
                <li key={`${index} ${name}`}>{message}</li>
              ))}
            </ul>
          )}
          <FormProblem>{problem}</FormProblem>
          <div className="mt-4 flex items-center gap-3">
            {placed === null ? (
              <Button look="primary" disabled={matched.length === 0} onClick={() => void keep()}>
                {matched.length === 0 ? "Keep them" : `Keep ${formatCount(matched.length, "portrait")}`}
              </Button>
            ) : (
              <ProgressLine
                label="Heads that were looked for"
                done={placed}
                all={matched.length}
                says={doneOfAll(placed, matched.length)}
                onStop={() => (stopped.current = true)}
              />
            )}
          </div>
        </>
      )}
    </DialogFrame>
  );
}
