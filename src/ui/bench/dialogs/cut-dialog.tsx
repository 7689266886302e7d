"use client";

import { Dialog } from "radix-ui";
import { X } from "lucide-react";
import type { Node } from "prosemirror-model";
import { useEffect, useMemo, useState } from "react";
import { endpoints, type Cut, type Original } from "@/contract";
import type { Recipe } from "@/core/pictures";
import { ask } from "../../parts/asking/ask";
import { CutRoom } from "../../pictures/cut/cut-room";
import { picturesToMatch } from "../../pictures/cut/pictures-to-match";
import { useFocusBack } from "../../parts/focus-home";

interface Props {
  readonly source: string;
  readonly brandColors: readonly string[];
  readonly document: Node;
  readonly onClose: () => void;
  readonly onKeep: (cut: Cut) => void;
}

interface Opened {
  readonly recipe: Recipe;
  readonly original: Original;
  readonly background: string | null;
}

/** Cutting a picture of the signature without leaving the Bench. */
export function CutDialog({ source, brandColors, document, onClose, onKeep }: Props) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const focusBack = useFocusBack();
  const [problem, setProblem] = useState<string | null>(null);
  const matches = useMemo(() => picturesToMatch(document, source), [document, source]);

  useEffect(() => {
    const open = async (): Promise<Opened> => {
      const { cut } = await ask(endpoints.findCut, { query: { source } });
      const hash = cut.originalHash;
      if (hash === null || !cut.recipe) throw new Error("This picture has no original to be cut from.");
      const found = await ask(endpoints.findPicture, { params: { hash } });
      return { recipe: cut.recipe, ...found };
    };
    open().then(setOpened, (error: Error) => setProblem(error.message));
  }, [source]);

  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={focusBack}
          className="fixed inset-3 z-30 rounded-sm border border-hairline bg-paper p-4 pr-12"
        >
          {opened ? (
            <CutRoom
              original={opened.original}
              start={opened.recipe}
              background={opened.background}
              brandColors={brandColors}
              matches={matches}
              keepLabel="Put it in place"
              onKeep={onKeep}
              heading={
                <Dialog.Title className="truncate font-serif text-2xl">
                  Cut {opened.original.name}
                </Dialog.Title>
              }
            />
          ) : (
            <>
              <Dialog.Title className="font-serif text-2xl">Cut the picture</Dialog.Title>
              <p role={problem ? "alert" : "status"} className={problem ? "text-rowan" : "text-soft"}>
                {problem ?? "Opening…"}
              </p>
            </>
          )}
          <Dialog.Close aria-label="Close" className="absolute right-3 top-4 rounded-sm p-1 hover:bg-kelp">
            <X size={18} aria-hidden />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
