"use client";

import { History, Keyboard, Redo2, Search, Undo2 } from "lucide-react";
import { redo, redoDepth, undo, undoDepth } from "prosemirror-history";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import { checkSignature } from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import { fontStack, parseSignature, shortForm, type Settings } from "@/core/signature";
import { IconButton } from "../parts/icon-button";
import { localPictures } from "../parts/local-pictures";
import { request } from "../parts/request";
import { useSettled } from "../parts/use-settled";
import { SignatureHeader, type PersonChoice } from "../signature/signature-header";
import { ActionPalette, type BenchAction } from "./action-palette";
import { BenchContext, type BenchValue } from "./bench-context";
import { replaceDocument } from "./editor/commands";
import { describeSelection } from "./editor/selection";
import { FormSwitch, type Form } from "../signature/form-switch";
import { Inspector } from "./inspector/inspector";
import { KeysDialog } from "./keys-dialog";
import type { LetterType } from "./letter-type";
import { paletteOf, pictureSources } from "./palette";
import { PartsPanel } from "./parts-panel";
import { PatternDialog } from "./pattern-dialog";
import { PictureDialog } from "./picture-dialog";
import { ProofStrip } from "./proof-strip";
import { focusNextArea } from "./next-area";
import { SaveStatus } from "./save-status";
import { Sheet } from "./sheet";
import { StaleDialog } from "./stale-dialog";
import { Toolbar } from "./toolbar";
import { useAutosave } from "./use-autosave";
import { useBenchKeys } from "./use-bench-keys";
import { useEditor, type PictureTarget } from "./use-editor";
import { useLetterType } from "./use-letter-type";
import { useLongestPerson } from "./use-longest-person";
import { usePictures, type PlacedCut } from "./use-pictures";
import { useRestoredDraft } from "./use-restored-draft";
import { VersionsDialog, type KeptVersion } from "./versions-dialog";

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
  readonly letterType: LetterType;
}

/** What stands open over the Bench. */
type Open =
  | { readonly kind: "picture"; readonly target: PictureTarget }
  | { readonly kind: "palette" | "keys" | "versions" | "pattern" };

const sayDropped = (dropped: readonly string[]): void => {
  toast(`Pasted. What a signature cannot hold was left out: ${dropped.join("; ")}.`, { duration: 9000 });
};

/** Findings are counted when typing pauses; the proofs follow each key. */
const findingsWait = 200;

