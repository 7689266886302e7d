"use client";

/** Trying the mends that make a signature still in more proofs, and showing what they do before they are kept. */
import { useEffect, useRef, useState } from "react";
import { endpoints, type Cut, type Stillness } from "@/contract";
import { messageOf, receivedInModes, type ProofKey } from "@/core/clients";
import type { Finding, FindingCode, Mend } from "@/core/checks";
import type { KnownColors } from "@/core/layout";
import { ask } from "../parts/asking/ask";
import { Button } from "../parts/button";
import { DialogFrame } from "../parts/dialog-frame";
import { formatCount } from "../parts/format";
import { drawMends } from "../signature/use-mending";
import { measureProofs, type MeasuredAll } from "../signature/stillness/measure-proofs";
import { MeasuringFrame } from "../signature/stillness/measuring-frame";
import { ProofFrame } from "../signature/stillness/proof-frame";
import { stillness } from "../signature/stillness/stillness-of";
import { bodyOf } from "../parts/drawing/frame-document";
import { unrestOf, worstOf } from "./worst";

interface Props {
  readonly findings: readonly Finding[];
  readonly base: string;
  readonly colors: KnownColors;
  readonly html: string;
  /** How still it is as it is now. */
  readonly now: MeasuredAll;
  /** The HTML once some mends are carried out. */
  readonly htmlWith: (mends: readonly Mend[]) => string;
  readonly learn: (cut: Cut) => void;
  readonly onKeep: (mends: readonly Mend[]) => void;
  readonly onClose: () => void;
}

interface Kept {
  readonly says: string;
  readonly mends: readonly Mend[];
  readonly still: Stillness;
}

type State =
  | { readonly kind: "trying"; readonly what: string; readonly done: number; readonly of: number }
  | {
      readonly kind: "tried";
      readonly kept: readonly Kept[];
      readonly html: string;
      readonly worst: ProofKey;
    }
  | { readonly kind: "failed"; readonly message: string };

/** The mends of each code of finding, those that touch most proofs first. */
function groupsOf(
  findings: readonly Finding[],
): readonly { code: FindingCode; mends: readonly Mend[]; says: string }[] {
  const groups = new Map<FindingCode, Finding[]>();
  for (const finding of findings)
    if (finding.mend && finding.aside === undefined)
      groups.set(finding.code, [...(groups.get(finding.code) ?? []), finding]);
  return [...groups].map(([code, all]) => ({
    code,
    mends: all.flatMap(({ mend }) => mend ?? []),
    says: [...new Set(all.map(({ mend }) => mend?.label ?? ""))].join("; "),
  }));
}

/** The colours of pictures that were only just drawn. */
async function colorsOf(mends: readonly Mend[]): Promise<KnownColors> {
  const sources = mends.flatMap((mend) => (mend.kind === "redraw" ? Object.values(mend.drawn ?? {}) : []));
  if (sources.length === 0) return {};
  return (await ask(endpoints.findPictureColors, { body: { sources } })).colors;
}

/** Tries every group upon what has helped so far, and keeps those that make more proofs still, or the worst less bad. */
function useTrial(props: Props, frame: React.RefObject<HTMLIFrameElement | null>): State {
  const [state, setState] = useState<State>({ kind: "trying", what: "Beginning", done: 0, of: 1 });
  const given = useRef(props);
  useEffect(() => {
    let stopped = false;
    const run = async (element: HTMLIFrameElement): Promise<void> => {
      const { findings, base, html, now, htmlWith, learn } = given.current;
      const groups = groupsOf(findings);
      let { colors } = given.current;
      let mends: readonly Mend[] = [];
      let best = now;
      const kept: Kept[] = [];
      for (const [index, { mends: more, says }] of groups.entries()) {
        setState({ kind: "trying", what: says, done: index, of: groups.length });
        const drawn = await drawMends(more, learn);
        colors = { ...colors, ...(await colorsOf(drawn)) };
        const tried = [...mends, ...drawn];
        const measured = await measureProofs(element, { html: htmlWith(tried), base, colors }, () => stopped);
        if (!measured) return;
        const [before, after] = [stillness(best.measured), stillness(measured.measured)];
        const better =
          after.still > before.still ||
          (after.still === before.still && unrestOf(measured.measured) < unrestOf(best.measured));
        if (!better) continue;
        mends = tried;
        best = measured;
        kept.push({ says, mends: drawn, still: after });
      }
      setState({
        kind: "tried",
        kept,
        html: kept.length > 0 ? htmlWith(mends) : html,
        worst: worstOf(now.measured),
      });
    };
    const element = frame.current;
    if (!element) return;
    const begin = (): void =>
      void run(element).catch((error: Error) => setState({ kind: "failed", message: error.message }));
    if (bodyOf(element)?.ownerDocument.readyState === "complete") begin();
    else element.addEventListener("load", begin, { once: true });
    return () => {
      stopped = true;
      element.removeEventListener("load", begin);
    };
  }, [frame]);
  return state;
}

