"use client";

/** The pictures of one signature: their cuts, those at addresses elsewhere, and what is wrong with them. */
import { useState, type ReactNode } from "react";
import { toast } from "sonner";
import type { CatalogueEntry, ForeignPicture } from "@/contract";
import { weightOf } from "@/core/checks";
import { describeLink } from "@/core/links";
import { signatureBudget } from "@/core/pictures";
import { becomeDocument, pictureSourcesOf, replaceSources } from "@/core/signature";
import { formatBytes } from "../parts/format";
import { plainState } from "../signature/editing/plain-state";
import { EditingStation } from "../signature/editing/editing-station";
import type { OpenedStation } from "../signature/editing/opened-station";
import { useSignature } from "../signature/editing/use-signature";
import { FindingList } from "../signature/finding-list";
import { useStationFindings } from "../signature/use-station-findings";
import { ForeignList } from "./addresses/foreign-list";
import { PictureList } from "./picture-list";

interface Props extends OpenedStation {
  /** The originals whose cuts stand in it. */
  readonly placed: readonly CatalogueEntry[];
  /** What was found at addresses elsewhere. */
  readonly looked: readonly ForeignPicture[];
  /** The copies that it was published at. */
  readonly published: readonly { readonly address: string; readonly fileName: string }[];
  /** Publishing it elsewhere, and uploading. */
  readonly children: ReactNode;
}

const isElsewhere = (source: string): boolean => /^https?:/i.test(source);

export function SignaturePictures(props: Props) {
  const { signature, base, placed, published } = props;
  const edited = useSignature(signature, plainState);
  const document = edited.state.doc;
  const [looked, setLooked] = useState(props.looked);
  const { findings, busy, mend, setAside, known, change } = useStationFindings(edited, props);
  const sources = pictureSourcesOf(document);
  const elsewhere = sources.filter(isElsewhere);
  const weight = weightOf(document, known.facts);

  const learn = (report: ForeignPicture): void => {
    known.learnForeign(report);
    setLooked((before) => [...before.filter(({ address }) => address !== report.address), report]);
  };
  /** Shows every picture that is at one address from another. */
  const showFrom = (address: string, better: ForeignPicture): void => {
    learn(better);
    const sources = new Map([[address, better.address]]);
    change((transform) => becomeDocument(transform, replaceSources(transform.doc, sources)));
    toast(`It is shown from ${describeLink(better.address).shown} now.`);
  };

  return (
    <EditingStation opened={props} edited={edited} current="pictures" findings={findings}>
      <div className="grid grid-cols-[minmax(0,1fr)_260px] gap-8">
        <div className="min-w-0">
          <div className="flex items-baseline gap-3 pb-3">
            <h1 className="font-serif text-2xl">Pictures in this signature</h1>
            <p className={weight > signatureBudget ? "text-clay" : "text-soft"}>
              {formatBytes(weight)} together, of {formatBytes(signatureBudget)}
            </p>
          </div>
          {placed.length === 0 && elsewhere.length === 0 ? (
            <p className="mb-6 border-t border-pine py-8 text-soft">
              There is none yet. Click into a cell under Build and choose Picture.
            </p>
          ) : (
            <PictureList entries={placed} base={base} signatureId={signature.id} />
          )}
          {elsewhere.length > 0 && (
            <ForeignList
              addresses={elsewhere}
              looked={looked}
              published={published}
              onLooked={learn}
              onShowFrom={showFrom}
            />
          )}
          {props.children}
        </div>
        <aside aria-label="Findings">
          <h2 className="mb-3 font-serif text-2xl">Findings</h2>
          <FindingList
            findings={findings.filter(({ station }) => station === "pictures")}
            busy={busy}
            onMend={(mends) => void mend(mends)}
            onAside={setAside}
            empty="Every picture is at an address, light and sharp enough, and says what it shows."
          />
        </aside>
      </div>
    </EditingStation>
  );
}
