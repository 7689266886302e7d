"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import type { Finding, LinkAnswers, PictureFactsBySource } from "@/core/checks";
import { compile } from "@/core/compile";
import { callingCodeOf, type NetworkKind } from "@/core/links";
import type { Person } from "@/core/people";
import { parseSignature, shortForm, type Settings } from "@/core/signature";
import type { LinkDefaults } from "../links/link-form";
import { localPictures } from "../parts/local-pictures";
import { request } from "../parts/request";
import { staged } from "../parts/stage";
import { paletteFor } from "../signature/palette";
import type { PersonChoice } from "../signature/signature-header";
import { ActionPalette } from "./action-palette";
import type { BenchValue } from "./bench-context";
import { BenchFrame } from "./bench-frame";
import { CutDialog } from "./cut-dialog";
import { replaceDocument } from "./editor/commands";
import { describeSelection } from "./editor/selection";
import type { Form } from "../signature/form-switch";
import { IconDialog } from "./icon-dialog";
import { KeysDialog } from "./keys-dialog";
import type { LetterType } from "./letter-type";
import { PatternDialog } from "./pattern-dialog";
import { PictureDialog } from "./picture-dialog";
import { ProofStrip } from "./proof-strip";
import { StaleDialog } from "./stale-dialog";
import { useAutosave } from "./use-autosave";
import { useBenchActions, type Open } from "./use-bench-actions";
import { useEditor, type PictureTarget } from "./use-editor";
import { useFindings } from "./use-findings";
import { useLetterType } from "./use-letter-type";
import { useLongestPerson } from "./use-longest-person";
import { usePictures } from "./use-pictures";
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
  /** What is known of the files of its pictures. */
  readonly pictures: PictureFactsBySource;
  readonly person: Person | null;
  readonly people: readonly PersonChoice[];
  readonly base: string;
  /** Offered before the colours that the signature uses. */
  readonly brandColors: readonly string[];
  readonly letterType: LetterType;
  /** What answered at its web links when they were walked. */
  readonly answers: LinkAnswers;
  readonly organisation: string;
  /** The pattern of the user's map, and where the organisation is. */
  readonly place: Pick<LinkDefaults, "map" | "address">;
  readonly networks: readonly NetworkKind[];
  /** Those that it is opened with. */
  readonly findings: readonly Finding[];
}

const sayDropped = (dropped: readonly string[]): void => {
  toast(`Pasted. What a signature cannot hold was left out: ${dropped.join("; ")}.`, { duration: 9000 });
};

