"use client";

/** The source as it is built, beside its sheet: typed in, explained, and worked on element by element. */
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { EditorView } from "@codemirror/view";
import { toast } from "sonner";
import type { LinkAnswers } from "@/core/checks";
import { readTags } from "@/core/html";
import type { Person } from "@/core/people";
import {
  editElement,
  explainSource,
  nameOfPart,
  placeAtOffset,
  sourceElements,
  wholeElement,
  type ElementEditName,
  type ExplainedSource,
} from "@/core/source";
import { drawnFrom } from "@/contract";
import { answerWord } from "../../parts/walking/answer-words";
import type { EditedSignature } from "../../signature/editing/use-signature";
import { useBench } from "../bench-context";
import { codeHelp, type CodeHelp } from "./code-help";
import { fromSheet, goTo } from "./code-marks";
import { createCodeView } from "./code-view";
import { ColorPopover, type ColorAt } from "./color-popover";
import { ElementMenu, type ElementAt } from "./element-menu";
import { unfinished } from "./unfinished";
import { SourceSync, type SourceState } from "./source-sync";
import { SourceStatus } from "./source-status";

/** What the source is of. */
export type SourceOf = Pick<EditedSignature, "id" | "name" | "current" | "listen">;

export interface SourceHandle {
  readonly sync: SourceSync;
  readonly view: EditorView;
}

interface Props {
  readonly signature: SourceOf;
  readonly person: Person | null;
  readonly base: string;
  readonly answers: LinkAnswers;
  /** Is told of the source whenever it is read. */
  readonly onState: (state: SourceState) => void;
  /** The one that was handed on. */
  readonly handle: SourceHandle | null;
  readonly onHandle: (handle: SourceHandle | null) => void;
  readonly onFind: () => void;
}

/** What somebody has the focus in while they work on the source. */
const partOfSource = "[aria-label='Source of the signature'], [role=menu], [role=dialog]";

const explainedOf = ({ text, reading, opened, troubles }: SourceState): ExplainedSource | null =>
  troubles.length > 0
    ? null
    : {
        html: text,
        elements: sourceElements(text, readTags(text).items),
        document: reading.document,
        places: reading.places,
        person: opened.person,
      };