export function Bench({ signature, person: ownPerson, people, base, cuts, brandColors, ...rest }: Props) {
  const [initial] = useState(() => parseSignature(signature.document));
  const [open, setOpen] = useState<Open | null>(null);
  const [form, setForm] = useState<Form>("full");
  const [letterType, setLetterType] = useLetterType(rest.letterType);
  const files = useRef<(files: readonly File[]) => void>(() => undefined);
  const onFiles = useCallback((dropped: readonly File[]) => files.current(dropped), []);
  const choosePicture = useCallback((target: PictureTarget) => setOpen({ kind: "picture", target }), []);
  const close = useCallback(() => setOpen(null), []);
  const presentDocument = useRef<() => Node>(() => initial);
  const longest = useLongestPerson(useCallback(() => presentDocument.current(), []));
  const person = longest.tried ?? ownPerson;
  const editor = useEditor(initial, { person, onFiles, onPicture: choosePicture, onPasted: sayDropped });
  const { state } = editor;
  const document = state.doc;
  const autosave = useAutosave(signature.id, document, signature.revision);
  const selection = useMemo(() => describeSelection(state), [state]);
  const settings = document.attrs as Settings;

  const html = useMemo(
    () =>
      compile(form === "short" ? shortForm(document) : document, {
        destination: "webmail-paste",
        person,
        base,
      }),
    [document, person, base, form],
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
    presentDocument.current = () => editor.current().doc;
  }, [pictures, editor]);

  useRestoredDraft(signature, editor, autosave);

  const benchActions: readonly BenchAction[] = [
    {
      id: "do",
      name: "Put in or do…",
      group: "Go",
      keys: "Mod-Enter",
      run: () => setOpen({ kind: "palette" }),
    },
    { id: "keys", name: "Show the keys", group: "Go", keys: "F1", run: () => setOpen({ kind: "keys" }) },
    {
      id: "go-on",
      name: "Go on to the next area",
      group: "Go",
      keys: "F6",
      run: () => focusNextArea(editor.focus),
    },
    {
      id: "picture",
      name: "Picture",
      group: "Parts",
      keys: "Alt-Shift-p",
      run: () => choosePicture({ kind: "cursor" }),
    },
    {
      id: "versions",
      name: "Versions",
      group: "Signature",
      keys: "Alt-Shift-v",
      run: () => setOpen({ kind: "versions" }),
    },
    { id: "pattern", name: "Save as a pattern", group: "Signature", run: () => setOpen({ kind: "pattern" }) },
    {
      id: "form",
      name: form === "full" ? "Show what replies hold" : "Show the full form",
      group: "Signature",
      keys: "Alt-Shift-f",
      run: () => setForm(form === "full" ? "short" : "full"),
    },
    {
      id: "longest",
      name: longest.tried ? "Show its own person" : "Try the longest details",
      group: "Signature",
      keys: "Alt-Shift-l",
      run: longest.toggle,
    },
  ];
  useBenchKeys(benchActions);

  const goBack = (version: KeptVersion): void =>
    editor.apply(({ tr }) => replaceDocument(tr, parseSignature(version.document)));

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
    palette: useMemo(
      () => ({
        brand: brandColors,
        signature: paletteOf(document),
        pictures: pictureSources(document),
      }),
      [brandColors, document],
    ),
    resizePicture: pictures.resize,
    choosePicture,
    form,
    letterType,
    setLetterType,
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
          besidePerson={
            <button
              type="button"
              aria-pressed={longest.tried !== null}
              onClick={longest.toggle}
              title="Draw it with the longest details of the directory"
              className={`max-w-44 truncate rounded-sm px-1.5 py-0.5 text-sm hover:bg-kelp ${longest.tried ? "bg-kelp font-medium text-pine" : "text-soft"}`}
            >
              {longest.tried ? `tried with ${longest.tried.name}` : "try the longest"}
            </button>
          }
        >
          <FormSwitch form={form} onChange={setForm} />
          <span aria-hidden className="h-5 border-l border-hairline" />
          <SaveStatus state={autosave.state} />
          <IconButton label="Undo" disabled={undoDepth(state) === 0} onClick={() => editor.run(undo)}>
            <Undo2 size={16} aria-hidden />
          </IconButton>
          <IconButton label="Redo" disabled={redoDepth(state) === 0} onClick={() => editor.run(redo)}>
            <Redo2 size={16} aria-hidden />
          </IconButton>
          <IconButton label="Versions" onClick={() => setOpen({ kind: "versions" })}>
            <History size={16} aria-hidden />
          </IconButton>
          <IconButton label="Put in or do" onClick={() => setOpen({ kind: "palette" })}>
            <Search size={16} aria-hidden />
          </IconButton>
          <IconButton label="Keys" onClick={() => setOpen({ kind: "keys" })}>
            <Keyboard size={16} aria-hidden />
          </IconButton>
        </SignatureHeader>
        <main className="grid min-h-0 flex-1 grid-cols-[158px_minmax(0,1fr)_248px] grid-rows-[minmax(0,1fr)]">
          <h1 className="sr-only">Build {signature.name}</h1>
          <PartsPanel
            run={editor.run}
            drag={editor.drag}
            choosePicture={choosePicture}
            nestable={selection.table?.position === 0}
          />
          <div className="flex min-h-0 min-w-0 flex-col">
            <Toolbar />
            <Sheet mount={editor.mount} settings={settings} stack={fontStack(settings.font)} />
          </div>
          <Inspector />
        </main>
        <ProofStrip html={html} base={base} />
      </div>
      <p role="status" className="sr-only">
        {selection.path
          .slice(1)
          .map(({ label }) => label)
          .join(", ")}
      </p>
      <PictureDialog
        open={open?.kind === "picture"}
        onClose={close}
        onChoose={async (original) => {
          if (open?.kind !== "picture") return;
          await pictures.place(original, open.target);
          close();
        }}
      />
      <ActionPalette open={open?.kind === "palette"} onClose={close} benchActions={benchActions} />
      <KeysDialog open={open?.kind === "keys"} onClose={close} benchActions={benchActions} />
      {open?.kind === "versions" && (
        <VersionsDialog
          signatureId={signature.id}
          present={html}
          person={person}
          base={base}
          onClose={close}
          onGoBack={goBack}
        />
      )}
      {open?.kind === "pattern" && (
        <PatternDialog signatureId={signature.id} name={signature.name} onClose={close} />
      )}
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