export function Bench({ signature, person: ownPerson, people, base, brandColors, ...rest }: Props) {
  const { answers, organisation, place } = rest;
  const [networks, setNetworks] = useState(rest.networks);
  const [initial] = useState(() => parseSignature(signature.document));
  const [open, setOpen] = useState<Open | null>(null);
  const [form, setForm] = useState<Form>("full");
  const [letterType, setLetterType] = useLetterType(rest.letterType);
  const files = useRef<(files: readonly File[]) => void>(() => undefined);
  const onFiles = useCallback((dropped: readonly File[]) => files.current(dropped), []);
  const choosePicture = useCallback((target: PictureTarget) => setOpen({ kind: "picture", target }), []);
  const cutPicture = useCallback(
    (source: string, position: number) => setOpen({ kind: "cut", source, position }),
    [],
  );
  const chooseIcons = useCallback((position: number) => setOpen({ kind: "icons", position }), []);
  const close = useCallback(() => setOpen(null), []);
  const presentDocument = useRef<() => Node>(() => initial);
  const longest = useLongestPerson(useCallback(() => presentDocument.current(), []));
  const person = longest.tried ?? ownPerson;
  const { state, shown, tools } = useEditor(initial, {
    person,
    onFiles,
    onPicture: choosePicture,
    onPasted: sayDropped,
  });
  const document = state.doc;
  const autosave = useAutosave(signature.id, document, signature.revision);

  const html = useMemo(
    () =>
      staged("compile", () =>
        compile(form === "short" ? shortForm(document) : document, {
          destination: "webmail-paste",
          person,
          base,
        }),
      ),
    [document, person, base, form],
  );
  const altContext = useMemo(() => ({ person, organisation, networks }), [person, organisation, networks]);
  const pictures = usePictures(tools, rest.pictures, altContext);
  const { resize, resizeRow, restyleRow, facts } = pictures;
  const findings = useFindings(
    document,
    { person, base, pictures: facts, answers, organisation, networks },
    rest.findings,
  );

  useEffect(() => {
    files.current = (dropped) => void pictures.placeFiles(dropped);
    presentDocument.current = () => tools.current().doc;
  }, [pictures, tools]);

  useRestoredDraft(signature, tools, autosave);

  const benchActions = useBenchActions({
    setOpen,
    focusSheet: tools.focus,
    form,
    setForm,
    trying: longest.tried !== null,
    tryLongest: longest.toggle,
  });

  const goBack = (version: KeptVersion): void =>
    tools.apply(({ tr }) => replaceDocument(tr, parseSignature(version.document)));

  const settle = async (keep: "mine" | "saved"): Promise<void> => {
    if (autosave.state.kind !== "stale") return;
    try {
      const settled = await request<{ document: unknown; revision: number; otherName: string }>(
        "POST",
        `/api/signatures/${signature.id}/refused`,
        { refusedId: autosave.state.refusedId, keep },
      );
      const kept = parseSignature(settled.document);
      if (keep === "saved") tools.replace(kept);
      autosave.goOnFrom(kept, settled.revision);
      toast(`The other version is on the Shelf as “${settled.otherName}”.`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const linking = useMemo<LinkDefaults>(
    () => ({
      personId: signature.personId,
      people,
      callingCode: callingCodeOf(person?.phone ?? ""),
      ...place,
    }),
    [signature.personId, people, person, place],
  );

  const value = useMemo<BenchValue>(
    () => ({
      editor: { state: shown, ...tools },
      settings: shown.doc.attrs as Settings,
      selection: describeSelection(shown),
      palette: paletteFor(shown.doc, brandColors),
      resizePicture: resize,
      resizeIcons: resizeRow,
      restyleIcons: restyleRow,
      chooseIcons,
      choosePicture,
      cutPicture,
      linking,
      altContext,
      form,
      letterType,
      setLetterType,
    }),
    [
      shown,
      tools,
      brandColors,
      resize,
      resizeRow,
      restyleRow,
      chooseIcons,
      choosePicture,
      cutPicture,
      linking,
      altContext,
      form,
      letterType,
      setLetterType,
    ],
  );

  return (
    <>
      <div className="flex h-screen min-h-[560px] flex-col">
        <BenchFrame
          value={value}
          signature={signature}
          people={people}
          findings={findings}
          saveState={autosave.state}
          setForm={setForm}
          tried={longest.tried?.name ?? null}
          tryLongest={longest.toggle}
          setOpen={setOpen}
        />
        <ProofStrip html={html} base={base} />
      </div>
      {open?.kind === "picture" && (
        <PictureDialog
          onClose={close}
          onChoose={async (choice) => {
            await pictures.place(choice, open.target);
            close();
          }}
        />
      )}
      {open?.kind === "icons" && (
        <IconDialog
          row={state.doc.nodeAt(open.position)}
          linkColor={(state.doc.attrs as Settings).linkColor}
          person={person}
          organisation={organisation}
          networks={networks}
          onNetworks={setNetworks}
          onClose={close}
          onChoose={async (icons, look) => {
            await pictures.addIcons(open.position, icons, look);
            close();
          }}
        />
      )}
      {open?.kind === "cut" && (
        <CutDialog
          source={open.source}
          brandColors={brandColors}
          document={state.doc}
          onClose={close}
          onKeep={(cut) => {
            pictures.swap(open.source, open.position, cut);
            close();
          }}
        />
      )}
      {open?.kind === "palette" && (
        <ActionPalette state={state} run={tools.run} onClose={close} benchActions={benchActions} />
      )}
      {open?.kind === "keys" && <KeysDialog onClose={close} benchActions={benchActions} />}
      {open?.kind === "versions" && (
        <VersionsDialog
          signatureId={signature.id}
          present={html}
          person={person}
          base={base}
          saved={autosave.state.kind === "saved"}
          onClose={close}
          onGoBack={goBack}
        />
      )}
      {open?.kind === "pattern" && (
        <PatternDialog
          signatureId={signature.id}
          name={signature.name}
          saved={autosave.state.kind === "saved"}
          onClose={close}
        />
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
          onClosed={tools.focus}
        />
      )}
    </>
  );
}
