"use client";

/** The wall of proofs over a signature that is edited by its findings' mends. */
import { Transform } from "prosemirror-transform";
import { useMemo, useState, useSyncExternalStore } from "react";
import { applyMends } from "@/core/checks";
import { findPart } from "@/core/layout";
import { benchPlace } from "../signature/bench-place";
import { compile } from "@/core/compile";
import { hasShortForm, shortForm } from "@/core/signature";
import { Button } from "../parts/button";
import { lazily, useAhead } from "../parts/lazily";
import { EditingStation } from "../signature/editing/editing-station";
import { plainState } from "../signature/editing/plain-state";
import type { OpenedStation } from "../signature/editing/opened-station";
import { useSignature } from "../signature/editing/use-signature";
import { useStationFindings } from "../signature/use-station-findings";
import { ProofWall } from "./proof-wall";
import { useTrial } from "./use-trial";
import { useOwnPictures } from "../signature/use-own-pictures";
import { useKeptStillness } from "../signature/stillness/use-kept-stillness";

const readingView = lazily(() => import("../signature/reading-view").then(({ ReadingView }) => ReadingView));
const fitRoom = lazily(() => import("./fit/fit-room").then(({ FitRoom }) => FitRoom));
const rooms = [readingView, fitRoom];

type Room = "wall" | "reading" | "everybody";

/** The address of the page may ask for everybody, as what stands beside the Bench's station does. */
const askedForEverybody = (): boolean => location.hash === "#everybody";
const onAddress = (tell: () => void): (() => void) => {
  addEventListener("hashchange", tell);
  return () => removeEventListener("hashchange", tell);
};

export function ProofPage(props: OpenedStation) {
  const { signature, person, base } = props;
  const edited = useSignature(signature, plainState);
  const asked = useSyncExternalStore(onAddress, askedForEverybody, () => false);
  const [chosen, setRoom] = useState<Room | null>(null);
  const room = chosen ?? (asked ? "everybody" : "wall");
  useAhead(rooms);
  const document = edited.state.doc;
  const { findings, busy, mend, setAside, colors, known, change } = useStationFindings(edited, props);
  const trial = useTrial(signature.id, document);
  const shown = useOwnPictures(document, trial.person ?? person, known.learnCut);
  const options = useMemo(
    () => ({ destination: "webmail-paste", person: shown, base }) as const,
    [shown, base],
  );
  const html = useMemo(() => compile(document, options), [document, options]);
  const shortHtml = useMemo(
    () => (hasShortForm(document) ? compile(shortForm(document), options) : null),
    [document, options],
  );
  const still = useKeptStillness(edited, trial.person ? null : html);
  return (
    <EditingStation
      opened={props}
      edited={edited}
      current="proof"
      findings={findings}
      measured={still.measured}
    >
      {room !== "wall" ? (
        <>
          <div className="flex items-baseline gap-4 pb-4">
            <h1 className="font-serif text-2xl">{room === "reading" ? "Without looking" : "Everybody"}</h1>
            <Button onClick={() => setRoom("wall")}>Back to the wall</Button>
          </div>
          {room === "reading" ? (
            <readingView.Component document={document} person={shown} base={base} />
          ) : (
            <fitRoom.Component
              signatureId={signature.id}
              document={document}
              base={base}
              colors={colors.colors}
              change={change}
              learnCut={known.learnCut}
              onWall={() => setRoom("wall")}
            />
          )}
        </>
      ) : (
        <ProofWall
          name={signature.name}
          onReading={() => setRoom("reading")}
          onEverybody={() => setRoom("everybody")}
          person={person?.name ?? ""}
          html={html}
          shortHtml={shortHtml}
          base={base}
          found={findings}
          colors={colors.complete ? colors.colors : null}
          trial={trial}
          busy={busy}
          onMeasured={still.onMeasured}
          onMend={mend}
          onAside={setAside}
          learn={known.learnCut}
          onBench={(parts, id) => {
            const at = findPart(document, shown, parts, id);
            return at === null ? null : `/signatures/${signature.id}${benchPlace(at)}`;
          }}
          htmlWith={(mends) => {
            const transform = new Transform(document);
            applyMends(transform, mends);
            return compile(transform.doc, options);
          }}
        />
      )}
    </EditingStation>
  );
}
