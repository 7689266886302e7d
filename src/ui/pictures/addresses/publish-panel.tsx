"use client";

import { Download } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { addressOf, endpoints, type Publication } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { AddressField } from "../../parts/fields/address-field";
import { Button, buttonClass } from "../../parts/button";
import { formatCount } from "../../parts/format";
import { useAttempt } from "../../parts/asking/use-attempt";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { FormProblem } from "../../parts/form-problem";

interface Props {
  readonly signatureId: string;
  /** How many of its pictures are at Still Line's own addresses, and how many at copies elsewhere. */
  readonly hosted: number;
  readonly published: number;
  /** The base address of the invented web space. */
  readonly inventedSpace: string;
}

/** Taking a signature's pictures to another web space in three steps. */
export function PublishPanel({ signatureId, hosted, published, inventedSpace }: Props) {
  const router = useRouter();
  const [publication, setPublication] = useState<Publication | null>(null);
  const params = { id: signatureId };
  const back = useAttempt();
  const goBack = (): void =>
    void back.attempt(async () => {
      await ask(endpoints.hostPicturesHere, { params });
      setPublication(null);
      router.refresh();
    });

  const form = useContractForm(endpoints.publishPictures.body, { base: "" }, async (body) => {
    const answer = await ask(endpoints.publishPictures, { params, body });
    setPublication(answer);
    router.refresh();
    if (answer.rewritten)
      toast(`${formatCount(answer.pictures.length, "picture")} now shown from ${body.base}.`, {
        duration: 9000,
        action: { label: "Take it back", onClick: goBack },
      });
  });
  const busy = form.busy || back.busy;

  return (
    <details className="mt-4 border-t border-pine pt-3" open={published > 0 || undefined}>
      <summary className="cursor-pointer font-serif text-xl">Publish them elsewhere</summary>
      {published > 0 && (
        <p className="mt-2 flex items-center gap-3">
          {formatCount(published, "picture")} of this signature {published === 1 ? "is" : "are"} shown from
          another web space.
          <Button disabled={busy} onClick={goBack}>
            Show them from here again
          </Button>
        </p>
      )}
      {hosted === 0 ? (
        published === 0 && <p className="mt-2 text-soft">It has no picture that is hosted here.</p>
      ) : (
        <ol className="mt-2 list-decimal space-y-3 pl-5 marker:text-soft">
          <li>
            <a href={addressOf(endpoints.zipPictures, params)} download className={buttonClass("plain")}>
              <Download size={15} aria-hidden />
              Download {formatCount(hosted, "picture")} as a zip
            </a>
          </li>
          <li>
            Unpack it, and upload the pictures under their names into one folder of your web space.
            <span className="block text-soft">
              To try it, upload the zip to the{" "}
              <a href="/pictures/addresses#web-space" className="text-pine underline">
                invented web space
              </a>
              , which is at {inventedSpace}.
            </span>
          </li>
          <li>
            <form className="flex items-end gap-3" onSubmit={(event) => void form.submit(event)}>
              <AddressField label="Address of that folder" {...form.field("base")} />
              <Button type="submit" look="primary" disabled={busy}>
                {busy ? "Checking each…" : "Check each, and show them from there"}
              </Button>
            </form>
          </li>
        </ol>
      )}
      <FormProblem>{form.problem ?? back.problem}</FormProblem>
      {publication && !publication.rewritten && (
        <div role="status" className="mt-3">
          <p>Nothing was changed: all pictures must be there first.</p>
          <ul className="mt-1">
            {publication.pictures.map(({ name, ok, message }) => (
              <li key={name} className="flex items-baseline gap-2">
                <span aria-hidden className={`h-2 w-2 ${ok ? "rounded-full bg-lichen" : "bg-rowan"}`} />
                <span className="font-mono text-xs">{name}</span>
                <span className="text-soft">{message}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </details>
  );
}
