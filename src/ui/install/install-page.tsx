"use client";

import { ClipboardCopy, Code, Download } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { addressOf, endpoints, type OutgoingServer } from "@/contract";
import type { Finding } from "@/core/checks";
import type { CodeContent, KitKind, PicturesIn } from "@/core/install";
import type { Person } from "@/core/people";
import { Button, buttonClass } from "../parts/button";
import { copyToClipboard } from "../parts/clipboard";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { WordSwitch } from "../parts/fields/word-switch";
import { FindingList } from "../signature/finding-list";
import { FormSwitch, type Form } from "../signature/form-switch";
import { CodeToScan } from "./code-to-scan";
import { GraftRoom } from "./graft/graft-room";
import { InstallList, type ListedInstall } from "./installs/install-list";
import { RecordInstall } from "./installs/record-install";
import { SendTest } from "./test/send-test";
import { installKinds, type InstallKind } from "./kinds";

/** One form of a signature, compiled for each way out. */
export interface CompiledForms {
  /** For pasting. */
  readonly html: string;
  readonly plainText: string;
}

interface Props {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** The document's JSON. */
  readonly document: unknown;
  readonly person: Person | null;
  readonly full: CompiledForms;
  /** What a reply holds; null where that is the whole. */
  readonly short: CompiledForms | null;
  readonly base: string;
  /** Why the kit of a kind carries its pictures; null where they stay at their addresses. */
  readonly carried: Readonly<Record<KitKind, string | null>>;
  readonly findings: readonly Finding[];
  readonly installs: readonly ListedInstall[];
  /** The mail server that tests go through; null while none is set up. */
  readonly server: OutgoingServer | null;
  /** What there is a code to scan of. */
  readonly codes: readonly CodeContent[];
  /** Which are shown first. */
  readonly kind: KitKind;
  readonly form: Form;
}

const kindNames = Object.fromEntries(
  Object.entries(installKinds).map(([kind, { name }]) => [kind, name]),
) as Record<KitKind, string>;

/** The ways out: steps and a kit for each kind of client. */
export function InstallPage(props: Props) {
  const { id, name, revision, document, person, full, short, base, carried, findings, installs } = props;
  const [form, setForm] = useState<Form>(short ? props.form : "full");
  const [kind, setKind] = useState<KitKind>(props.kind);
  const steps = useRef<HTMLHeadingElement>(null);
  const shown = form === "short" ? (short ?? full) : full;
  const about = installKinds[kind];
  const from = useMemo(() => ({ name, document, person, base }), [name, document, person, base]);

  return (
    <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-8">
      <div>
        <div className="flex items-baseline gap-3 pb-3">
          <h1 className="font-serif text-2xl">Install</h1>
          <p className="text-soft">
            version {revision} · {shown.html.length.toLocaleString("en")} of 10,000 characters
          </p>
          {short && (
            <div className="ml-auto">
              <FormSwitch form={form} onChange={setForm} />
            </div>
          )}
        </div>
        <div className="w-fit max-w-full border border-hairline bg-canvas p-1">
          <SignatureFrame
            html={localPictures(shown.html, base)}
            label={`${name}, as it will be installed`}
            width={640}
          />
        </div>
        {form === "short" && (
          <p className="mt-2 text-soft">
            This is the form for answers. Install it beside the full one where your mail has a box for
            replies; it follows every change of the full form, and every kit holds both.
          </p>
        )}
        <div className="mt-6 border-t border-pine pt-3">
          <WordSwitch label="Kind of client" value={kind} choices={kindNames} onChange={setKind} />
        </div>
        <section aria-label={about.name} className="pt-3">
          <h2 ref={steps} tabIndex={-1} className="font-serif text-lg outline-none">
            {about.name}
          </h2>
          <p className="text-soft">{about.about}</p>
          <ol className="my-3 list-decimal space-y-1 pl-5 marker:text-soft">
            {about.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          {kind === "webmail" && <CopyButtons {...shown} base={base} />}
          <KitDownload key={`kit-${kind}`} id={id} kind={kind} about={about} carried={carried[kind]} />
          <HowItWent about={about} />
          {about.ownFile && (
            <GraftRoom key={kind} from={from} short={form === "short"} about={about.ownFile} />
          )}
          {kind === "anything" && <CodeToScan id={id} known={props.codes} />}
          {(kind === "phone" || kind === "anything") && (
            <SendTest
              key={`send-${kind}-${form}`}
              id={id}
              form={form}
              to={person?.mail ?? ""}
              server={props.server}
            />
          )}
          <RecordInstall
            key={`record-${kind}-${form}`}
            id={id}
            revision={revision}
            kind={kind}
            form={form}
            account={person?.mail ?? ""}
          />
        </section>
      </div>
      <aside aria-label="Before you install">
        <h2 className="mb-3 font-serif text-2xl">Before you install</h2>
        <FindingList findings={findings} empty="Nothing stands in the way." />
        <InstallList
          installs={installs}
          revision={revision}
          onPrepare={(wanted, installed) => {
            setKind(wanted);
            setForm(short ? installed : "full");
            steps.current?.scrollIntoView({ block: "start" });
            steps.current?.focus({ preventScroll: true });
          }}
        />
      </aside>
    </div>
  );
}

/** The signature as it looks, or its source, on the clipboard. */
function CopyButtons({ html, plainText, base }: CompiledForms & { readonly base: string }) {
  const [showing, setShowing] = useState(false);
  const [refused, setRefused] = useState(false);
  const copy = (content: { text: string; html?: string }, said: string): void => {
    setRefused(false);
    if (copyToClipboard(content)) toast(said);
    else setRefused(true);
  };
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <Button
          look="primary"
          onClick={() =>
            copy({ text: plainText, html }, "Copied as it looks. Paste it into your webmail's signature box.")
          }
        >
          <ClipboardCopy size={16} aria-hidden />
          Copy the signature
        </Button>
        <Button onClick={() => copy({ text: html }, "The source is copied.")}>
          <Code size={16} aria-hidden />
          Copy the source
        </Button>
        <Button onClick={() => copy({ text: plainText }, "The plain text is copied.")}>
          Copy plain text
        </Button>
        <button
          type="button"
          className={buttonClass("quiet")}
          aria-expanded={showing}
          onClick={() => setShowing(!showing)}
        >
          {showing ? "Hide the source" : "Show the source"}
        </button>
      </div>
      {refused && <ToSelect html={localPictures(html, base)} />}
      {showing && (
        <pre
          tabIndex={0}
          aria-label="Source"
          className="mt-3 max-h-64 overflow-auto whitespace-pre-wrap border border-hairline bg-sheet p-3 font-mono text-xs [overflow-wrap:anywhere]"
        >
          {html}
        </pre>
      )}
    </>
  );
}

