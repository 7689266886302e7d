"use client";

import { useMemo, useRef, useState } from "react";
import { addressOf, endpoints, type FoundPeople, type OutgoingServer, type WrittenForms } from "@/contract";
import type { Finding } from "@/core/checks";
import { clientForKind } from "@/core/desks";
import type { CodeContent, KitKind, PicturesIn } from "@/core/install-kinds";
import type { Person } from "@/core/people";
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
import { HandOn } from "./hand-on";
import { WhomItIsFor, type GivenTo } from "./whom-it-is-for";
import { KindSteps, HowItWent } from "./kind-steps";
import { KitDownload } from "./kit-download";
import { KitsForAll } from "./kits-for-all";
import { Rehearse } from "./rehearse";
import { CopyButtons } from "./copy-buttons";
import { tellCopied } from "./tell-copied";
import { installKinds } from "./kinds";

interface Props {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** The document's JSON. */
  readonly document: unknown;
  readonly person: Person | null;
  readonly full: WrittenForms;
  /** What a reply holds; null where that is the whole. */
  readonly short: WrittenForms | null;
  readonly base: string;
  /** Why the kit of a kind carries its pictures; null where they stay at their addresses. */
  readonly carried: Readonly<Record<KitKind, string | null>>;
  readonly findings: readonly Finding[];
  readonly installs: readonly ListedInstall[];
  readonly personId: string | null;
  /** Those of the directory, with how many are in each. */
  readonly departments: FoundPeople["departments"];
  /** Whom it is given to. */
  readonly given: GivenTo;
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
  const {
    id,
    name,
    revision,
    document,
    person,
    full,
    short,
    base,
    carried,
    findings,
    installs,
    departments,
  } = props;
  const [form, setForm] = useState<Form>(short ? props.form : "full");
  const [kind, setKind] = useState<KitKind>(props.kind);
  const client = clientForKind(kind);
  /** Where the kits have their pictures, for those of which it was said. */
  const [chosen, setChosen] = useState<Partial<Record<KitKind, PicturesIn>>>({});
  const pictures = chosen[kind] ?? (carried[kind] === null ? "hosted" : "carried");
  const mail = person?.mail ?? "";
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
        <WhomItIsFor {...props.given} />
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
          <KindSteps kind={kind} />
          {kind === "webmail" && <CopyButtons {...shown} base={base} onCopied={() => tellCopied(id)} />}
          <KitDownload
            href={addressOf(endpoints.downloadKit, { id, kind }, { pictures })}
            kind={kind}
            carried={carried[kind]}
            pictures={pictures}
            onPictures={(next) => setChosen({ ...chosen, [kind]: next })}
          />
          <HowItWent kind={kind} />
          {about.ownFile && (
            <GraftRoom key={kind} from={from} short={form === "short"} about={about.ownFile} />
          )}
          {kind === "anything" && <CodeToScan id={id} known={props.codes} />}
          {(kind === "phone" || kind === "anything") && (
            <SendTest
              key={`send-${kind}-${form}-${mail}`}
              id={id}
              form={form}
              pictures={pictures}
              to={mail}
              server={props.server}
            />
          )}
          {client && departments.length > 0 && (
            <Rehearse
              key={`rehearse-${props.personId}`}
              signatureId={id}
              client={client}
              personName={person?.name ?? null}
              personId={props.personId}
            />
          )}
          <HandOn
            key={props.personId}
            id={id}
            kind={kind}
            personName={person?.name ?? null}
            personId={props.personId}
          />
          <KitsForAll
            key={`all-${kind}-${pictures}`}
            {...{ id, kind, pictures, departments }}
            theirs={props.given.people}
          />
          <RecordInstall
            key={`record-${kind}-${form}-${mail}`}
            id={id}
            revision={revision}
            kind={kind}
            form={form}
            account={mail}
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
