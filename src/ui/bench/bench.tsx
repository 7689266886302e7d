"use client";

import { useCallback, useMemo, useState } from "react";
import { closeHistory } from "prosemirror-history";
import type { Transform } from "prosemirror-transform";
import { flushSync } from "react-dom";
import type { OpenSignature, Stillness, Version } from "@/contract";
import type { Asides, DirectoryGaps, Finding, LinkAnswers, PictureFactsBySource } from "@/core/checks";
import type { Proof } from "@/core/clients";
import { compile } from "@/core/compile";
import type { KnownColors } from "@/core/layout";
import { callingCodeOf, type NetworkKind } from "@/core/links";
import { fieldNames, wordFields, type OwnField, type Person } from "@/core/people";
import { outerTable, parseSignature, settingsOf, shortForm, tableMap } from "@/core/signature";
import type { LinkDefaults } from "../links/link-kinds";
import { FocusHome } from "../parts/focus-home";
import { reportDialog } from "../importing/lazy-report";
import { useAhead } from "../parts/lazily";
import { useKept } from "../parts/use-kept";
import { staged } from "../parts/drawing/stage";
import { paletteFor } from "../signature/palette";
import type { BenchValue, CheckedOnBench } from "./bench-context";
import { fieldPart } from "./editor/actions";
import { ActionPalette } from "./dialogs/action-palette";
import {
  ConflictDialog,
  CutDialog,
  dialogs,
  IconDialog,
  KeysDialog,
  PictureDialog,
  SourcePane,
  VersionsDialog,
} from "./dialogs/dialogs";
import { PatternDialog } from "./dialogs/pattern-dialog";
import { BenchFrame } from "./bench-frame";
import { createState } from "./editor/state";
import { describeSelection } from "./editor/selection";
import { replaceDocument } from "../signature/editing/replace-document";
import { useSignature } from "../signature/editing/use-signature";
import { useChecked } from "../signature/use-checked";
import type { Form } from "../signature/form-switch";
import type { LetterType } from "./sheet/letter-type";
import { ProofStrip } from "./proofs/proof-strip";
import { useMeter } from "./proofs/use-meter";
import { useBenchActions, type Open } from "./tools/use-bench-actions";
import { useEditor } from "./editor/use-editor";
import { usePaste } from "./editor/use-paste";
import { useLetterType } from "./sheet/use-letter-type";
import { useSpelling } from "./sheet/use-spelling";
import { useDirectory } from "../signature/use-directory";
import { useGoingTo } from "./tools/use-going-to";
import { useLongestPerson } from "./tools/use-longest-person";
import { usePerson } from "./tools/use-person";
import { heightGiven, type PictureTarget } from "./pictures/place-picture";
import { useIconRows } from "./pictures/use-icon-rows";
import { useOwnPictures } from "../signature/use-own-pictures";
import { usePictureFacts } from "../signature/use-picture-facts";
import { useKeepPart } from "./pictures/use-keep-part";
import { useFitMark } from "./fit/use-fit-mark";
import { usePictures } from "./pictures/use-pictures";

interface Props {
  readonly signature: OpenSignature;
  /** What is known of the files of its pictures. */
  readonly pictures: PictureFactsBySource;
  readonly person: Person | null;
  /** The directory's fields of the user's own. */
  readonly ownFields: readonly OwnField[];
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
  /** In how many proofs it was still when it was last measured, if it was measured as it is opened. */
  readonly kept: Stillness | null;
  /** The colours of its pictures, by the paths that they are drawn from. */
  readonly colors: KnownColors;
  /** How many people of the directory lack each field. */
  readonly gaps: DirectoryGaps;
  /** Findings that are left as they are. */
  readonly asides: Asides;
  readonly proofs: readonly Proof[];
}

