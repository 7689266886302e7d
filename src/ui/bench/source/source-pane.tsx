"use client";

/** The signature as HTML beside its sheet: as it is built, as it is compiled for a destination, or as a stand-in receives it. */
import { Search, X } from "lucide-react";
import { useMemo, useState } from "react";
import type { LinkAnswers } from "@/core/checks";
import { received, standInIds, standIns, type Mode, type StandInId } from "@/core/clients";
import { compile, fileForms, fileNameOf, fileText } from "@/core/compile";
import type { Person } from "@/core/people";
import type { DestinationId } from "@/core/signature";
import { formatSource } from "@/core/source";
import { ChoiceField } from "../../parts/fields/choice-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import { saveFile } from "../../parts/files/save-file";
import { IconButton } from "../../parts/icon-button";
import { useBench } from "../bench-context";
import { Breadcrumb } from "../inspector/breadcrumb";
import { BuiltSource, type SourceHandle, type SourceOf } from "./built-source";
import { CharacterCount } from "./character-count";
import { FileMenu } from "./file-menu";
import { FindBar } from "./find-bar";
import { ReadSource } from "./read-source";
import { SizeMap } from "./size-map-view";
import type { SourceState } from "./source-sync";

interface Props {
  /** The signature without its state: that is the Bench's, which follows typing once the proofs are drawn. */
  readonly signature: SourceOf;
  readonly person: Person | null;
  readonly base: string;
  readonly answers: LinkAnswers;
  readonly onClose: () => void;
}

type Shown = "built" | "compiled" | "received";

const destinationNames: Readonly<Record<DestinationId, string>> = {
  "webmail-paste": "Webmail’s settings, pasted",
  "document-file": "Document-engine desktop, a file",
  "browser-archive": "Browser-engine desktop, an archive",
  "html-file": "Independent desktop, a file",
  message: "A message’s body",
  "plain-text": "Plain text",
};

const standInNames = Object.fromEntries(standInIds.map((id) => [id, standIns[id].name])) as Record<
  StandInId,
  string
>;

export function SourcePane({ signature, person, base, answers, onClose }: Props) {
  const { doc: document } = useBench().editor.state;
  const [shown, setShown] = useState<Shown>("built");
  const [destination, setDestination] = useState<DestinationId>("webmail-paste");
  const [client, setClient] = useState<StandInId>("webmail-inline");
  const [mode, setMode] = useState<Mode>("light");
  const [state, setState] = useState<SourceState | null>(null);
  const [handle, setHandle] = useState<SourceHandle | null>(null);
  /** What stands above the code. */
  const [tool, setTool] = useState<"find" | "sizes" | null>(null);
  const toggle = (wanted: "find" | "sizes"): void => setTool((now) => (now === wanted ? null : wanted));
  const sent = useMemo(
    () =>
      compile(document, {
        destination: shown === "compiled" ? destination : "webmail-paste",
        person,
        base,
      }),
    [document, shown, destination, person, base],
  );
  const read = useMemo(() => {
    if (shown === "built") return "";
    if (shown === "compiled") return destination === "plain-text" ? sent : formatSource(sent);
    return formatSource(received(sent, client, { mode }).html);
  }, [shown, sent, destination, client, mode]);
  return (
    <section
      aria-label="Source of the signature"
      className="flex min-h-0 min-w-0 flex-col border-l border-hairline"
    >
      <div className="flex min-h-10 flex-wrap items-center gap-x-3 border-b border-hairline px-3">
        <WordSwitch
          label="Source"
          value={shown}
          choices={{ built: "As built", compiled: "As compiled", received: "As received" }}
          onChange={(next) => {
            setShown(next);
            setTool(null);
          }}
        />
        <span className="flex-1" />
        <CharacterCount
          characters={sent.length}
          limited={shown !== "compiled" || destination === "webmail-paste"}
          open={tool === "sizes"}
          onToggle={shown === "built" ? () => toggle("sizes") : null}
        />
        {shown === "built" && (
          <>
            <IconButton label="Find and replace" pressed={tool === "find"} onClick={() => toggle("find")}>
              <Search size={15} aria-hidden />
            </IconButton>
            <FileMenu signature={signature} person={person} base={base} handle={handle} />
          </>
        )}
        <IconButton label="Close the source" onClick={onClose}>
          <X size={16} aria-hidden />
        </IconButton>
      </div>
      {shown === "compiled" && (
        <ChoiceField
          quiet
          label="Destination"
          value={destination}
          choices={destinationNames}
          onChange={setDestination}
          className="border-b border-hairline px-3 py-1.5"
        />
      )}
      {shown === "received" && (
        <div className="flex items-center gap-4 border-b border-hairline px-3 py-1.5">
          <ChoiceField
            quiet
            label="Stand-in"
            value={client}
            choices={standInNames}
            onChange={setClient}
            className="min-w-0 flex-1"
          />
          <WordSwitch
            label="Mode of the stand-in"
            value={mode}
            choices={{ light: "Light", dark: "Dark" }}
            onChange={setMode}
          />
        </div>
      )}
      {shown === "built" ? (
        <>
          <div className="border-b border-hairline px-3 py-1.5">
            <Breadcrumb whole={false} onWhole={() => handle?.view.focus()} onStep={() => undefined} />
          </div>
          {tool === "sizes" && state && <SizeMap state={state} handle={handle} />}
          {tool === "find" && handle && state && (
            <FindBar
              text={state.text}
              handle={handle}
              onClose={() => {
                setTool(null);
                handle.view.focus();
              }}
            />
          )}
          <BuiltSource
            signature={signature}
            person={person}
            base={base}
            answers={answers}
            onState={setState}
            handle={handle}
            onHandle={setHandle}
            onFind={() => setTool("find")}
          />
        </>
      ) : (
        <ReadSource
          text={read}
          onSave={
            shown === "compiled"
              ? () => {
                  const { ending, type } = fileForms[destination];
                  saveFile(fileText(sent, destination), fileNameOf(signature.name, ending), type);
                }
              : null
          }
        />
      )}
    </section>
  );
}
