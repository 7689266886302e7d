"use client";

import { Redo2, Undo2 } from "lucide-react";
import { redo, redoDepth, undo, undoDepth } from "prosemirror-history";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { checkSignature } from "@/core/checks";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import {
  fontStack,
  innerWidth,
  parseSignature,
  readSignature,
  schema,
  setAttributes,
  type PictureAttributes,
  type Settings,
} from "@/core/signature";
import { IconButton } from "../parts/icon-button";
import { localPictures } from "../parts/local-pictures";
import { request } from "../parts/request";
import { uploadPicture, type UploadedOriginal } from "../parts/upload-picture";
import { SignatureHeader, type PersonChoice } from "../signature/signature-header";
import { BenchContext, type BenchValue } from "./bench-context";
import { describeSelection } from "./editor/selection";
import { insertBlock } from "./editor/commands";
import { dropDraft, readDraft } from "./draft";
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

interface Props {
  readonly signature: {
    readonly id: string;
    readonly name: string;
    readonly personId: string | null;
    readonly document: unknown;
    readonly revision: number;
    readonly weight: number;
  };
  readonly person: Person | null;
  readonly people: readonly PersonChoice[];
  readonly base: string;
}

interface PlacedCut {
  readonly source: string;
  readonly width: number;
  readonly height: number;
}

const altFromName = (name: string): string => name.replace(/\.[a-z0-9]+$/i, "").replace(/[-_]+/g, " ");

export function Bench({ signature, person, people, base }: Props) {
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
  const findings = useMemo(
    () => checkSignature(document, { person, base, weight: signature.weight }),
    [document, person, base, signature.weight],
  );

  const { apply } = editor;
  const place = useCallback(
    async (original: UploadedOriginal): Promise<void> => {
      const cell = selection.cells[0];
      const room = cell ? innerWidth(cell.map, cell.place) : 200;
      const { cut } = await request<{ cut: PlacedCut }>("POST", "/api/cuts", {
        original: original.hash,
        widest: room,
      });
      apply((now) =>
        insertBlock(now, schema.nodes.picture!.create({ ...pick(cut), alt: altFromName(original.name) })),
      );
      setChoosing(false);
    },
    [apply, selection],
  );

  useEffect(() => {
    files.current = (dropped) => {
      void (async () => {
        for (const file of dropped)
          try {
            await place(await uploadPicture(file));
          } catch (error) {
            toast.error((error as Error).message);
          }
      })();
    };
  }, [place]);

  const resizePicture = useCallback<BenchValue["resizePicture"]>(
    async (position, asked) => {
      const before = document.nodeAt(position)?.attrs as PictureAttributes | undefined;
      if (!before) return;
      const { cut } = await request<{ cut: PlacedCut }>("POST", "/api/cuts", {
        source: before.source,
        ...asked,
      });
      apply(
        (now) => {
          // What was typed meanwhile may have moved the picture.
          let at: number | null = now.doc.nodeAt(position)?.attrs.source === before.source ? position : null;
          now.doc.descendants((node, where) => {
            if (at === null && node.attrs.source === before.source) at = where;
          });
          return at === null ? null : (setAttributes(now.tr, at, { ...pick(cut) }) as typeof now.tr);
        },
        { focus: false },
      );
    },
    [apply, document],
  );

  useRestoredDraft(signature, editor);

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
    palette: paletteOf(document),
    resizePicture,
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
      <PictureDialog open={choosing} onClose={() => setChoosing(false)} onChoose={place} />
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

const pick = ({ source, width, height }: PlacedCut): PlacedCut => ({ source, width, height });

/** Brings back what was typed and not saved before this page was left. */
function useRestoredDraft(
  { id, revision, document }: Props["signature"],
  editor: ReturnType<typeof useEditor>,
): void {
  const { apply } = editor;
  useEffect(() => {
    const draft = readDraft(id);
    const read = draft && readSignature(draft.document);
    if (!draft || !read?.ok) return;
    const own = draft.revision === revision - 1 && JSON.stringify(draft.sent) === JSON.stringify(document);
    if (draft.revision !== revision && !own) return dropDraft(id);
    apply(
      ({ doc, tr }) =>
        doc.eq(read.document) ? null : tr.replaceWith(0, doc.content.size, read.document.content),
      { focus: false },
    );
    // The signature as it was opened decides; later saves keep the draft themselves.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, apply]);
}