export function Bench({ signature, person: ownPerson, base, brandColors, ...rest }: Props) {
  const { answers, organisation, place, ownFields } = rest;
  const ownParts = useMemo(() => wordFields(ownFields).map(fieldPart), [ownFields]);
  const fields = useMemo(() => [...fieldNames, ...ownFields], [ownFields]);
  const [networks, setNetworks] = useState(rest.networks);
  const [open, setOpen] = useState<Open | null>(null);
  const [form, setForm] = useState<Form>("full");
  const [letterType, setLetterType] = useLetterType(rest.letterType);
  const choosePicture = useCallback((target: PictureTarget) => setOpen({ kind: "picture", target }), []);
  const cutPicture = useCallback(
    (source: string, position: number) => setOpen({ kind: "cut", source, position }),
    [],
  );
  const chooseIcons = useCallback((position: number) => setOpen({ kind: "icons", position }), []);
  const close = useCallback(() => setOpen(null), []);
  const [sourceKept, keepSource] = useKept("source", "closed");
  const sourceOpen = sourceKept === "open";
  const toggleSource = useCallback(
    () => keepSource(sourceOpen ? "closed" : "open"),
    [keepSource, sourceOpen],
  );

  /** Once a choice is made, work goes on at the sheet and not at the button that asked. */
  const closeToSheet = (): void => {
    flushSync(close);
    tools.focus();
  };

  useAhead(dialogs);

  const edited = useSignature(signature, createState);
  const { current, state, saving } = edited;
  const document = state.doc;
  const directory = useDirectory(signature.id);
  const longest = useLongestPerson(current, directory);
  const chosen = usePerson(ownPerson, signature.personId);
  const known = usePictureFacts(rest.pictures);
  const person = useOwnPictures(document, longest.tried?.person ?? chosen.person, known.learnCut);
  const altContext = useMemo(() => ({ person, organisation, networks }), [person, organisation, networks]);
  const { facts } = known;
  const pictures = usePictures(edited, known, altContext);
  const { resize, placeFiles } = pictures;
  const { resizeRow, restyleRow, addIcons } = useIconRows(edited, known);
  const keepPart = useKeepPart(edited, longest.tried ? null : signature.personId, person);
  const [spelling] = useSpelling();
  const pasting = usePaste(known.learnCut);
  const { shown, tools } = useEditor(edited, {
    person,
    spelling,
    onFiles: (files) => void placeFiles(files),
    onPicture: choosePicture,
    onPaste: pasting.take,
  });

  const { id } = signature;
  const { select, showPart } = useGoingTo(edited, tools, person);

  const fitMark = useFitMark(edited, directory, { tryWith: longest.choose, select });

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
  const change = useCallback(
    (edit: (transform: Transform) => unknown): boolean => {
      let changed = false;
      tools.apply(
        ({ tr }) => {
          edit(tr);
          changed = tr.docChanged;
          return changed ? closeHistory(tr) : null;
        },
        { focus: false },
      );
      return changed;
    },
    [tools],
  );
  const checks = useChecked(
    edited,
    { ...rest, base },
    { person, answers, organisation, networks },
    known,
    change,
  );
  const { findings } = checks;

  /** What is tried, or was only just chosen, is not what would be sent. */
  const asSent = form === "full" && !longest.tried && chosen.person === ownPerson;
  const meter = useMeter(edited, html, {
    base,
    asSent,
    colors: checks.colors,
    kept: rest.kept,
    revision: signature.revision,
  });

  const benchActions = useBenchActions({
    setOpen,
    focusSheet: tools.focus,
    sourceOpen,
    toggleSource,
    catchUp: tools.catchUp,
    form,
    setForm,
    trying: longest.tried !== null,
    tryLongest: longest.toggle,
  });

  // The tools follow in a transition, so that a key and its proofs wait for nothing of this.
  const { document: foundIn, mend, setAside, drawing } = checks;
  const checked = useMemo<CheckedOnBench>(
    () => ({
      findings,
      document: foundIn,
      mend,
      setAside,
      busy: drawing || foundIn !== shown.doc,
      show: ({ position }) => position !== null && select(position),
    }),
    [findings, foundIn, mend, setAside, drawing, shown.doc, select],
  );
  const goBack = (version: Version): void =>
    tools.apply(({ tr }) => replaceDocument(tr, parseSignature(version.document)));

  const linking = useMemo<LinkDefaults>(
    () => ({
      personId: signature.personId,
      personName: ownPerson?.name ?? null,
      callingCode: callingCodeOf(person?.phone ?? ""),
      ...place,
    }),
    [signature.personId, ownPerson, person, place],
  );

  const value = useMemo<BenchValue>(
    () => ({
      editor: { state: shown, ...tools },
      settings: settingsOf(shown.doc),
      selection: describeSelection(shown),
      palette: paletteFor(shown.doc, brandColors),
      resizePicture: resize,
      resizeIcons: resizeRow,
      restyleIcons: restyleRow,
      chooseIcons,
      checked,
      choosePicture,
      cutPicture,
      linking,
      pictureFacts: facts,
      fields,
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
      checked,
      choosePicture,
      cutPicture,
      linking,
      facts,
      fields,
      altContext,
      form,
      letterType,
      setLetterType,
    ],
  );

  const closeSource = useCallback(() => {
    toggleSource();
    tools.focus();
  }, [toggleSource, tools]);
  // The same as long as somebody types: what it shows follows in the transition of the tools.
  const { listen, name } = edited;
  const source = useMemo(
    () => (
      <SourcePane
        signature={{ id, name, current, listen }}
        person={person}
        base={base}
        answers={answers}
        onClose={closeSource}
      />
    ),
    [id, name, current, listen, person, base, answers, closeSource],
  );

  return (
    <FocusHome value={tools.focus}>
      <div className="flex h-screen min-h-[560px] flex-col">
        <BenchFrame
          value={value}
          signature={signature}
          personName={ownPerson?.name ?? null}
          ownParts={ownParts}
          findings={findings}
          stillness={meter.stillness}
          saveState={saving}
          drawFor={chosen.drawFor}
          setForm={setForm}
          longest={longest}
          fitMark={fitMark}
          setOpen={setOpen}
          toggleSource={toggleSource}
          source={sourceOpen ? source : null}
        />
        <ProofStrip
          html={html}
          base={base}
          opened={rest.proofs}
          width={tableMap(outerTable(document)).width}
          last={meter.last}
          onPart={showPart}
        />
        {meter.element}
      </div>
      {open?.kind === "picture" && (
        <PictureDialog
          inLine={heightGiven(state, open.target) !== null}
          onClose={close}
          onChoose={async (choice) => {
            await pictures.place(choice, open.target);
            closeToSheet();
          }}
        />
      )}
      {pasting.report && <reportDialog.Component groups={pasting.report} onClose={pasting.closeReport} />}
      {open?.kind === "icons" && (
        <IconDialog
          row={state.doc.nodeAt(open.position)}
          linkColor={settingsOf(state.doc).linkColor}
          person={person}
          organisation={organisation}
          networks={networks}
          onNetworks={setNetworks}
          onClose={close}
          onChoose={async (icons, look) => {
            await addIcons(open.position, icons, look);
            closeToSheet();
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
            void keepPart(open.position, cut);
            pictures.swap(open.source, open.position, cut);
            closeToSheet();
          }}
        />
      )}
      {open?.kind === "palette" && (
        <ActionPalette {...{ state, ownParts, benchActions }} run={tools.run} onClose={close} />
      )}
      {open?.kind === "keys" && <KeysDialog onClose={close} benchActions={benchActions} />}
      {open?.kind === "versions" && (
        <VersionsDialog
          signatureId={signature.id}
          present={html}
          person={person}
          base={base}
          saved={saving.kind === "saved"}
          onClose={close}
          onGoBack={goBack}
        />
      )}
      {open?.kind === "pattern" && (
        <PatternDialog
          signatureId={signature.id}
          name={signature.name}
          saved={saving.kind === "saved"}
          onClose={close}
        />
      )}
      {saving.kind === "stale" && <ConflictDialog signature={edited} person={person} base={base} />}
    </FocusHome>
  );
}
