"use client";

import { Printer } from "lucide-react";
import { useState, useSyncExternalStore } from "react";
import { addressOf, endpoints, type WrittenForms } from "@/contract";
import type { KitKind, PicturesIn } from "@/core/install-kinds";
import { Button } from "../parts/button";
import { CopyButton } from "../parts/copy-button";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { CopyButtons } from "./copy-buttons";
import { tellCopied } from "./tell-copied";
import { HowItWent, KindSteps } from "./kind-steps";
import { KitDownload } from "./kit-download";
import { installKinds } from "./kinds";

interface Props {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly kind: KitKind;
  readonly personId: string | null;
  readonly personName: string | null;
  readonly compiled: WrittenForms;
  readonly base: string;
  readonly carried: string | null;
}

const unchanging = (): (() => void) => () => undefined;

/** The address of the page, once it is in a browser. */
const useOwnAddress = (): string =>
  useSyncExternalStore(
    unchanging,
    () => location.href,
    () => "",
  );

/** One page for one person: their signature, and how it gets into their mail. */
export function HandOut(props: Props) {
  const { id, name, revision, kind, personId, personName, compiled, base, carried } = props;
  const address = useOwnAddress();
  const [pictures, setPictures] = useState<PicturesIn>(carried === null ? "hosted" : "carried");
  const about = installKinds[kind];
  return (
    <main className="mx-auto max-w-[820px] px-5 pb-10 pt-4 print:max-w-none print:px-0 print:pt-0">
      <div className="flex items-start gap-4 pb-3">
        <div className="min-w-0 grow">
          <h1 className="font-serif text-[34px] leading-10 tracking-tight">
            {personName === null ? "The signature" : `A signature for ${personName}`}
          </h1>
          <p className="text-soft">
            “{name}”, version {revision}. {about.name}. {about.about}
          </p>
        </div>
        <div className="flex shrink-0 items-center gap-2 pt-1 print:hidden">
          <CopyButton label="Copy the address of this page" text={address} />
          <Button onClick={() => window.print()}>
            <Printer size={16} aria-hidden />
            Print
          </Button>
        </div>
      </div>
      <div className="w-fit max-w-full border border-hairline bg-canvas p-1">
        <SignatureFrame
          html={localPictures(compiled.html, base)}
          label={`${name}, as it will be installed`}
          width={640}
        />
      </div>
      <h2 className="mt-5 font-serif text-xl">Step by step</h2>
      <KindSteps kind={kind} />
      <div className="print:hidden">
        {kind === "webmail" && <CopyButtons {...compiled} base={base} onCopied={() => tellCopied(id)} />}
        <KitDownload
          href={addressOf(
            endpoints.downloadKit,
            { id, kind },
            { pictures, ...(personId === null ? {} : { person: personId }) },
          )}
          kind={kind}
          carried={carried}
          pictures={pictures}
          onPictures={setPictures}
        />
      </div>
      <HowItWent kind={kind} />
      <p className="mt-4 hidden text-sm text-soft print:block [overflow-wrap:anywhere]">
        The files, and what can be copied, are at {address}
      </p>
    </main>
  );
}
