"use client";

import { Redo2, Undo2 } from "lucide-react";
import { redo, redoDepth, undo, undoDepth } from "prosemirror-history";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { checkSignature } from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import { fontStack, parseSignature, type Settings } from "@/core/signature";
import { IconButton } from "../parts/icon-button";
import { localPictures } from "../parts/local-pictures";
import { request } from "../parts/request";
import { useSettled } from "../parts/use-settled";
import { SignatureHeader, type PersonChoice } from "../signature/signature-header";
import { BenchContext, type BenchValue } from "./bench-context";
import { describeSelection } from "./editor/selection";
import { Inspector } from "./inspector/inspector";
import { paletteOf } from "./palette";
import { PartsPanel } from "./parts-panel";
import { PictureDialog } from "./picture-dialog";
import { ProofStrip } from "./proof-strip";
import { SaveStatus } from "./save-status";
import { Sheet } from "./sheet";
import { StaleDialog } from "./stale-dialog";
import { Toolbar } from "./toolbar";
import { useAutosave } from "./use-autosave";
import { useEditor } from "./use-editor";
import { usePictures, type PlacedCut } from "./use-pictures";
import { useRestoredDraft } from "./use-restored-draft";

interface Props {
  readonly signature: {
    readonly id: string;
    readonly name: string;
    readonly personId: string | null;
    readonly document: unknown;
    readonly revision: number;
  };
  /** The hosted cuts that it uses, for their weight. */
  readonly cuts: readonly PlacedCut[];
  readonly person: Person | null;
  readonly people: readonly PersonChoice[];
  readonly base: string;
  /** Offered before the colours that the signature uses. */
  readonly brandColors: readonly string[];
}

/** Findings are counted when typing pauses; the proofs follow each key. */
const findingsWait = 200;

export function Bench({ signature, person, people, base, cuts, brandColors }: Props) {
  const [initial] = useState(() => parseSignature(signature.document));
  const [choosing, setChoosing] = useState(false);
  const files = useRef<(files: readonly File[]) => void>(() => undefined);
  const onFiles = useCallback((dropped: readonly File[]) => files.current(dropped), []);
  const editor = useEditor(initial, { person, onFiles });
  const { state } = editor;
  const document = state.doc;
  const autosave = useAutosave(signature.id, document, signature.revision);
  const selection = useMemo(() => describeSelection(state), [state]);
  const settings = document.attrs as Settings;

  const html = useMemo(
    () => compile(document, { destination: "webmail-paste", person, base }),
    [document, person, base],
  );
  const pictures = usePictures(editor, cuts);
  const { weight } = pictures;
  const checked = useSettled(document, findingsWait);
  const findings = useMemo(
    () => checkSignature(checked, { person, base, weight }),
    [checked, person, base, weight],
  );

  useEffect(() => {
    files.current = (dropped) => void pictures.placeFiles(dropped);
  }, [pictures]);

  useRestoredDraft(signature, editor, autosave);

  const settle = async (keep: "mine" | "saved"): Promise<void> => {
    if (autosave.state.kind !== "stale") return;
    try {
      const settled = await request<{ document: unknown; revision: number; otherName: string }>(
        "POST",
        `/api/signatures/${signature.id}/refused`,
        { refusedId: autosave.state.refusedId, keep },
      );
      const kept = parseSignature(settled.document);
      if (keep === "saved") editor.replace(kept);
      autosave.goOnFrom(kept, settled.revision);
      toast(`The other version is on the Shelf as “${settled.otherName}”.`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const value: BenchValue = {
    editor,
    settings,
    selection,
    palette: [...new Set([...brandColors, ...paletteOf(document)])],
    resizePicture: pictures.resize,
    choosePicture: () => setChoosing(true),
  };

  return (
    <BenchContext value={value}>
      <div className="flex h-screen min-h-[560px] flex-col">
        <SignatureHeader
          signatureId={signature.id}
          name={signature.name}
          personId={signature.personId}
          people={people}
          current="build"
          findings={findings}
        >
          <SaveStatus state={autosave.state} />
          <IconButton label="Undo" disabled={undoDepth(state) === 0} onClick={() => editor.run(undo)}>
            <Undo2 size={16} aria-hidden />
          </IconButton>
          <IconButton label="Redo" disabled={redoDepth(state) === 0} onClick={() => editor.run(redo)}>
            <Redo2 size={16} aria-hidden />
          </IconButton>
        </SignatureHeader>
        <main className="grid min-h-0 flex-1 grid-cols-[158px_minmax(0,1fr)_248px] grid-rows-[minmax(0,1fr)]">
          <h1 className="sr-only">Build {signature.name}</h1>
          <PartsPanel />
          <div className="flex min-h-0 min-w-0 flex-col">
            <Toolbar />
            <Sheet mount={editor.mount} settings={settings} stack={fontStack(settings.font)} />
          </div>
          <Inspector />
        </main>
        <ProofStrip html={html} base={base} />
      </div>
      <PictureDialog
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={async (original) => {
          await pictures.place(original);
          setChoosing(false);
        }}
      />
      {autosave.state.kind === "stale" && (
        <StaleDialog
          name={signature.name}
          mine={localPictures(html, base)}
          saved={localPictures(
            compile(parseSignature(autosave.state.saved), { destination: "webmail-paste", person, base }),
            base,
          )}
          onKeep={settle}
          onClosed={editor.focus}
        />
      )}
    </BenchContext>
  );
}