/** Where a browser gives no clipboard: the signature to be selected and copied by hand. */
const ToSelect = ({ html }: { readonly html: string }) => (
  <div role="alert" className="mt-3">
    <p className="pb-1 text-sm text-rowan">
      The browser did not let it be copied. Click into the frame, select everything in it and copy it, with
      the keys that you use elsewhere.
    </p>
    <div className="w-fit max-w-full border border-hairline bg-canvas p-1">
      <SignatureFrame html={html} label="The signature, to be selected" width={640} followable />
    </div>
  </div>
);

const meaning: Readonly<Record<PicturesIn, string>> = {
  hosted: "Light, and always the newest; many clients show them only when they are asked to.",
  carried: "Shown at once, offline too; each letter is heavier by them, and old letters keep old ones.",
};

interface KitProps {
  readonly id: string;
  readonly kind: KitKind;
  readonly about: InstallKind;
  readonly carried: string | null;
}

/** The files of a kind, with its pictures where they are wanted. */
function KitDownload({ id, kind, about, carried }: KitProps) {
  const [picturesIn, setPicturesIn] = useState<PicturesIn>(carried === null ? "hosted" : "carried");
  const choosable = kind !== "webmail";
  return (
    <div className="mt-3">
      {choosable && (
        <div className="pb-2">
          <WordSwitch
            label="Pictures"
            value={picturesIn}
            choices={{ carried: "Pictures in the kit", hosted: "Pictures at their addresses" }}
            onChange={setPicturesIn}
          />
          <p className="pt-1 text-xs text-soft">
            {meaning[picturesIn]}
            {picturesIn === "carried" && carried !== null && ` Here, ${carried}.`}
          </p>
        </div>
      )}
      <a
        href={addressOf(endpoints.downloadKit, { id, kind }, { pictures: picturesIn })}
        download
        className={buttonClass(kind === "webmail" ? "plain" : "primary")}
      >
        <Download size={16} aria-hidden />
        Download {about.kit}
      </a>
    </div>
  );
}

/** What one sees when it went right, and what commonly goes wrong. */
function HowItWent({ about }: { about: InstallKind }) {
  return (
    <dl className="mt-4 grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1 border-t border-hairline pt-3 text-sm">
      <dt className="font-medium text-lichen">It went right</dt>
      <dd>{about.right}</dd>
      {about.wrong.map(([what, why]) => (
        <div key={what} className="contents">
          <dt className="text-clay">{what}</dt>
          <dd className="text-soft">{why}</dd>
        </div>
      ))}
    </dl>
  );
}
