"use client";

import { CodeXml, History, Keyboard, Redo2, Search, Undo2 } from "lucide-react";
import { redo, redoDepth, undo, undoDepth } from "prosemirror-history";
import { memo, type ReactNode } from "react";
import type { Stillness } from "@/contract";
import type { Finding } from "@/core/checks";
import { fontStack } from "@/core/signature";
import { IconButton } from "../parts/icon-button";
import { FormSwitch, type Form } from "../signature/form-switch";
import { useStepKeys } from "../parts/steps/use-step-keys";
import { SignatureHeader } from "../signature/signature-header";
import { BenchContext, type BenchValue } from "./bench-context";
import type { Insertable } from "./editor/actions";
import { Inspector } from "./inspector/inspector";
import { PartsPanel } from "./tools/parts-panel";
import { SaveStatus } from "../signature/editing/save-status";
import { Sheet } from "./sheet/sheet";
import { Toolbar } from "./tools/toolbar";
import { TryLongest } from "./tools/try-longest";
import type { LongestPerson } from "./tools/use-longest-person";
import type { SaveState } from "../signature/editing/use-saving";
import type { Open } from "./tools/use-bench-actions";

interface Props {
  readonly value: BenchValue;
  readonly signature: { readonly id: string; readonly name: string; readonly personId: string | null };
  /** What whom it is drawn for is called; null for nobody. */
  readonly personName: string | null;
  /** Fields of the user's own, to be put in. */
  readonly ownParts: readonly Insertable[];
  readonly findings: readonly Finding[];
  readonly stillness: Stillness | null;
  readonly saveState: SaveState;
  readonly drawFor: (personId: string | null) => void;
  readonly setForm: (form: Form) => void;
  readonly longest: LongestPerson;
  /** For how many it fits; null where that is not known. */
  readonly fitMark: ReactNode;
  readonly setOpen: (open: Open) => void;
  readonly toggleSource: () => void;
  /** The source, where it stands beside the sheet in place of parts and measures; null where it does not. */
  readonly source: ReactNode | null;
}

/** Everything of the Bench around the proofs, which wait for nothing here: this is drawn when they have been. */
export const BenchFrame = memo(function BenchFrame(props: Props) {
  const { value, signature, personName, ownParts, findings, saveState, drawFor, setForm, longest, setOpen } =
    props;
  const { toggleSource, source } = props;
  const { editor, selection, settings, form, choosePicture } = value;
  useStepKeys({
    undo: () => editor.run(undo, { focus: false }),
    redo: () => editor.run(redo, { focus: false }),
  });
  return (
    <BenchContext value={value}>
      <button
        type="button"
        onClick={editor.focus}
        className="sr-only focus-visible:not-sr-only focus-visible:fixed focus-visible:left-2 focus-visible:top-2 focus-visible:z-40 focus-visible:rounded-sm focus-visible:bg-sheet focus-visible:px-3 focus-visible:py-1"
      >
        To the signature
      </button>
      <SignatureHeader
        signatureId={signature.id}
        name={signature.name}
        personId={signature.personId}
        personName={personName}
        current="build"
        findings={findings}
        stillness={props.stillness}
        onDrawnFor={drawFor}
        besidePerson={<TryLongest {...longest} />}
        besideStation={props.fitMark}
      >
        <FormSwitch form={form} onChange={setForm} />
        <span aria-hidden className="h-5 border-l border-hairline" />
        <SaveStatus state={saveState} />
        <IconButton label="Undo" disabled={undoDepth(editor.state) === 0} onClick={() => editor.run(undo)}>
          <Undo2 size={16} aria-hidden />
        </IconButton>
        <IconButton label="Redo" disabled={redoDepth(editor.state) === 0} onClick={() => editor.run(redo)}>
          <Redo2 size={16} aria-hidden />
        </IconButton>
        <IconButton label="Source" pressed={source !== null} onClick={toggleSource}>
          <CodeXml size={16} aria-hidden />
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
      <main
        className={`grid min-h-0 flex-1 grid-rows-[minmax(0,1fr)] ${
          source
            ? "grid-cols-1 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]"
            : "grid-cols-[150px_minmax(0,1fr)_228px] lg:grid-cols-[178px_minmax(0,1fr)_248px]"
        }`}
      >
        <h1 className="sr-only">Build {signature.name}</h1>
        {!source && (
          <PartsPanel
            run={editor.run}
            drag={editor.drag}
            choosePicture={choosePicture}
            ownParts={ownParts}
            nestable={selection.table?.position === 0}
          />
        )}
        <div className={`min-h-0 min-w-0 flex-col ${source ? "hidden lg:flex" : "flex"}`}>
          <Toolbar />
          <Sheet
            mount={editor.mount}
            settings={settings}
            stack={fontStack(settings.font)}
            beside={source !== null}
          />
        </div>
        {source ?? <Inspector />}
      </main>
      <p role="status" className="sr-only">
        {selection.path
          .slice(1)
          .map(({ label }) => label)
          .join(", ")}
      </p>
    </BenchContext>
  );
});
