"use client";

import { useRouter } from "next/navigation";
import { endpoints, publicBase, type PublicAddress } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { AddressField } from "../../parts/fields/address-field";
import { Button } from "../../parts/button";
import { useAttempt } from "../../parts/asking/use-attempt";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { FormProblem } from "../../parts/form-problem";

const marks = {
  reached: "bg-lichen rounded-full",
  "here-only": "bg-clay rounded-t-full",
  failed: "bg-rowan",
} as const;

interface Props {
  readonly address: PublicAddress;
  /** Where the pictures' bytes are, in words. */
  readonly store: string;
  /** The port that serves them and nothing else; null where none was asked for. */
  readonly publicPort: string | null;
}

/** The public address of the pictures, with a check that fetches a test picture through it. */
export function PublicAddressPanel({ address, store, publicPort }: Props) {
  const router = useRouter();
  const form = useContractForm(publicBase, { base: address.base }, async ({ base }, { set }) => {
    if (base.trim() !== address.base)
      set("base", (await ask(endpoints.setPublicAddress, { body: { base } })).base);
    await ask(endpoints.checkPublicAddress);
    router.refresh();
  });
  const back = useAttempt();
  const busy = form.busy || back.busy;
  const { base } = form.typed;
  const reset = (): void =>
    void back.attempt(async () => {
      form.set("base", (await ask(endpoints.setPublicAddress, { body: { base: null } })).base);
      router.refresh();
    });

  return (
    <section aria-label="Public address" className="border-t border-pine pt-3">
      <h2 className="font-serif text-2xl">Public address</h2>
      <p className="mb-2 text-soft">
        Recipients find every picture under this address. The pictures themselves are kept {store}.
      </p>
      <form className="flex items-end gap-3" onSubmit={(event) => void form.submit(event)}>
        <AddressField label="Base address" {...form.field("base")} />
        <Button type="submit" look="primary" disabled={busy}>
          {busy
            ? "Fetching…"
            : base.trim() === address.base
              ? "Fetch a test picture"
              : "Set it, and fetch a test picture"}
        </Button>
        {address.set && (
          <Button disabled={busy} onClick={reset}>
            Back to the default
          </Button>
        )}
      </form>
      <FormProblem>{form.problem ?? back.problem}</FormProblem>
      <p role="status" className="mt-2 flex items-baseline gap-2">
        {address.check ? (
          <>
            <span aria-hidden className={`h-2 w-2 shrink-0 ${marks[address.check.verdict]}`} />
            <span>{address.check.message}</span>
          </>
        ) : (
          <span className="text-soft">Nobody has fetched the test picture through it yet.</span>
        )}
      </p>
      <p className="mt-2 text-soft">
        {publicPort === null ? (
          <>
            Before you open a port to the world, start Still Line with{" "}
            <code className="whitespace-nowrap">--public-port 4311</code>: that port serves pictures and
            hosted files and nothing else, so it is the only one to open.
          </>
        ) : (
          <>
            Port {publicPort} serves pictures and hosted files and nothing else: open that one to the world,
            and no other.
          </>
        )}
      </p>
    </section>
  );
}
