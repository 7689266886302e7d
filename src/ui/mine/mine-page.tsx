"use client";

import { useEffect, useState } from "react";
import { addressOf, endpoints, type OwnPage, type TheirSignature } from "@/contract";
import type { KitKind, PicturesIn } from "@/core/install-kinds";
import { ask } from "../parts/asking/ask";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { ChoiceField } from "../parts/fields/choice-field";
import { WordSwitch } from "../parts/fields/word-switch";
import { useKept } from "../parts/use-kept";
import { shortPurpose } from "../people/giving/giving-words";
import { FormSwitch, type Form } from "../signature/form-switch";
import { CopyButtons } from "../install/copy-buttons";
import { HowItWent, KindSteps } from "../install/kind-steps";
import { KitDownload } from "../install/kit-download";
import { installKinds } from "../install/kinds";
import { AboutYou } from "./about-you";
import { isLookedAt } from "./looked-at";
import { PutIn } from "./put-in";
import { WhereItStands } from "./where-it-stands";

interface Props {
  readonly secret: string;
  readonly page: OwnPage;
  /** Why the kit of a kind carries its pictures; null where they stay at their addresses. */
  readonly carried: Readonly<Record<KitKind, string | null>>;
}

const kindNames = Object.fromEntries(
  Object.entries(installKinds).map(([kind, { name }]) => [kind, name]),
) as Record<KitKind, string>;

const isKind = (kept: string): kept is KitKind => kept in kindNames;

/** The page of one person: their signatures, how they get into their mail, and what is known of them. */
export function MinePage({ secret, page, carried }: Props) {
  const { name, signatures } = page;
  const [chosen, setChosen] = useState(signatures[0]?.id ?? "");
  useEffect(() => {
    if (isLookedAt()) return;
    // Whether the office knows of it changes nothing here.
    ask(endpoints.tellPageOpened, { params: { secret } }).catch(() => undefined);
  }, [secret]);
  const signature = signatures.find(({ id }) => id === chosen) ?? signatures[0];
  return (
    <main className="mx-auto max-w-[860px] px-5 pb-12 pt-5">
      <h1 className="font-serif text-[34px] leading-10 tracking-tight">
        {signatures.length > 1 ? "Your mail signatures" : "Your mail signature"}
      </h1>
      <p className="pb-4 text-soft">
        Made for <bdi>{name}</bdi>. This page is yours: whoever has its address sees it.
      </p>
      {signatures.length > 1 && (
        <div className="pb-3">
          <WordSwitch
            label="Which signature"
            value={signature?.id ?? ""}
            choices={Object.fromEntries(
              signatures.map(({ id, name: called, purpose }) => [
                id,
                called.toLowerCase().includes(shortPurpose(purpose))
                  ? called
                  : `${called} (${shortPurpose(purpose)})`,
              ]),
            )}
            onChange={setChosen}
          />
        </div>
      )}
      {signature ? (
        <OneSignature key={signature.id} {...{ secret, signature, carried }} installs={page.installs} />
      ) : (
        <p className="border-t border-pine py-10 text-center text-soft">
          There is no signature for you at the moment. You need do nothing: this page shows it once there is.
        </p>
      )}
      <AboutYou {...{ secret }} details={page.details} asked={page.asked} />
    </main>
  );
}

interface OneProps extends Pick<Props, "secret" | "carried"> {
  readonly signature: TheirSignature;
  readonly installs: OwnPage["installs"];
}

/** One signature, and how it gets into a kind of client. */
function OneSignature({ secret, signature, installs, carried }: OneProps) {
  const { id, base, full, short, name } = signature;
  const [form, setForm] = useState<Form>("full");
  const [keptKind, setKind] = useKept("kind of client of one's own page", "webmail");
  const kind = isKind(keptKind) ? keptKind : "webmail";
  const [places, setPlaces] = useState<Partial<Record<KitKind, PicturesIn>>>({});
  const pictures = places[kind] ?? (carried[kind] === null ? "hosted" : "carried");
  const shown = form === "short" && short ? short : full;
  const theirs = installs.filter(({ signatureId }) => signatureId === id);
  const tellCopied = (): void => {
    if (!isLookedAt()) ask(endpoints.tellPageCopied, { params: { secret } }).catch(() => undefined);
  };
  const before = theirs.find((each) => each.kind === kind && each.form === form) ?? null;
  return (
    <>
      <WhereItStands installs={theirs} />
      <div className="flex justify-end pb-2 empty:hidden">
        {short && <FormSwitch form={form} onChange={setForm} />}
      </div>
      <div className="w-fit max-w-full border border-hairline bg-canvas p-1">
        <SignatureFrame html={localPictures(shown.html, base)} label={`${name}, as it looks`} width={640} />
      </div>
      <h2 className="mt-6 border-t border-pine pt-3 font-serif text-xl">Into your mail</h2>
      <ChoiceField<KitKind>
        label="Your kind of mail"
        className="mt-2 w-72"
        value={kind}
        choices={kindNames}
        onChange={setKind}
      />
      <p className="mt-2 text-soft">{installKinds[kind].about}</p>
      <KindSteps kind={kind} />
      {kind === "webmail" && <CopyButtons {...shown} base={base} onCopied={tellCopied} />}
      <KitDownload
        kind={kind}
        carried={carried[kind]}
        pictures={pictures}
        onPictures={(next) => setPlaces({ ...places, [kind]: next })}
        href={addressOf(endpoints.ownKit, { secret, kind }, { signature: id, pictures })}
        onTaken={tellCopied}
      />
      <HowItWent kind={kind} />
      <PutIn
        {...{ secret, signature, kind, form }}
        before={before && (before.changes === null ? "current" : "late")}
      />
    </>
  );
}
