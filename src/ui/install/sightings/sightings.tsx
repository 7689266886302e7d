"use client";

import { ImagePlus, ScanSearch, Trash2 } from "lucide-react";
import { useEffect } from "react";
import type { ComparedInstall } from "@/contract";
import { Button } from "../../parts/button";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import { IconButton } from "../../parts/icon-button";
import { formatDay } from "../installs/install-words";
import { SightingView } from "./sighting-view";
import { useLooking, type LookingActions } from "./use-looking";

/** What was received of an install, beside what was built: screenshots, each with what drifted in it. */
export function Sightings({ install }: { readonly install: ComparedInstall }) {
  const actions = useLooking(install);
  const { look } = actions;
  const { over, handlers } = useFileDrop(([file]) => file && look(file));
  // A screenshot is mostly on the clipboard.
  useEffect(() => {
    const paste = ({ clipboardData }: ClipboardEvent): void => {
      const file = [...(clipboardData?.files ?? [])].find(({ type }) => type.startsWith("image/"));
      if (file) look(file);
    };
    document.addEventListener("paste", paste);
    return () => document.removeEventListener("paste", paste);
  });

  return (
    <section id="arrived" aria-labelledby="arrived-title" className="mt-8 border-t border-pine pt-3">
      <h2 id="arrived-title" className="font-serif text-2xl">
        As it arrived
      </h2>
      <p className="max-w-[720px] pb-3 text-soft">
        Open a letter that it was sent in, and take a screenshot. The signature is found in it and measured
        beside what was built, in the words of a proof. Only what is around the signature is kept.
      </p>
      <div
        {...handlers}
        className={`border border-dashed p-3 ${over ? "border-pine bg-kelp" : "border-soft"}`}
      >
        <div className="flex flex-wrap items-center gap-3">
          <FilePicker
            accept="image/*"
            disabled={actions.looking.kind === "looking" || actions.looking.kind === "keeping"}
            onPick={([file]) => file && look(file)}
          >
            <ImagePlus size={16} aria-hidden />
            Choose a screenshot
          </FilePicker>
          <span className="text-sm text-soft">or drop it here, or paste it.</span>
        </div>
        <LookingSaid actions={actions} />
      </div>
      {install.sightings.map((sighting) => (
        <article key={sighting.id} aria-label={`Screenshot ${sighting.name}`} className="mt-5">
          <div className="flex items-center gap-2 border-b border-hairline pb-1">
            <h3 className="min-w-0 grow truncate text-sm font-medium">
              {sighting.name}
              <span className="font-normal text-soft"> · {formatDay(sighting.createdAt)}</span>
              {!sighting.current && <span className="font-normal text-soft"> · of an earlier version</span>}
            </h3>
            {!sighting.told && sighting.current && (
              <Button onClick={() => actions.lookAgain(sighting)}>
                <ScanSearch size={15} aria-hidden />
                Compare it
              </Button>
            )}
            <IconButton label={`Remove ${sighting.name}`} onClick={() => actions.remove(sighting)}>
              <Trash2 size={15} aria-hidden />
            </IconButton>
          </div>
          <SightingView
            sighting={sighting}
            design={sighting.current ? install.before : null}
            base={install.base}
          />
        </article>
      ))}
    </section>
  );
}

function LookingSaid({ actions: { looking, stop, keepAnyway } }: { readonly actions: LookingActions }) {
  switch (looking.kind) {
    case "idle":
      return <p role="status" className="sr-only" />;
    case "looking":
      return (
        <div role="status" className="mt-3 flex items-center gap-3 text-sm">
          <span className="min-w-0 truncate">Looking for the signature in “{looking.name}”…</span>
          <progress
            aria-label="How much has been looked through"
            value={looking.done}
            className="h-1.5 w-40 accent-pine"
          />
          <Button onClick={stop}>Stop</Button>
        </div>
      );
    case "keeping":
      return (
        <p role="status" className="mt-3 text-sm">
          Keeping “{looking.name}”…
        </p>
      );
    case "not-there":
      return (
        <div role="alert" className="mt-3 text-sm">
          <p className="text-rowan">
            The signature as it is installed is not found in “{looking.file.name}”.
          </p>
          <p className="pb-2 text-soft">
            Take in all of it, at the size at which it is read, and wait until its pictures have come. A
            version that was installed later has a record of its own.
          </p>
          <Button onClick={() => keepAnyway(looking.file)}>Keep the screenshot all the same</Button>
        </div>
      );
    case "failed":
      return (
        <p role="alert" className="mt-3 text-sm text-rowan">
          {looking.message}
        </p>
      );
  }
}