function Shown({ html, proof, base, width }: { html: string; proof: ProofKey; base: string; width: number }) {
  const { client, mode, account } = proof;
  const shown = receivedInModes(messageOf(html), client, { account })[mode];
  return <ProofFrame proof={{ ...proof, ...shown }} base={base} room={430} design={width} />;
}

export function MakeStill(props: Props) {
  const { base, html, now, onKeep, onClose } = props;
  const frame = useRef<HTMLIFrameElement>(null);
  const state = useTrial(props, frame);
  const before = stillness(now.measured);
  const after = state.kind === "tried" ? (state.kept.at(-1)?.still ?? before) : before;
  return (
    <>
      <MeasuringFrame frame={frame} />
      <DialogFrame
        title="Make it still"
        description="Each mend is tried on all proofs and measured; only those that help are kept, in one step that can be taken back."
        onClose={onClose}
        className="w-[960px] overflow-y-auto"
      >
        <div className="mt-4">
          {state.kind === "trying" && (
            <div>
              <p role="status">
                Trying {state.done + 1} of {state.of}: {state.what}
              </p>
              <div
                role="progressbar"
                aria-label="Mends tried"
                aria-valuemin={0}
                aria-valuemax={state.of}
                aria-valuenow={state.done}
                className="mt-2 h-1 bg-hairline"
              >
                <div className="h-full bg-pine" style={{ width: `${(100 * state.done) / state.of}%` }} />
              </div>
              <Button className="mt-4" onClick={onClose}>
                Stop
              </Button>
            </div>
          )}
          {state.kind === "failed" && <p className="text-rowan">{state.message} Nothing was changed.</p>}
          {state.kind === "tried" && (
            <>
              <div className="grid grid-cols-2 gap-6">
                {[["Now", html, before] as const, ["Mended", state.html, after] as const].map(
                  ([name, drawn, { still, all }]) => (
                    <section key={name} aria-label={name}>
                      <h3 className="mb-1 flex items-baseline justify-between">
                        <span className="text-sm text-soft">{name}</span>
                        <span className="font-serif text-lg">
                          still in {still} of {all}
                        </span>
                      </h3>
                      <Shown html={drawn} proof={state.worst} base={base} width={now.design.width} />
                    </section>
                  ),
                )}
              </div>
              {state.kept.length === 0 ? (
                <p className="mt-4">
                  {before.still === before.all
                    ? "It is still in all of them already."
                    : "No mend that is known makes it still in more: what is left has to be built otherwise."}
                </p>
              ) : (
                <ul className="mt-4">
                  {state.kept.map(({ says, still }) => (
                    <li key={says} className="flex justify-between gap-4 border-b border-hairline py-1">
                      <span>{says}</span>
                      <span className="whitespace-nowrap text-soft">still in {still.still}</span>
                    </li>
                  ))}
                </ul>
              )}
              <div className="mt-4 flex gap-3">
                {state.kept.length > 0 && (
                  <Button look="primary" onClick={() => onKeep(state.kept.flatMap(({ mends }) => mends))}>
                    Keep {formatCount(state.kept.length, "mend")}
                  </Button>
                )}
                <Button onClick={onClose}>{state.kept.length > 0 ? "Leave it as it is" : "Close"}</Button>
              </div>
            </>
          )}
        </div>
      </DialogFrame>
    </>
  );
}