export function BuiltSource(props: Props) {
  const { signature, person, base, handle: held } = props;
  const { editor } = useBench();
  const { apply } = editor;
  const holder = useRef<HTMLDivElement>(null);
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  }, [props]);
  const handle = useRef<SourceHandle | null>(null);
  const [state, setState] = useState<SourceState | null>(null);
  const [caret, setCaret] = useState(0);
  const [color, setColor] = useState<ColorAt | null>(null);
  const [element, setElement] = useState<ElementAt | null>(null);
  const explained = useMemo(() => state && explainedOf(state), [state]);
  const explainedNow = useRef(explained);
  useEffect(() => {
    explainedNow.current = explained;
  }, [explained]);

  const edit = useCallback((name: ElementEditName, offset?: number): boolean => {
    const now = handle.current;
    const source = now && explainedOf((now.sync.flush(), now.sync.present));
    if (!now || !source) return false;
    const at = offset ?? now.view.state.selection.main.head;
    const whole = wholeElement(source.elements, source.places, at);
    const change = whole && editElement(source.html, whole, name);
    if (!change) {
      toast(whole ? "There is nothing beside it to move past." : "The caret stands in no element.");
      return true;
    }
    now.sync.replace([...change.changes], change.caret);
    now.view.focus();
    return true;
  }, []);

  const { id, current, listen } = signature;
  useEffect(() => {
    if (!holder.current) return;
    const tell = (next: SourceState): void => {
      setState(next);
      latest.current.onState(next);
    };
    const { person: whose, base: address } = latest.current;
    /** A broken source is no longer there, and can be had back. */
    const offer = (text: string, said: string): void =>
      void toast(said, {
        duration: 12_000,
        action: {
          label: "Take it back",
          onClick: () => sync.replace({ from: 0, to: view.state.doc.length, insert: text }),
        },
      });
    const sync = new SourceSync({ current, apply }, { person: whose, base: address }, tell, (text) =>
      offer(text, "The sheet was changed, so what was broken in the source is gone."),
    );
    const help: CodeHelp = {
      explained: () => explainedNow.current,
      more: (seen) => {
        const answer = seen.kind === "link" ? latest.current.answers[seen.href] : undefined;
        return answer ? answerWord(answer) : null;
      },
      drawn: (address) => drawnHere(address, latest.current.base),
      onColor: (from, anchor) => setColor({ from, anchor }),
      onElement: (offset, anchor) => setElement({ offset, anchor }),
    };
    const view = createCodeView({
      parent: holder.current,
      text: sync.present.text,
      label: "Source",
      editable: true,
      keys: [
        { key: "Mod-z", run: () => sync.undo() },
        { key: "Mod-y", run: () => sync.redo() },
        { key: "Mod-Shift-z", run: () => sync.redo() },
        { key: "Mod-f", run: () => (latest.current.onFind(), true) },
        { key: "Alt-ArrowUp", run: () => edit("up") },
        { key: "Alt-ArrowDown", run: () => edit("down") },
        { key: "Alt-Shift-d", run: () => edit("duplicate") },
        { key: "Alt-Shift-x", run: () => edit("remove") },
      ],
      extensions: [
        codeHelp(help),
        EditorView.updateListener.of((update) => {
          const own = update.transactions.every((tr) => tr.annotation(fromSheet));
          if (update.docChanged && !own) sync.typed();
          const { head } = update.state.selection.main;
          if (update.selectionSet || update.docChanged) setCaret(head);
          const bySomebody = update.transactions.some((tr) => tr.isUserEvent("select"));
          // The view may not be told anything while it tells. Once it has lost the focus it may still tell of a caret that
          // the browser had there, while somebody has gone elsewhere on the sheet.
          if (bySomebody && !update.docChanged)
            queueMicrotask(() => update.view.hasFocus && sync.followCaret(head));
        }),
        EditorView.domEventHandlers({
          // Before anything is typed: it would be read as a change of what stood here before.
          focus: () => sync.catchUp(),
          // Whoever goes to a button of the source, or to what it opened, works on it still.
          blur: ({ relatedTarget }) => {
            if (relatedTarget instanceof Element && relatedTarget.closest(partOfSource)) return;
            // The view may not be changed while it tells.
            queueMicrotask(() => sync.tidy());
          },
        }),
      ],
    });
    handle.current = { sync, view };
    latest.current.onHandle(handle.current);
    sync.attach(view);
    tell(sync.present);
    // What was broken when the source was closed stands there again.
    const broken = unfinished.take(id);
    if (broken?.of === sync.present.text)
      sync.replace({ from: 0, to: view.state.doc.length, insert: broken.text });
    else if (broken) offer(broken.text, "The source was left broken, and the sheet was changed since.");
    const end = listen((next) => sync.followSheet(next));
    return () => {
      end();
      sync.detach();
      const { opened, text, troubles } = sync.present;
      if (troubles.length > 0) unfinished.keep(id, { of: opened.text, text });
      view.destroy();
      handle.current = null;
      latest.current.onHandle(null);
    };
  }, [id, current, listen, apply, edit]);

  useEffect(() => {
    handle.current?.sync.draw({ person, base });
  }, [person, base]);

  const here = explained && explainSource(explained, caret);
  const nameAt = (offset: number): string => {
    const whole = explained && wholeElement(explained.elements, explained.places, offset);
    const place =
      whole &&
      placeAtOffset(
        explained.places.filter(({ from, to }) => whole.from <= from && to <= whole.to),
        whole.from,
      );
    return explained && place
      ? nameOfPart(explained, place.position)
      : ((explained && explainSource(explained, offset)?.says) ?? "the element");
  };

  return (
    <>
      <div ref={holder} className="min-h-0 flex-1 overflow-hidden" />
      <SourceStatus
        state={state}
        here={here}
        canEdit={explained !== null}
        onEdit={edit}
        onColor={(from, anchor) => setColor({ from, anchor })}
        onGo={(offset) => {
          if (!handle.current) return;
          goTo(handle.current.view, offset);
          handle.current.view.focus();
        }}
        caret={caret}
        answer={here?.seen?.kind === "link" ? (props.answers[here.seen.href] ?? null) : null}
      />
      {color && held && (
        <ColorPopover
          at={color}
          handle={held}
          onClose={() => {
            setColor(null);
            handle.current?.view.focus();
          }}
        />
      )}
      {element && (
        <ElementMenu
          at={element}
          name={nameAt(element.offset)}
          onEdit={(name) => edit(name, element.offset)}
          onClose={() => setElement(null)}
        />
      )}
    </>
  );
}

/** Hosted pictures are drawn from their paths here, wherever the public address leads. */
const drawnHere = (address: string, base: string): string =>
  address.startsWith(`${base}/h/`) ? address.slice(base.length) : drawnFrom(address);
